-- A price that nobody wrote down is not a price of nothing.
alter table lot modify price_minor_per_kg int;
update lot set price_minor_per_kg = null where price_minor_per_kg = 0;

-- A household refrigerator runs anyway: its energy is not the meat's.
alter table chamber add for_meat_alone boolean not null default true;
update chamber set for_meat_alone = false where kind = 'REFRIGERATOR';
alter table chamber alter for_meat_alone drop default;
alter table chamber_aud add for_meat_alone boolean;

-- Labour by the work.
alter table workshop add bench_seconds_per_steak int not null default 0;
alter table workshop add bench_seconds_per_kg int not null default 0;
alter table workshop alter bench_seconds_per_steak drop default;
alter table workshop alter bench_seconds_per_kg drop default;
alter table workshop_aud add bench_seconds_per_steak int, add bench_seconds_per_kg int;
