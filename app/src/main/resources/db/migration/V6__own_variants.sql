-- A coach's own variants of exercises: a name for a set-up. One that was retired still names what was done with it.
create table own_variant (
  id uuid primary key,
  coach_id uuid not null references coach,
  exercise_id text not null,
  name text not null,
  setup jsonb not null,
  created_at timestamptz not null,
  retired_at timestamptz
);
create index own_variant_by_coach on own_variant (coach_id, created_at);
