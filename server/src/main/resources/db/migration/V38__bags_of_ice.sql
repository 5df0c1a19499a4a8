-- What a bag of the ice a piece lies on holds, g.
alter table piece add column ice_bag_grams int;
alter table piece_aud add column ice_bag_grams int;
