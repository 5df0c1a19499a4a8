-- A code that lets somebody choose their password once: an invitation, or one of those kept for the day it is forgotten.
create table password_code (
    code_hash char(64) character set ascii not null primary key,
    workshop_id uuid not null,
    account_id uuid not null,
    kind varchar(10) not null,
    ends_at datetime(6),
    index password_code_account (account_id)
);

-- A device and who has signed in on it before, several on a tablet they share. Strangers who guess shut none of them out of it.
create table known_device (
    token_hash char(64) character set ascii not null,
    workshop_id uuid not null,
    account_id uuid not null,
    seen_at datetime(6) not null,
    primary key (token_hash, account_id),
    index known_device_account (account_id)
);
