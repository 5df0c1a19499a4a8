-- What a piece was packed into. What is left of a pack is its weight less what went out.
create table pack (
    id uuid not null primary key,
    workshop_id uuid not null,
    number int not null,
    piece_id uuid not null,
    content varchar(20) not null,
    grams int not null,
    wrap varchar(20) not null,
    keeping varchar(20) not null,
    packed_on date not null,
    use_by date,
    place varchar(80) not null,
    account_id uuid not null,
    entered_at datetime(6) not null,
    constraint pack_of_workshop unique (workshop_id, id),
    constraint pack_number unique (workshop_id, number),
    constraint pack_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    constraint pack_account foreign key (workshop_id, account_id) references account (workshop_id, id)
);

-- What was taken out of a pack, where it went and who took it. Append-only; one that was a slip is taken back by another row.
create table pack_out (
    id uuid not null primary key,
    workshop_id uuid not null,
    pack_id uuid not null,
    way varchar(20) not null,
    grams int not null,
    words varchar(200) not null,
    happened_at datetime(6) not null,
    account_id uuid not null,
    takes_back uuid,
    constraint pack_out_of_workshop unique (workshop_id, id),
    constraint pack_out_back_once unique (workshop_id, takes_back),
    constraint pack_out_pack foreign key (workshop_id, pack_id) references pack (workshop_id, id),
    constraint pack_out_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    constraint pack_out_back foreign key (workshop_id, takes_back) references pack_out (workshop_id, id)
);

-- How long the workshop itself lets a pack be used; its own rule, or none.
create table pack_rule (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    content varchar(20) not null,
    wrap varchar(20) not null,
    keeping varchar(20) not null,
    days int not null,
    constraint pack_rule_once unique (workshop_id, content, wrap, keeping)
);
create table pack_rule_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    content varchar(20), wrap varchar(20), keeping varchar(20), days int,
    primary key (id, rev),
    constraint pack_rule_aud_rev foreign key (rev) references revision (id)
);
