-- The measure a trial is to be judged by, named beforehand; those of before are read by what all is eaten of.
alter table trial add measure varchar(20) not null default 'USABLE_YIELD';
alter table trial alter measure drop default;
alter table trial_aud add measure varchar(20);

-- Why meat was thrown away.
alter table log_entry add cause varchar(20);

-- What was changed from the trial before is seen from the two.
alter table trial drop column changed;
alter table trial_aud drop column changed;
