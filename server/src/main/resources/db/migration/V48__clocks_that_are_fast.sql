-- By how many seconds the clock of a probe was found to be fast: what it says is put back by so much.
alter table device add clock_ahead int not null default 0;
