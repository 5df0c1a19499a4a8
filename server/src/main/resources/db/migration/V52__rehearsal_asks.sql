-- A lesson that asks of several pieces has none of its own: what somebody said of its table or trial, and of which one.
alter table rehearsal modify piece_id uuid;
alter table rehearsal add column asked_id uuid;
alter table rehearsal add column claim varchar(20);
