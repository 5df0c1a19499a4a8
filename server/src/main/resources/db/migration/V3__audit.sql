-- Hibernate Envers: what was changed, when and by whom. Log entries and decisions are append-only and need none.
create table revision (
    id bigint not null auto_increment primary key,
    at_millis bigint not null,
    account_id uuid
);

create table workshop_aud (
    id uuid not null, rev bigint not null, revtype tinyint,
    name varchar(80), currency char(3), zone varchar(40), division_grams int, next_lot_number int,
    tariff_minor_per_kwh int, labour_minor_per_hour int, bench_minutes_per_piece int, steak_price_minor_per_kg int,
    usable_trim_price_minor_per_kg int, fat_price_minor_per_kg int, bone_price_minor_per_kg int,
    target_margin_percent int,
    primary key (id, rev),
    constraint workshop_aud_rev foreign key (rev) references revision (id)
);

create table account_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    sign_in_name varchar(120), name varchar(80), role varchar(20), active boolean,
    weight_unit varchar(10), temperature_unit varchar(10), length_unit varchar(10), theme varchar(10),
    primary key (id, rev),
    constraint account_aud_rev foreign key (rev) references revision (id)
);

create table chamber_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    name varchar(60), kind varchar(20), position int, rails int, places_per_rail int, limit_grams int,
    set_celsius decimal(5, 2), set_humidity_percent int, purchase_minor int, life_years int, power_watts int,
    primary key (id, rev),
    constraint chamber_aud_rev foreign key (rev) references revision (id)
);

create table lot_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    number int, cut_code varchar(40), grade varchar(60), bone_in boolean, fat_cover_mm int, received_grams int,
    price_minor_per_kg int, supplier varchar(80), packed_on date, received_on date, arrival_celsius decimal(5, 2),
    source_tag varchar(60), note varchar(1000),
    primary key (id, rev),
    constraint lot_aud_rev foreign key (rev) references revision (id)
);

create table piece_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    lot_id uuid, tag varchar(12), role varchar(20), state varchar(20), green_grams int, method varchar(20),
    chamber_id uuid, rail int, slot int, hung_on date, target_days int, consumables_minor int,
    bench_order varchar(20),
    primary key (id, rev),
    constraint piece_aud_rev foreign key (rev) references revision (id)
);
