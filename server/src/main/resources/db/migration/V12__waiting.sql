-- A piece may be treated for days before it hangs; what it weighed when it was cut from its lot then stays known.
alter table piece add column cut_grams int;
alter table piece_aud add column cut_grams int;
