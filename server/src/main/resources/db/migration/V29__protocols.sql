-- The protocol a trial follows: its own, or one that came from another house.
alter table trial add protocol_id uuid;
alter table trial_aud add protocol_id uuid;

-- Files of other houses: protocols to follow, and what came of them there.
create table protocol_file (
    id uuid not null primary key,
    workshop_id uuid not null,
    protocol_id uuid not null,
    house varchar(80) not null,
    result boolean not null,
    content text not null,
    taken_in_at datetime(6) not null,
    account_id uuid not null,
    constraint protocol_file_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    key protocol_file_of_protocol (workshop_id, protocol_id)
);
