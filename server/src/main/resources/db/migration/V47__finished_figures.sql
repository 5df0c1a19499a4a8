-- What the log of a finished piece says, as it was at a version of it. Made from the log whenever it is not here, and checked
-- against it; nothing is known first here.
create table finished_figures (
    piece_id uuid not null primary key,
    workshop_id uuid not null,
    rules int not null,
    log_version int not null,
    green_grams int not null,
    measured boolean not null,
    withdrawn int not null,
    aged int not null,
    cut_away int not null,
    remaining double not null,
    piles varchar(200) character set ascii not null,
    steaks int not null,
    pulled_at datetime(6),
    closed_by uuid,
    constraint finished_figures_workshop foreign key (workshop_id) references workshop (id)
);
create index finished_figures_of_house on finished_figures (workshop_id);
