-- A coach's own exercises: used by word, not computed. What is said of one can change; its name in earlier sessions follows.
create table own_exercise (
  id uuid primary key,
  coach_id uuid not null references coach,
  name text not null,
  said jsonb not null,
  version integer not null,
  created_at timestamptz not null,
  retired_at timestamptz
);
create unique index own_exercise_by_name on own_exercise (coach_id, lower(name));
