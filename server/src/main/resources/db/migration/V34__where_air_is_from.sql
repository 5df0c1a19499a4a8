-- Where readings are from that did not come as they were measured: a file, with its name, checksum and whoever took it in, or
-- a probe that sent them long after.
create table air_origin (
    id uuid not null primary key,
    workshop_id uuid not null,
    chamber_id uuid not null,
    kind varchar(10) not null,
    name varchar(200) not null,
    checksum char(64) not null,
    taken_in_at datetime(6) not null,
    account_id uuid,
    readings int not null,
    first_at datetime(6) not null,
    last_at datetime(6) not null,
    constraint air_origin_of_workshop unique (workshop_id, id),
    constraint air_origin_chamber foreign key (workshop_id, chamber_id) references chamber (workshop_id, id),
    constraint air_origin_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    index air_origin_day (workshop_id, chamber_id, taken_in_at)
);

-- A silence into which such readings came. It stays an event.
create table filled_silence (
    id uuid not null primary key,
    workshop_id uuid not null,
    chamber_id uuid not null,
    origin_id uuid not null,
    began_at datetime(6) not null,
    ended_at datetime(6) not null,
    constraint filled_silence_chamber foreign key (workshop_id, chamber_id) references chamber (workshop_id, id),
    constraint filled_silence_origin foreign key (workshop_id, origin_id) references air_origin (workshop_id, id),
    index filled_silence_began (workshop_id, chamber_id, began_at)
);

-- Absent for what a probe sent within six hours, and for what was there before this was written down.
alter table air_reading add origin_id uuid;
