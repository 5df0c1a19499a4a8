-- A mixture of the workshop's own, built on a kind of treatment. Its parts are read and changed as a whole.
create table recipe (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    name varchar(80) not null,
    kind varchar(20) not null,
    grams_amount double not null,
    basis varchar(20) not null,
    parts varchar(4000) not null,
    raw_garlic_or_herbs boolean not null,
    oil boolean not null,
    spirit boolean not null,
    note varchar(1000) not null,
    constraint recipe_of_workshop unique (workshop_id, id)
);
create table recipe_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    name varchar(80), kind varchar(20), grams_amount double, basis varchar(20), parts varchar(4000),
    raw_garlic_or_herbs boolean, oil boolean, spirit boolean, note varchar(1000),
    primary key (id, rev),
    constraint recipe_aud_rev foreign key (rev) references revision (id)
);

-- What was done to a piece, under the id of the log entry that says when and by whom. Written once; a wrong one is taken back
-- by an entry. The name is kept as it was, whatever becomes of the recipe.
create table treatment (
    id uuid not null primary key,
    workshop_id uuid not null,
    piece_id uuid not null,
    kind varchar(20) not null,
    recipe_id uuid,
    exactly varchar(200) not null,
    amount double,
    measure varchar(20),
    basis varchar(20),
    number int,
    began_on date not null,
    cost_minor int not null,
    raw_garlic_or_herbs boolean not null,
    oil boolean not null,
    spirit boolean not null,
    constraint treatment_of_workshop unique (workshop_id, id),
    constraint treatment_entry foreign key (workshop_id, id) references log_entry (workshop_id, id),
    constraint treatment_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    constraint treatment_recipe foreign key (workshop_id, recipe_id) references recipe (workshop_id, id)
);

-- A step that was done, under the id of its log entry.
create table treatment_step (
    id uuid not null primary key,
    workshop_id uuid not null,
    treatment_id uuid not null,
    piece_id uuid not null,
    number int not null,
    meat_celsius decimal(4, 1),
    constraint treatment_step_entry foreign key (workshop_id, id) references log_entry (workshop_id, id),
    constraint treatment_step_treatment foreign key (workshop_id, treatment_id) references treatment (workshop_id, id),
    constraint treatment_step_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id)
);
