-- A part of a carcass is another cut than its lot.
alter table piece add column cut_code varchar(40), add column bone_in boolean;
alter table piece_aud add column cut_code varchar(40), add column bone_in boolean;

-- Why a lot may not be packed, sold or shared yet; absent where it may.
alter table lot add column held varchar(200);
alter table lot_aud add column held varchar(200);

-- Game as it came in. It has a lot and a piece that hangs whole, under the same id as the piece.
create table carcass (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    lot_id uuid not null,
    animal varchar(20) not null,
    permit varchar(60) not null,
    killed_at datetime(6) not null,
    place varchar(120) not null,
    weighed varchar(20) not null,
    skin_on boolean not null,
    wound varchar(200) not null,
    cooled_at datetime(6),
    meat_celsius decimal(5, 2),
    outside_celsius decimal(5, 2),
    test varchar(20) not null,
    constraint carcass_of_workshop unique (workshop_id, id),
    constraint carcass_lot_once unique (workshop_id, lot_id),
    constraint carcass_lot foreign key (workshop_id, lot_id) references lot (workshop_id, id),
    constraint carcass_piece foreign key (workshop_id, id) references piece (workshop_id, id)
);
create table carcass_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    lot_id uuid, animal varchar(20), permit varchar(60), killed_at datetime(6), place varchar(120), weighed varchar(20),
    skin_on boolean, wound varchar(200), cooled_at datetime(6), meat_celsius decimal(5, 2), outside_celsius decimal(5, 2),
    test varchar(20),
    primary key (id, rev),
    constraint carcass_aud_rev foreign key (rev) references revision (id)
);

-- Which piece is which part. Its weight is the piece's.
create table carcass_part (
    id uuid not null primary key,
    workshop_id uuid not null,
    carcass_id uuid not null,
    part varchar(20) not null,
    constraint carcass_part_of_workshop unique (workshop_id, id),
    constraint carcass_part_once unique (workshop_id, carcass_id, part),
    constraint carcass_part_carcass foreign key (workshop_id, carcass_id) references carcass (workshop_id, id),
    constraint carcass_part_piece foreign key (workshop_id, id) references piece (workshop_id, id)
);
