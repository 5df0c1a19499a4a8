-- A lesson that asks of several pieces has none of its own: what somebody said of its table or trial, and of which one.
alter table rehearsal modify piece_id uuid;
alter table rehearsal add column asked_id uuid;
alter table rehearsal add column claim varchar(20);
-- Lessons a person is to pass before they work alone.
create table lesson_asked (
    id uuid not null primary key,
    workshop_id uuid not null,
    account_id uuid not null,
    lesson varchar(40) not null,
    constraint lesson_asked_of_workshop unique (workshop_id, id),
    constraint lesson_asked_once unique (workshop_id, account_id, lesson),
    constraint lesson_asked_house foreign key (workshop_id) references workshop (id),
    constraint lesson_asked_person foreign key (workshop_id, account_id) references account (workshop_id, id)
);
