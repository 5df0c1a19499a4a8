-- What calendars were told of each task, so that a changed one is known to be newer and an unchanged one to be the same.
create table calendar_event (
    workshop_id uuid not null,
    uid varchar(120) not null,
    content_hash char(64) not null,
    sequence int not null,
    modified_at datetime(6) not null,
    primary key (workshop_id, uid),
    constraint calendar_event_workshop foreign key (workshop_id) references workshop (id)
);
