-- What is written into the record is chained: each link holds the hash of its row and of the link before it. Rows that are
-- links, and the links themselves, can be neither changed nor deleted by whoever uses this database for the application.
create table chain_form (
    table_name varchar(40) not null,
    form int not null,
    columns varchar(2000) not null,
    primary key (table_name, form)
);

-- What a file brought, and whose key it was signed with.
create table chain_import (
    id uuid not null primary key,
    workshop_id uuid not null,
    house varchar(80) not null,
    made_at datetime(6) not null,
    taken_in_at datetime(6) not null,
    account_id uuid not null,
    key_print varchar(40)
);

-- Without foreign keys: those would ask for locks in an order of their own, at the end of every transaction that writes.
create table chain_link (
    workshop_id uuid not null,
    number bigint not null,
    table_name varchar(40) not null,
    row_id uuid not null,
    form int not null,
    row_hash char(64) character set ascii not null,
    linked_at bigint not null,
    import_id uuid,
    hash char(64) character set ascii not null,
    primary key (workshop_id, number),
    unique key chain_link_row (row_id, table_name)
);

-- Where the chain stood at a moment, signed with the house's key.
create table chain_checkpoint (
    workshop_id uuid not null,
    number bigint not null,
    hash char(64) character set ascii not null,
    made_at bigint not null,
    key_print varchar(40) not null,
    public_key varchar(100) not null,
    signature varchar(100) not null,
    primary key (workshop_id, number)
);

create trigger air_decision_unchanged before update on air_decision for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'air_decision') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger air_decision_kept before delete on air_decision for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'air_decision') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger air_origin_unchanged before update on air_origin for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'air_origin') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger air_origin_kept before delete on air_origin for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'air_origin') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger carcass_core_unchanged before update on carcass_core for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'carcass_core') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger carcass_core_kept before delete on carcass_core for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'carcass_core') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger carcass_part_unchanged before update on carcass_part for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'carcass_part') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger carcass_part_kept before delete on carcass_part for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'carcass_part') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger decision_unchanged before update on decision for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'decision') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger decision_kept before delete on decision for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'decision') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger fact_change_unchanged before update on fact_change for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'fact_change') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger fact_change_kept before delete on fact_change for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'fact_change') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger filled_silence_unchanged before update on filled_silence for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'filled_silence') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger filled_silence_kept before delete on filled_silence for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'filled_silence') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger log_entry_unchanged before update on log_entry for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'log_entry') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger log_entry_kept before delete on log_entry for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'log_entry') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger look_unchanged before update on look for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'look') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger look_kept before delete on look for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'look') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger look_photo_unchanged before update on look_photo for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'look_photo') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger look_photo_kept before delete on look_photo for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'look_photo') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger making_bought_unchanged before update on making_bought for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'making_bought') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger making_bought_kept before delete on making_bought for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'making_bought') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger pack_unchanged before update on pack for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'pack') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger pack_kept before delete on pack for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'pack') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger pack_out_unchanged before update on pack_out for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'pack_out') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger pack_out_kept before delete on pack_out for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'pack_out') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger piece_move_unchanged before update on piece_move for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'piece_move') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger piece_move_kept before delete on piece_move for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'piece_move') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger preparation_tick_unchanged before update on preparation_tick for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'preparation_tick') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger preparation_tick_kept before delete on preparation_tick for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'preparation_tick') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger protocol_file_unchanged before update on protocol_file for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'protocol_file') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger protocol_file_kept before delete on protocol_file for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'protocol_file') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger task_decision_unchanged before update on task_decision for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'task_decision') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger task_decision_kept before delete on task_decision for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'task_decision') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger tasting_sheet_unchanged before update on tasting_sheet for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'tasting_sheet') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger tasting_sheet_kept before delete on tasting_sheet for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'tasting_sheet') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger treatment_unchanged before update on treatment for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'treatment') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger treatment_kept before delete on treatment for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'treatment') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger treatment_step_unchanged before update on treatment_step for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'treatment_step') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger treatment_step_kept before delete on treatment_step for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'treatment_step') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger treatment_used_unchanged before update on treatment_used for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'treatment_used') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger treatment_used_kept before delete on treatment_used for each row
begin
    if exists (select 1 from chain_link where row_id = old.id and table_name = 'treatment_used') then
        signal sqlstate '45000' set message_text = 'A row of the record is never changed';
    end if;
end;

create trigger chain_link_unchanged before update on chain_link for each row
    signal sqlstate '45000' set message_text = 'A link of the record is never changed';

create trigger chain_link_kept before delete on chain_link for each row
    signal sqlstate '45000' set message_text = 'A link of the record is never changed';

create trigger chain_checkpoint_unchanged before update on chain_checkpoint for each row
    signal sqlstate '45000' set message_text = 'A link of the record is never changed';

create trigger chain_checkpoint_kept before delete on chain_checkpoint for each row
    signal sqlstate '45000' set message_text = 'A link of the record is never changed';

create trigger chain_import_unchanged before update on chain_import for each row
    signal sqlstate '45000' set message_text = 'A link of the record is never changed';

create trigger chain_import_kept before delete on chain_import for each row
    signal sqlstate '45000' set message_text = 'A link of the record is never changed';
