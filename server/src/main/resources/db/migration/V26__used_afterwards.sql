-- How much of a treatment was used, told afterwards: the bottle before and after. The log entry has the same id.
create table treatment_used (
    id uuid not null primary key,
    workshop_id uuid not null,
    treatment_id uuid not null,
    piece_id uuid not null,
    full_amount double not null,
    left_amount double not null,
    measure varchar(20) not null,
    grams int not null,
    constraint treatment_used_entry foreign key (workshop_id, id) references log_entry (workshop_id, id),
    constraint treatment_used_treatment foreign key (workshop_id, treatment_id) references treatment (workshop_id, id),
    constraint treatment_used_piece foreign key (workshop_id, piece_id) references piece (workshop_id, id)
);
