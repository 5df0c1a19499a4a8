-- What is smoked is smoked in bursts, counted in minutes; before each the meat is felt or measured.
alter table treatment_step
    add column felt_cold boolean,
    add column minutes int,
    add column last boolean not null default false;
