-- Dated readings of clients, in SI or degrees as the kind says.
create table measurement (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client on delete cascade,
  kind text not null,
  side text not null,
  value double precision not null,
  taken_on date not null,
  created_at timestamptz not null
);
create index measurement_by_client on measurement (coach_id, client_id, taken_on);
