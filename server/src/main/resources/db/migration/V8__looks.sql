-- What was seen and smelled; belongs to the log entry of the same id and is as lasting.
create table look (
    id uuid not null primary key,
    workshop_id uuid not null,
    piece_id uuid not null,
    colour varchar(20) not null,
    surface varchar(20) not null,
    moulds varchar(100) not null,
    extent varchar(20) not null,
    smell varchar(20) not null,
    spots varchar(100) not null,
    depth varchar(20) not null,
    lifted_percent int not null,
    seal_open boolean not null,
    constraint look_of_workshop unique (workshop_id, id),
    constraint look_entry foreign key (workshop_id, id) references log_entry (workshop_id, id),
    constraint look_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id)
);

-- A picture of a look, made small, without what the camera wrote about place and time.
create table look_photo (
    id uuid not null primary key,
    workshop_id uuid not null,
    look_id uuid not null,
    jpeg mediumblob not null,
    taken_in_at datetime(6) not null,
    account_id uuid not null,
    constraint look_photo_look foreign key (workshop_id, look_id) references look (workshop_id, id),
    constraint look_photo_account foreign key (workshop_id, account_id) references account (workshop_id, id)
);

-- Where a piece hung before; its log says when, by the entry of the same id.
create table piece_move (
    id uuid not null primary key,
    workshop_id uuid not null,
    piece_id uuid not null,
    from_chamber_id uuid not null,
    to_chamber_id uuid not null,
    constraint piece_move_entry foreign key (workshop_id, id) references log_entry (workshop_id, id),
    constraint piece_move_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id),
    constraint piece_move_from foreign key (workshop_id, from_chamber_id) references chamber (workshop_id, id),
    constraint piece_move_to foreign key (workshop_id, to_chamber_id) references chamber (workshop_id, id)
);
