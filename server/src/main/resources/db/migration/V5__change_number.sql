-- Raised once by every transaction that writes a row of the workshop, so that one read tells whether anything changed.
create table workshop_change (
    workshop_id uuid not null primary key,
    number bigint not null
);
