-- Whether the plates of a triangle have codes of their own. Absent where a tasting was laid before they had.
alter table tasting add codes_by_plate boolean;
alter table tasting_aud add codes_by_plate boolean;
