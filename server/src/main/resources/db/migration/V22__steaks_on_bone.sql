-- Steaks sawn through the bone; null where it is as usual of the cut.
alter table piece add column steaks_on_bone boolean;
alter table piece_aud add column steaks_on_bone boolean;
