-- Pieces compared to answer one question. What came of it is worked out; only what was asked and drawn is kept.
create table trial (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    question varchar(300) not null,
    factor varchar(20) not null,
    seed bigint,
    from_id uuid,
    changed varchar(300) not null,
    learnt varchar(2000) not null,
    started_on date not null,
    constraint trial_of_workshop unique (workshop_id, id),
    constraint trial_from foreign key (workshop_id, from_id) references trial (workshop_id, id)
);
create table trial_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    question varchar(300), factor varchar(20), seed bigint, from_id uuid, changed varchar(300), learnt varchar(2000),
    started_on date,
    primary key (id, rev),
    constraint trial_aud_rev foreign key (rev) references revision (id)
);

-- An arm with its set-up, so that a next trial can be made from it. Written once.
create table trial_arm (
    id uuid not null primary key,
    workshop_id uuid not null,
    trial_id uuid not null,
    position int not null,
    name varchar(80) not null,
    control boolean not null,
    set_up varchar(4000) not null,
    constraint trial_arm_of_workshop unique (workshop_id, id),
    constraint trial_arm_position unique (workshop_id, trial_id, position),
    constraint trial_arm_trial foreign key (workshop_id, trial_id) references trial (workshop_id, id)
);

-- A piece of an arm. Pieces of one block lay side by side in one animal.
create table trial_piece (
    id uuid not null primary key,
    workshop_id uuid not null,
    trial_id uuid not null,
    arm_id uuid not null,
    piece_id uuid not null,
    block varchar(60) not null,
    constraint trial_piece_once unique (workshop_id, trial_id, piece_id),
    constraint trial_piece_trial foreign key (workshop_id, trial_id) references trial (workshop_id, id),
    constraint trial_piece_arm foreign key (workshop_id, arm_id) references trial_arm (workshop_id, id),
    constraint trial_piece_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id)
);
