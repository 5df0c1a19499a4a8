-- A scale is a device that measures no chamber.
alter table device modify chamber_id uuid;
