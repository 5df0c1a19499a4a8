-- How close the knife goes, and the crust somebody measured at a cut face.
alter table piece add column closeness varchar(20) not null default 'USUAL', add column crust_tenths_mm int;
alter table piece_aud add column closeness varchar(20), add column crust_tenths_mm int;

-- How many steaks a container of that pile held; 0 for ends and roasts, absent where nobody counted.
alter table log_entry add column steaks int;

-- Grind and tallow: what was made of packs and of meat bought for it. Its weight may be corrected.
create table making (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    number int not null,
    product varchar(20) not null,
    grams int not null,
    words varchar(400) not null,
    made_at datetime(6) not null,
    account_id uuid not null,
    undone boolean not null,
    constraint making_of_workshop unique (workshop_id, id),
    constraint making_number unique (workshop_id, number),
    constraint making_account foreign key (workshop_id, account_id) references account (workshop_id, id)
);
create table making_aud (
    id uuid not null, rev bigint not null, revtype tinyint, workshop_id uuid,
    number int, product varchar(20), grams int, words varchar(400), made_at datetime(6), account_id uuid,
    undone boolean,
    primary key (id, rev),
    constraint making_aud_rev foreign key (rev) references revision (id)
);

-- Meat bought for a grind. What came from packs stands among what went out of them.
create table making_bought (
    id uuid not null primary key,
    workshop_id uuid not null,
    making_id uuid not null,
    name varchar(80) not null,
    grams int not null,
    price_minor_per_kg int not null,
    constraint making_bought_making foreign key (workshop_id, making_id) references making (workshop_id, id)
);

alter table pack_out add column making_id uuid,
    add constraint pack_out_making foreign key (workshop_id, making_id) references making (workshop_id, id);

-- A pack comes from a piece or from something that was made.
alter table pack modify piece_id uuid, add column making_id uuid,
    add constraint pack_making foreign key (workshop_id, making_id) references making (workshop_id, id),
    add constraint pack_from_one check ((piece_id is null) <> (making_id is null));
