-- A week planned for one client in one gym. Every edit is a revision of its own, so that each can be undone; head is the one that counts.
create table week_plan (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client,
  gym_id uuid not null references gym,
  brief jsonb not null,
  head integer not null,
  version integer not null,
  created_at timestamptz not null,
  changed_at timestamptz not null,
  removed_at timestamptz
);
create index week_plan_by_coach on week_plan (coach_id, changed_at desc);
create index week_plan_by_client on week_plan (coach_id, client_id, changed_at desc);

create table week_revision (
  id uuid primary key,
  coach_id uuid not null references coach,
  plan_id uuid not null references week_plan on delete cascade,
  number integer not null,
  what text not null,
  document jsonb not null,
  made_at timestamptz not null,
  unique (plan_id, number)
);

-- A link by which a client reads the plan. Only the token's hash is kept.
create table week_share (
  id uuid primary key,
  coach_id uuid not null references coach,
  plan_id uuid not null references week_plan on delete cascade,
  token_hash text not null unique,
  created_at timestamptz not null,
  revoked_at timestamptz
);
create index week_share_by_plan on week_share (plan_id);

-- What the plan asked for when a session was begun from it, in lines of words.
alter table session_item add column prescribed jsonb;
