-- What an inspector is shown was changed: old, new, when, by whom and why. Written once; nothing of it is ever changed.
create table fact_change (
    id uuid not null primary key,
    workshop_id uuid not null,
    subject_id uuid not null,
    subject varchar(120) not null,
    fact varchar(60) not null,
    was varchar(1100) not null,
    became varchar(1100) not null,
    why varchar(1000) not null,
    changed_at datetime(6) not null,
    account_id uuid,
    constraint fact_change_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    index fact_change_subject (workshop_id, subject_id),
    index fact_change_day (workshop_id, changed_at)
);

-- What was changed before this was written down, as far as an inspector is shown it.
insert into fact_change
select uuid(), c.workshop_id, c.id, c.subject, c.fact, left(c.was, 1100), left(c.became, 1100), '',
    timestamp('1970-01-01') + interval r.at_millis * 1000 microsecond, r.account_id
from (
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Supplier' fact, ifnull(supplier, '') became,
        lag(ifnull(supplier, '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
    union all
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Seller''s lot or game tag' fact, ifnull(source_tag, '') became,
        lag(ifnull(source_tag, '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
    union all
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Packed on' fact, ifnull(concat('⟦date ', packed_on, '⟧'), '') became,
        lag(ifnull(concat('⟦date ', packed_on, '⟧'), '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
    union all
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Came on' fact, ifnull(concat('⟦date ', received_on, '⟧'), '') became,
        lag(ifnull(concat('⟦date ', received_on, '⟧'), '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
    union all
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Weight' fact, ifnull(concat('⟦mass ', received_grams, '⟧'), '') became,
        lag(ifnull(concat('⟦mass ', received_grams, '⟧'), '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
    union all
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Temperature on arrival' fact, ifnull(concat('⟦temperature ', arrival_celsius, '⟧'), '') became,
        lag(ifnull(concat('⟦temperature ', arrival_celsius, '⟧'), '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
    union all
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Grade' fact, ifnull(grade, '') became,
        lag(ifnull(grade, '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
    union all
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Price' fact, ifnull(concat('⟦price ', price_minor_per_kg, '⟧'), '') became,
        lag(ifnull(concat('⟦price ', price_minor_per_kg, '⟧'), '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
    union all
    select id, workshop_id, rev, concat('Lot ', number) subject, 'Note' fact, ifnull(note, '') became,
        lag(ifnull(note, '')) over (partition by id order by rev) was
    from lot_aud where revtype < 2
) c
join revision r on r.id = c.rev
where c.was is not null and c.was <> c.became;

insert into fact_change
select uuid(), c.workshop_id, c.id, c.subject, c.fact, left(c.was, 1100), left(c.became, 1100), '',
    timestamp('1970-01-01') + interval r.at_millis * 1000 microsecond, r.account_id
from (
    select id, workshop_id, rev, name subject, 'Limit' fact, ifnull(concat('⟦mass ', limit_grams, '⟧'), '') became,
        lag(ifnull(concat('⟦mass ', limit_grams, '⟧'), '')) over (partition by id order by rev) was
    from chamber_aud where revtype < 2
    union all
    select id, workshop_id, rev, name subject, 'Set to' fact, ifnull(concat('⟦temperature ', set_celsius, '⟧'), '') became,
        lag(ifnull(concat('⟦temperature ', set_celsius, '⟧'), '')) over (partition by id order by rev) was
    from chamber_aud where revtype < 2
    union all
    select id, workshop_id, rev, name subject, 'Name' fact, ifnull(name, '') became,
        lag(ifnull(name, '')) over (partition by id order by rev) was
    from chamber_aud where revtype < 2
) c
join revision r on r.id = c.rev
where c.was is not null and c.was <> c.became;
