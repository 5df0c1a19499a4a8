-- A picture goes with a look, or is of a piece at any other moment. The table keeps its name: its rows are links under it.
alter table look_photo
    modify column look_id uuid,
    add column piece_id uuid,
    add column shows varchar(20),
    add column taken_at datetime(6),
    add constraint look_photo_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    add constraint look_photo_of check ((look_id is null) <> (piece_id is null));
