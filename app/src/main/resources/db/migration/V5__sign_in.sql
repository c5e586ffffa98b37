-- A name and a bcrypt hash; a coach without a hash cannot sign in by name.
alter table coach add column sign_in_name text unique check (length(sign_in_name) between 3 and 120);
alter table coach add column password_hash text;
alter table coach add check ((sign_in_name is null) = (password_hash is null));

-- Failures in a row of a name, there or not; forgotten after a day.
create table sign_in_failure (
  sign_in_name text primary key,
  failures integer not null,
  last_at timestamptz not null
);

-- Spring Session 4.1, schema-postgresql.sql.
create table spring_session (
  primary_id char(36) not null primary key,
  session_id char(36) not null,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  primary key (session_primary_id, attribute_name)
);
