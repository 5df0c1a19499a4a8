-- Whether the weight at the pull was an estimate, because there was no scale: it counts in no figure.
alter table log_entry add estimated boolean not null default false;
alter table log_entry alter estimated drop default;
