-- Passkeys, as Spring Security keeps them. A name is the id of an account.
create table user_entities (
    id varchar(200) character set ascii collate ascii_bin not null primary key,
    name varchar(200) character set ascii collate ascii_bin not null unique,
    display_name varchar(200) not null
);

create table user_credentials (
    credential_id varchar(700) character set ascii collate ascii_bin not null primary key,
    user_entity_user_id varchar(200) character set ascii collate ascii_bin not null,
    public_key blob not null,
    signature_count bigint,
    uv_initialized boolean,
    backup_eligible boolean not null,
    authenticator_transports varchar(1000),
    public_key_credential_type varchar(100),
    backup_state boolean not null,
    attestation_object blob,
    attestation_client_data_json blob,
    created timestamp(6) null,
    last_used timestamp(6) null,
    label varchar(200) not null,
    index user_credentials_user (user_entity_user_id)
);
