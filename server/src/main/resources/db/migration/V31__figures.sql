-- How a person wants numbers, money and days written.
alter table account add column figures varchar(20) not null default 'DEVICE';
alter table account alter column figures drop default;
alter table account_aud add column figures varchar(20);
