-- A program that may speak for a scale or a probe; only the hash of its token is kept.
create table device (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    name varchar(60) not null,
    chamber_id uuid not null,
    token_hash char(64) not null,
    made_at datetime(6) not null,
    revoked boolean not null,
    constraint device_of_workshop unique (workshop_id, id),
    constraint device_token unique (token_hash),
    constraint device_chamber foreign key (workshop_id, chamber_id) references chamber (workshop_id, id)
);
create table device_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    name varchar(60), chamber_id uuid, made_at datetime(6), revoked boolean,
    primary key (id, rev),
    constraint device_aud_rev foreign key (rev) references revision (id)
);

-- A short number for each chamber, so that its millions of readings are narrow. The revision is raised whenever air is
-- written that forecasts may have used already.
create table air_source (
    id int unsigned not null auto_increment primary key,
    workshop_id uuid not null,
    chamber_id uuid not null,
    revision bigint not null default 0,
    constraint air_source_chamber unique (workshop_id, chamber_id),
    constraint air_source_of_chamber foreign key (workshop_id, chamber_id) references chamber (workshop_id, id)
);

-- Seconds since 1970; hundredths of a degree, of a percent, of a metre a second. Never changed once written.
create table air_reading (
    source_id int unsigned not null,
    taken_at int unsigned not null,
    celsius smallint,
    humidity smallint unsigned,
    speed smallint unsigned,
    primary key (source_id, taken_at)
);

-- The same by the hour, in the same transaction. An hour is seconds since 1970 over 3600.
create table air_hour (
    source_id int unsigned not null,
    hour int unsigned not null,
    readings int not null,
    first_at int unsigned,
    last_at int unsigned,
    celsius float,
    celsius_min smallint,
    celsius_max smallint,
    humidity float,
    humidity_min smallint unsigned,
    humidity_max smallint unsigned,
    speed float,
    primary key (source_id, hour)
);

-- What a person decided about air that was too warm, or about silence. Append only.
create table air_decision (
    id uuid not null primary key,
    workshop_id uuid not null,
    chamber_id uuid not null,
    kind varchar(10) not null,
    began_at datetime(6) not null,
    words varchar(400) not null,
    decided_at datetime(6) not null,
    account_id uuid not null,
    constraint air_decision_chamber foreign key (workshop_id, chamber_id) references chamber (workshop_id, id),
    constraint air_decision_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    index air_decision_by_chamber (workshop_id, chamber_id, began_at)
);
