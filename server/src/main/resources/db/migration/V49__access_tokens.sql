-- Programs of others speak with these for a person; only the hash of a token is kept.
create table access_token (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    account_id uuid not null,
    name varchar(60) not null,
    token_hash char(64) not null,
    scopes varchar(60) not null,
    made_at datetime(6) not null,
    last_day date,
    used_at datetime(6),
    removed boolean not null,
    constraint access_token_of_workshop unique (workshop_id, id),
    constraint access_token_hash unique (token_hash),
    constraint access_token_account foreign key (workshop_id, account_id) references account (workshop_id, id)
);
create table access_token_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    account_id uuid, name varchar(60), scopes varchar(60), made_at datetime(6), last_day date, removed boolean,
    primary key (id, rev),
    constraint access_token_aud_rev foreign key (rev) references revision (id)
);
