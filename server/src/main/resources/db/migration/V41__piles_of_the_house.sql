-- A house has names of its own for its piles and packs, and freezes some of it untrimmed.
alter table log_entry
    add column pile varchar(40),
    add column untrimmed boolean not null default false;
alter table pack
    add column name varchar(40),
    add column to_clean boolean not null default false;
