-- What pictures told of a client's technique, in numbers. No picture is kept.
create table sighting (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client on delete cascade,
  candidate_id text not null,
  seen_on date not null,
  load_kg double precision not null,
  told jsonb not null,
  created_at timestamptz not null
);
create index sighting_by_client on sighting (coach_id, client_id, seen_on);
