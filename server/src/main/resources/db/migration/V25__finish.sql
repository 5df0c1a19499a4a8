-- A sample is a piece and what was put on it.
alter table tasting_sample add finish varchar(20) not null default 'NOTHING';
alter table tasting_sample alter finish drop default;
alter table tasting_sample_aud add finish varchar(20);
