-- What the forecast needs to know of a chamber, a piece and the shop's prices.
alter table chamber
    add column set_metres_per_second decimal(4, 2) not null default 0.5,
    add column shelf_square_centimetres int;
alter table chamber_aud add column set_metres_per_second decimal(4, 2), add column shelf_square_centimetres int;
update chamber set set_metres_per_second = 0.1 where kind in ('REFRIGERATOR', 'ICE_CHEST');

alter table workshop add column price_by_age varchar(200) not null default '';
alter table workshop_aud add column price_by_age varchar(200);

alter table piece
    add column coating varchar(20) not null default 'NONE',
    add column contact_percent int,
    add column length_mm int,
    add column width_mm int,
    add column height_mm int;
alter table piece_aud
    add column coating varchar(20), add column contact_percent int, add column length_mm int, add column width_mm int,
    add column height_mm int;

-- What was expected of a piece on the day it was hung: shares of the green weight in millionths, never changed. What the
-- shop has learnt since moves its forecasts; what it promised itself then stays.
create table piece_plan (
    id uuid not null primary key,
    workshop_id uuid not null,
    piece_id uuid not null,
    days int not null,
    lost_ppm int not null,
    lost_least_ppm int not null,
    lost_most_ppm int not null,
    steak_ppm int not null,
    steak_least_ppm int not null,
    steak_most_ppm int not null,
    crust_ppm int not null,
    cost_minor_per_kg int,
    rests_on_pieces int not null,
    made_at datetime(6) not null,
    constraint piece_plan_of_piece unique (workshop_id, piece_id),
    constraint piece_plan_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id)
);

-- A purchase that is planned: it keeps its places in the chamber until it is hung or dropped.
create table plan (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    name varchar(80) not null,
    state varchar(20) not null,
    cut_code varchar(40) not null,
    bone_in boolean not null,
    fat_cover_mm int not null,
    pieces int not null,
    green_grams int not null,
    method varchar(20) not null,
    coating varchar(20) not null,
    contact_percent int,
    chamber_id uuid not null,
    hang_on date not null,
    target_days int not null,
    price_minor_per_kg int not null,
    consumables_minor int not null,
    lot_id uuid,
    constraint plan_of_workshop unique (workshop_id, id),
    constraint plan_chamber foreign key (workshop_id, chamber_id) references chamber (workshop_id, id),
    constraint plan_lot foreign key (workshop_id, lot_id) references lot (workshop_id, id),
    index plan_by_state (workshop_id, state, hang_on)
);
create table plan_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    name varchar(80), state varchar(20), cut_code varchar(40), bone_in boolean, fat_cover_mm int, pieces int,
    green_grams int, method varchar(20), coating varchar(20), contact_percent int, chamber_id uuid, hang_on date,
    target_days int, price_minor_per_kg int, consumables_minor int, lot_id uuid,
    primary key (id, rev),
    constraint plan_aud_rev foreign key (rev) references revision (id)
);

-- The work itself follows from the plan and is not stored; what a person decided about it is. Append only.
create table task_decision (
    id uuid not null primary key,
    workshop_id uuid not null,
    piece_id uuid not null,
    work varchar(20) not null,
    planned_on date not null,
    verdict varchar(20) not null,
    moved_to date,
    reason varchar(400) not null,
    decided_at datetime(6) not null,
    account_id uuid not null,
    constraint task_decision_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    constraint task_decision_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    index task_decision_by_piece (workshop_id, piece_id, decided_at)
);

-- Steps of the preparation, ticked as done. Append only; the last word about a step counts.
create table preparation_tick (
    id uuid not null primary key,
    workshop_id uuid not null,
    piece_id uuid not null,
    step varchar(40) not null,
    done boolean not null,
    ticked_at datetime(6) not null,
    account_id uuid not null,
    constraint preparation_tick_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    constraint preparation_tick_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    index preparation_tick_by_piece (workshop_id, piece_id, ticked_at)
);

-- The address under which a person's calendar program reads; only the hash of its secret is kept.
create table calendar_feed (
    account_id uuid not null primary key,
    workshop_id uuid not null,
    token_hash char(64) not null,
    made_at datetime(6) not null,
    constraint calendar_feed_token unique (token_hash),
    constraint calendar_feed_account foreign key (workshop_id, account_id) references account (workshop_id, id)
);
