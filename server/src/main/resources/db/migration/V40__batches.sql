-- How many like things hang as one piece, with one record until they part.
alter table piece add column count int not null default 1;
alter table piece_aud add column count int;
