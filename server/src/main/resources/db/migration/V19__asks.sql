-- Questions put to the finished pieces that are to be asked again.
create table ask (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    name varchar(120) not null,
    query varchar(1000) not null,
    constraint ask_of_workshop unique (workshop_id, id),
    constraint ask_workshop foreign key (workshop_id) references workshop (id)
);
create table ask_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid, name varchar(120), query varchar(1000),
    primary key (id, rev),
    constraint ask_aud_rev foreign key (rev) references revision (id)
);
