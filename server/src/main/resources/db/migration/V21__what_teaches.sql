-- A finished piece that contradicts the rest is left out of what the shop has learnt, unless somebody says that it is right.
alter table piece add column always_teaches boolean not null default false;
alter table piece_aud add column always_teaches boolean;
