-- A coach's own schools: how tension is judged, and how much studies of activity count. One that was retired still judges the sessions that have it.
create table own_school (
  id uuid primary key,
  coach_id uuid not null references coach,
  label text not null,
  reason text not null,
  length_bias double precision not null,
  passive_weight double precision not null,
  activity_trust double precision not null,
  basics double precision not null,
  created_at timestamptz not null,
  retired_at timestamptz
);
create index own_school_by_coach on own_school (coach_id, created_at);
