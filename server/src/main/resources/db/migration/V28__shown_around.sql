-- Pages that are shown to whoever has their link; the token is gone once the link is taken back.
create table shared_page (
    id uuid not null primary key,
    workshop_id uuid not null,
    kind varchar(20) not null,
    subject_id uuid not null,
    token varchar(64) character set ascii collate ascii_bin,
    made_at datetime(6) not null,
    account_id uuid not null,
    constraint shared_page_token unique (token),
    constraint shared_page_account foreign key (workshop_id, account_id) references account (workshop_id, id),
    key shared_page_of_subject (workshop_id, subject_id)
);
