-- What several application nodes have to know of one another. Nothing of it is a record.

-- What is known of a scale now: its figures come to one node and are watched or tared at another.
create table scale_state (
    device_id uuid not null primary key,
    number bigint not null,
    state text not null,
    shown text not null,
    constraint scale_state_device foreign key (device_id) references device (id) on delete cascade
);

-- How often somebody asked in a minute, at any node.
create table request_count (
    name varchar(80) not null primary key,
    minute bigint not null,
    count int not null
);
