-- When a piece was hung, where that was entered as it was done; of what was entered later nobody knows the hour.
alter table piece add hung_at datetime(6);
alter table piece_aud add hung_at datetime(6);

-- What the clock of a house went by before, and until when: days that are past stay what they were.
alter table workshop add zones_before varchar(2000) not null default '';
alter table workshop_aud add zones_before varchar(2000);
