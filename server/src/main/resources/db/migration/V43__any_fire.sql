-- Oven, grill and pan have a heat, the meat a temperature as it is put on, and a probe puts the times right.
alter table tasting
    add column fire_tenths int,
    add column start_tenths int;
alter table tasting_aud
    add column fire_tenths int,
    add column start_tenths int;
alter table tasting_sample
    add column probe_minutes double,
    add column probe_tenths int;
alter table tasting_sample_aud
    add column probe_minutes double,
    add column probe_tenths int;
