-- Who sees to a chamber, if it is one person's work.
alter table chamber
    add keeper_id uuid,
    add constraint chamber_keeper foreign key (workshop_id, keeper_id) references account (workshop_id, id);
alter table chamber_aud add keeper_id uuid;
