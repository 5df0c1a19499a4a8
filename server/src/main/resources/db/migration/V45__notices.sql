-- What people are told without asking: how each is reached, what was found, what was sent.
alter table workshop add column public_address varchar(200) not null default '';
alter table workshop_aud add column public_address varchar(200);

-- How a person is told; without a row, as everybody begins.
create table notice_choice (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    mail varchar(120) not null,
    locale varchar(40) not null,
    zone varchar(40) not null,
    morning_at time not null,
    quiet_from time not null,
    quiet_to time not null,
    own_work_only boolean not null,
    ways varchar(200) not null,
    constraint notice_choice_workshop foreign key (workshop_id) references workshop (id),
    constraint notice_choice_account foreign key (id) references account (id)
);

-- A browser that shows messages.
create table phone (
    id uuid not null primary key,
    workshop_id uuid not null,
    account_id uuid not null,
    name varchar(80) not null,
    endpoint varchar(1000) not null,
    open_key varchar(120) not null,
    shared_secret varchar(40) not null,
    added_at datetime(6) not null,
    constraint phone_workshop foreign key (workshop_id) references workshop (id),
    constraint phone_account foreign key (account_id) references account (id)
);

-- How the house tells: its mail server, its other program, who is told of an alarm one after another.
create table house_notices (
    id uuid not null primary key,
    workshop_id uuid not null,
    version int not null,
    mail_host varchar(200) not null,
    mail_port int not null,
    mail_security varchar(10) not null,
    mail_user varchar(200) not null,
    mail_password varchar(1000) not null,
    mail_from varchar(120) not null,
    hook_address varchar(500) not null,
    hook_secret varchar(1000) not null,
    hook_groups varchar(60) not null,
    warm_minutes int not null,
    silent_minutes int not null,
    steps varchar(1000) not null,
    constraint house_notices_workshop foreign key (workshop_id) references workshop (id)
);

-- What is or was wrong. While it goes on it has a name that no other has, so that it is found once.
create table alarm (
    id uuid not null primary key,
    workshop_id uuid not null,
    kind varchar(12) not null,
    chamber_id uuid,
    subject varchar(80) not null,
    words varchar(400) not null,
    began_at datetime(6) not null,
    raised_at datetime(6) not null,
    ended_at datetime(6),
    end_words varchar(400),
    open_name varchar(60),
    constraint alarm_workshop foreign key (workshop_id) references workshop (id),
    constraint alarm_chamber foreign key (chamber_id) references chamber (id),
    constraint alarm_once unique (workshop_id, open_name)
);
create index alarm_by_time on alarm (workshop_id, raised_at);

-- What people answered; the last word counts.
create table alarm_answer (
    id uuid not null primary key,
    workshop_id uuid not null,
    alarm_id uuid not null,
    kind varchar(12) not null,
    account_id uuid not null,
    answered_at datetime(6) not null,
    until_at datetime(6),
    to_account_id uuid,
    constraint alarm_answer_workshop foreign key (workshop_id) references workshop (id),
    constraint alarm_answer_alarm foreign key (alarm_id) references alarm (id),
    constraint alarm_answer_account foreign key (account_id) references account (id),
    constraint alarm_answer_to foreign key (to_account_id) references account (id)
);

-- What somebody is told, once: its key names it. Nobody's account is that of the house's other program.
create table notice (
    id uuid not null primary key,
    workshop_id uuid not null,
    notice_key varchar(160) not null,
    account_id uuid,
    kind varchar(12) not null,
    loudness varchar(10) not null,
    text text not null,
    path varchar(200) not null,
    alarm_id uuid,
    about text,
    made_at datetime(6) not null,
    constraint notice_workshop foreign key (workshop_id) references workshop (id),
    constraint notice_account foreign key (account_id) references account (id),
    constraint notice_alarm foreign key (alarm_id) references alarm (id),
    constraint notice_once unique (workshop_id, notice_key)
);
create index notice_by_time on notice (workshop_id, made_at);

-- Each way it goes: the outbox. Written with the notice, in one transaction.
create table delivery (
    id uuid not null primary key,
    workshop_id uuid not null,
    notice_id uuid not null,
    channel varchar(10) not null,
    phone_id uuid,
    state varchar(10) not null,
    urgent boolean not null,
    tries int not null,
    next_try_at datetime(6) not null,
    claimed_until datetime(6),
    sent_at datetime(6),
    shown_at datetime(6),
    answer varchar(300) not null,
    constraint delivery_workshop foreign key (workshop_id) references workshop (id),
    constraint delivery_notice foreign key (notice_id) references notice (id) on delete cascade
);
create index delivery_waiting on delivery (state, channel, next_try_at);

-- The last morning each was thought of, whether or not there was anything to tell.
create table morning (
    account_id uuid not null primary key,
    workshop_id uuid not null,
    day date not null,
    constraint morning_workshop foreign key (workshop_id) references workshop (id)
);

-- Which of several application nodes does a job now (ShedLock).
create table shedlock (
    name varchar(64) not null primary key,
    lock_until timestamp(3) not null,
    locked_at timestamp(3) not null default current_timestamp(3),
    locked_by varchar(255) not null
);
