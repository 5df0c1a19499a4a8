-- Spring Session JDBC's own tables.
create table SPRING_SESSION (
    PRIMARY_ID char(36) not null,
    SESSION_ID char(36) not null,
    CREATION_TIME bigint not null,
    LAST_ACCESS_TIME bigint not null,
    MAX_INACTIVE_INTERVAL int not null,
    EXPIRY_TIME bigint not null,
    PRINCIPAL_NAME varchar(100),
    constraint SPRING_SESSION_PK primary key (PRIMARY_ID),
    unique index SPRING_SESSION_IX1 (SESSION_ID),
    index SPRING_SESSION_IX2 (EXPIRY_TIME),
    index SPRING_SESSION_IX3 (PRINCIPAL_NAME)
) row_format = dynamic;

create table SPRING_SESSION_ATTRIBUTES (
    SESSION_PRIMARY_ID char(36) not null,
    ATTRIBUTE_NAME varchar(200) not null,
    ATTRIBUTE_BYTES blob not null,
    constraint SPRING_SESSION_ATTRIBUTES_PK primary key (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
    constraint SPRING_SESSION_ATTRIBUTES_FK foreign key (SESSION_PRIMARY_ID)
        references SPRING_SESSION (PRIMARY_ID) on delete cascade
) row_format = dynamic;

-- Who tried to sign in, by the hash of the name and by address; forgotten after a quarter of an hour.
create table sign_in_attempt (
    id bigint not null auto_increment primary key,
    who varchar(80) not null,
    tried_at datetime(6) not null,
    index sign_in_attempt_by_who (who, tried_at),
    index sign_in_attempt_by_time (tried_at)
);

-- The one-time code that makes the first owner's account; one row at most, replaced at every start until it is used.
create table setup_code (
    id int not null primary key,
    code_hash varchar(200) not null
);
