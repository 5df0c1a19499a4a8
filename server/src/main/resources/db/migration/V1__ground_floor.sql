-- Weights are whole grams, money whole minor units, instants UTC. Every table of a workshop's own carries workshop_id,
-- and foreign keys include it, so that a row can only point at rows of the same workshop.

create table workshop (
    id uuid not null primary key,
    version int not null,
    name varchar(80) not null,
    currency char(3) not null,
    zone varchar(40) not null,
    division_grams int not null,
    next_lot_number int not null,
    tariff_minor_per_kwh int not null,
    labour_minor_per_hour int not null,
    bench_minutes_per_piece int not null,
    steak_price_minor_per_kg int not null,
    usable_trim_price_minor_per_kg int not null,
    fat_price_minor_per_kg int not null,
    bone_price_minor_per_kg int not null,
    target_margin_percent int not null
);

create table account (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    sign_in_name varchar(120) not null,
    name varchar(80) not null,
    role varchar(20) not null,
    password_hash varchar(200) not null,
    active boolean not null,
    weight_unit varchar(10) not null,
    temperature_unit varchar(10) not null,
    length_unit varchar(10) not null,
    theme varchar(10) not null,
    constraint account_of_workshop unique (workshop_id, id),
    constraint account_sign_in_name unique (sign_in_name),
    constraint account_workshop foreign key (workshop_id) references workshop (id)
);

create table chamber (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    name varchar(60) not null,
    kind varchar(20) not null,
    position int not null,
    rails int not null,
    places_per_rail int not null,
    limit_grams int not null,
    set_celsius decimal(5, 2) not null,
    set_humidity_percent int,
    purchase_minor int not null,
    life_years int not null,
    power_watts int not null,
    constraint chamber_of_workshop unique (workshop_id, id),
    constraint chamber_name unique (workshop_id, name),
    constraint chamber_workshop foreign key (workshop_id) references workshop (id)
);

create table lot (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    number int not null,
    cut_code varchar(40) not null,
    grade varchar(60) not null,
    bone_in boolean not null,
    fat_cover_mm int not null,
    received_grams int not null,
    price_minor_per_kg int not null,
    supplier varchar(80) not null,
    packed_on date,
    received_on date not null,
    arrival_celsius decimal(5, 2),
    source_tag varchar(60) not null,
    note varchar(1000) not null,
    constraint lot_of_workshop unique (workshop_id, id),
    constraint lot_number unique (workshop_id, number),
    constraint lot_workshop foreign key (workshop_id) references workshop (id)
);

create table piece (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    lot_id uuid not null,
    tag varchar(12) not null,
    role varchar(20) not null,
    state varchar(20) not null,
    green_grams int not null,
    method varchar(20),
    chamber_id uuid,
    rail int,
    slot int,
    hung_on date,
    target_days int,
    consumables_minor int not null,
    bench_order varchar(20),
    -- How many entries were written into its log; what is read from the log is cached under it.
    log_version int not null,
    constraint piece_of_workshop unique (workshop_id, id),
    constraint piece_tag unique (workshop_id, tag),
    constraint piece_lot foreign key (workshop_id, lot_id) references lot (workshop_id, id),
    constraint piece_chamber foreign key (workshop_id, chamber_id) references chamber (workshop_id, id),
    index piece_by_state (workshop_id, state, hung_on),
    index piece_by_chamber (workshop_id, chamber_id, hung_on)
);

-- Append only: an entry is corrected by another that names it.
create table log_entry (
    id uuid not null primary key,
    workshop_id uuid not null,
    piece_id uuid not null,
    kind varchar(20) not null,
    stream varchar(20),
    grams int not null,
    words varchar(2000) not null,
    happened_at datetime(6) not null,
    recorded_at datetime(6) not null,
    account_id uuid not null,
    corrects_id uuid,
    constraint log_entry_of_workshop unique (workshop_id, id),
    constraint log_entry_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    constraint log_entry_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    constraint log_entry_corrects foreign key (workshop_id, corrects_id) references log_entry (workshop_id, id),
    index log_entry_by_piece (workshop_id, piece_id, kind, happened_at)
);

-- What a person decided when a value was questioned. Append only.
create table decision (
    id uuid not null primary key,
    workshop_id uuid not null,
    lot_id uuid not null,
    piece_id uuid,
    question varchar(40) not null,
    sentence varchar(400) not null,
    reason varchar(1000) not null,
    decided_at datetime(6) not null,
    account_id uuid not null,
    constraint decision_lot foreign key (workshop_id, lot_id) references lot (workshop_id, id),
    constraint decision_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    constraint decision_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    index decision_by_lot (workshop_id, lot_id, decided_at)
);
