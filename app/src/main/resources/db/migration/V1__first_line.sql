-- The first line from end to end. Every row belongs to a coach; nobody else's query may reach it.
create table coach (
  id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  created_at timestamptz not null
);

create table client (
  id uuid primary key,
  coach_id uuid not null references coach,
  version integer not null,
  name text not null check (length(name) between 1 and 120),
  stature_m double precision not null check (stature_m between 1.30 and 2.20),
  mass_kg double precision not null check (mass_kg between 35 and 220),
  sex text not null,
  thigh text not null,
  ankle text not null,
  pain jsonb not null,
  created_at timestamptz not null,
  unique (coach_id, name)
);

create table gym (
  id uuid primary key,
  coach_id uuid not null references coach,
  version integer not null,
  name text not null check (length(name) between 1 and 120),
  equipment jsonb not null,
  created_at timestamptz not null,
  unique (coach_id, name)
);

create table training_session (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client,
  gym_id uuid not null references gym,
  brief jsonb not null,
  created_at timestamptz not null,
  finished_at timestamptz
);
create index training_session_by_client on training_session (coach_id, client_id, created_at desc);

create table session_item (
  id uuid primary key,
  coach_id uuid not null references coach,
  session_id uuid not null references training_session on delete cascade,
  position integer not null,
  candidate_id text not null,
  setup jsonb not null,
  created_at timestamptz not null
);
create index session_item_by_session on session_item (session_id, position);

create table performed_set (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client,
  item_id uuid not null references session_item on delete cascade,
  candidate_id text not null,
  load_kg double precision not null check (load_kg between 0 and 1000),
  repetitions integer not null check (repetitions between 1 and 200),
  reserve double precision not null check (reserve between 0 and 10),
  performed_at timestamptz not null
);
create index performed_set_by_item on performed_set (item_id, performed_at);
-- "last time" of an exercise: newest first for one client and one candidate
create index performed_set_last_time on performed_set (coach_id, client_id, candidate_id, performed_at desc);
