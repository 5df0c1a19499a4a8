-- A person who tastes. The name goes when the person asks for it; what was answered stays, nameless. So no audit of names.
create table taster (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    name varchar(60),
    constraint taster_of_workshop unique (workshop_id, id)
);

-- A tasting: what is asked and how it is served. Orders and codes follow from the seed; what came of it is worked out.
create table tasting (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    question varchar(300) not null,
    kind varchar(20) not null,
    rounds int not null,
    attributes varchar(4000) not null,
    seed bigint not null,
    trial_id uuid,
    host_id uuid not null,
    heat varchar(20) not null,
    core_tenths int not null,
    rest_minutes int not null,
    seasoning varchar(200) not null,
    state varchar(20) not null,
    held_on date not null,
    opened_at datetime(6),
    constraint tasting_of_workshop unique (workshop_id, id),
    constraint tasting_trial foreign key (workshop_id, trial_id) references trial (workshop_id, id),
    constraint tasting_host foreign key (workshop_id, host_id) references account (workshop_id, id)
);
create table tasting_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    question varchar(300), kind varchar(20), rounds int, attributes varchar(4000), seed bigint, trial_id uuid,
    host_id uuid, heat varchar(20), core_tenths int, rest_minutes int, seasoning varchar(200), state varchar(20),
    held_on date, opened_at datetime(6),
    primary key (id, rev),
    constraint tasting_aud_rev foreign key (rev) references revision (id)
);

-- What is tasted: a piece, or something else by its name.
create table tasting_sample (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    tasting_id uuid not null,
    position int not null,
    name varchar(120) not null,
    piece_id uuid,
    arm_id uuid,
    thickness_mm int not null,
    thawed boolean not null,
    same_seasoning boolean not null,
    core_tenths int,
    constraint tasting_sample_of_workshop unique (workshop_id, id),
    constraint tasting_sample_position unique (workshop_id, tasting_id, position),
    constraint tasting_sample_tasting foreign key (workshop_id, tasting_id) references tasting (workshop_id, id),
    constraint tasting_sample_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    constraint tasting_sample_arm foreign key (workshop_id, arm_id) references trial_arm (workshop_id, id)
);
create table tasting_sample_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    tasting_id uuid, position int, name varchar(120), piece_id uuid, arm_id uuid, thickness_mm int, thawed boolean,
    same_seasoning boolean, core_tenths int,
    primary key (id, rev),
    constraint tasting_sample_aud_rev foreign key (rev) references revision (id)
);

-- A place at the table. Its token opens one phone's sheets while the tasting is open, and is gone afterwards. It is kept as it
-- is, since the host must be able to show it again (docs/decisions/0017).
create table tasting_place (
    id uuid not null primary key,
    workshop_id uuid not null,
    tasting_id uuid not null,
    position int not null,
    taster_id uuid not null,
    token varchar(64) character set ascii collate ascii_bin,
    constraint tasting_place_of_workshop unique (workshop_id, id),
    constraint tasting_place_position unique (workshop_id, tasting_id, position),
    constraint tasting_place_taster_once unique (workshop_id, tasting_id, taster_id),
    constraint tasting_place_token unique (token),
    constraint tasting_place_tasting foreign key (workshop_id, tasting_id) references tasting (workshop_id, id),
    constraint tasting_place_taster foreign key (workshop_id, taster_id) references taster (workshop_id, id)
);

-- What a taster handed in for one round. The first counts; nothing is changed afterwards.
create table tasting_sheet (
    id uuid not null primary key,
    workshop_id uuid not null,
    tasting_id uuid not null,
    place_id uuid not null,
    round int not null,
    answers varchar(8000) not null,
    knew boolean not null,
    handed_in_at datetime(6) not null,
    typed_by uuid,
    constraint tasting_sheet_once unique (workshop_id, place_id, round),
    constraint tasting_sheet_tasting foreign key (workshop_id, tasting_id) references tasting (workshop_id, id),
    constraint tasting_sheet_place foreign key (workshop_id, place_id) references tasting_place (workshop_id, id),
    constraint tasting_sheet_typed_by foreign key (workshop_id, typed_by) references account (workshop_id, id)
);

-- Words by sample, to be searched. The sample is known from the code only.
create table tasting_note (
    id uuid not null primary key,
    workshop_id uuid not null,
    tasting_id uuid not null,
    sheet_id uuid not null,
    sample_id uuid not null,
    words varchar(500) not null,
    constraint tasting_note_sample foreign key (workshop_id, sample_id) references tasting_sample (workshop_id, id),
    constraint tasting_note_tasting foreign key (workshop_id, tasting_id) references tasting (workshop_id, id),
    key tasting_note_of_tasting (workshop_id, tasting_id)
);
