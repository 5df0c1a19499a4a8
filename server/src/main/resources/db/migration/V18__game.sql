-- Whatever lies on ice has the warmth of the meat as it was laid in, and of the air round its chest: not only whole animals.
alter table piece add column meat_celsius decimal(5, 2), add column outside_celsius decimal(5, 2);
alter table piece_aud add column meat_celsius decimal(5, 2), add column outside_celsius decimal(5, 2);
update piece p join carcass c on c.workshop_id = p.workshop_id and c.id = p.id
    set p.meat_celsius = c.meat_celsius, p.outside_celsius = c.outside_celsius;
alter table carcass drop column meat_celsius, drop column outside_celsius;
alter table carcass_aud drop column meat_celsius, drop column outside_celsius;

-- The hide left on hoofed game slows its drying, as a coat does.
update piece p join carcass c on c.workshop_id = p.workshop_id and c.id = p.id
    set p.coating = 'HIDE' where c.skin_on and c.animal in ('ROE_DEER', 'FALLOW_DEER', 'RED_DEER', 'ELK', 'WILD_SHEEP', 'BOAR')
    and p.state = 'HANGING';

-- How an animal is broken down, and when its meat is trimmed.
alter table carcass add column knife varchar(10) not null default 'SEAMS', add column trim varchar(10) not null default 'NOW';
alter table carcass_aud add column knife varchar(10), add column trim varchar(10);

-- What was measured in its core while it cooled. A wrong one is corrected by another.
create table carcass_core (
    id uuid not null primary key,
    workshop_id uuid not null,
    carcass_id uuid not null,
    measured_at datetime(6) not null,
    celsius decimal(5, 2) not null,
    corrects_id uuid,
    account_id uuid not null,
    recorded_at datetime(6) not null,
    constraint carcass_core_of_workshop unique (workshop_id, id),
    constraint carcass_core_carcass foreign key (workshop_id, carcass_id) references carcass (workshop_id, id),
    constraint carcass_core_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    constraint carcass_core_corrects foreign key (workshop_id, corrects_id) references carcass_core (workshop_id, id),
    constraint carcass_core_corrected_once unique (workshop_id, corrects_id)
);
