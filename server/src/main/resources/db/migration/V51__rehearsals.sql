-- A rehearsal is a workshop of its own, apart from the one its person belongs to. What is told of it there stands in this
-- row: of_workshop_id and of_account_id say whose it is.
create table rehearsal (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    of_workshop_id uuid not null,
    of_account_id uuid not null,
    hand_id uuid not null,
    lesson varchar(40),
    cut_code varchar(40) not null,
    grams int not null,
    bone_in boolean not null,
    fat_cover_mm int not null,
    method varchar(20) not null,
    coating varchar(20) not null,
    place varchar(20) not null,
    planned_days int not null,
    begins_on_day int not null,
    mishaps varchar(400) not null,
    seed bigint not null,
    piece_id uuid not null,
    chamber_id uuid not null,
    scale_id uuid not null,
    hung_at datetime(6) not null,
    house_at datetime(6) not null,
    set_at datetime(6) not null,
    begun_at datetime(6) not null,
    ended_at datetime(6),
    score int,
    passed boolean not null,
    constraint rehearsal_of_workshop unique (workshop_id, id),
    constraint rehearsal_house foreign key (workshop_id) references workshop (id),
    constraint rehearsal_person foreign key (of_workshop_id, of_account_id) references account (workshop_id, id),
    index rehearsal_by_person (of_workshop_id, of_account_id, begun_at)
);
-- What is done in a rehearsal that the log of a piece has no word for.
create table rehearsal_deed (
    id uuid not null primary key,
    workshop_id uuid not null,
    kind varchar(30) not null,
    done_at datetime(6) not null,
    constraint rehearsal_deed_of_workshop unique (workshop_id, id),
    constraint rehearsal_deed_house foreign key (workshop_id) references workshop (id)
);
