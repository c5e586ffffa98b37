-- A sore joint says what makes it hurt and how the coach goes about it.
update client set pain = (select coalesce(jsonb_agg(jsonb_build_object('joint', joint, 'movements', '[]'::jsonb, 'approach', 'LEAVE_OUT')), '[]'::jsonb) from jsonb_array_elements_text(pain) as joint);

-- Training age, schedule, habits, notes on comfort, likes and dislikes.
alter table client add column profile jsonb not null default '{}';

-- Lifts that a client is known to have done; they say how strong the client is.
create table known_lift (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client on delete cascade,
  candidate_id text not null,
  load_kg double precision not null check (load_kg between 0 and 1000),
  repetitions integer not null check (repetitions between 1 and 200),
  reserve double precision not null check (reserve between 0 and 10),
  done_on date not null,
  created_at timestamptz not null
);
create index known_lift_by_client on known_lift (coach_id, client_id, done_on);

-- What is measured of a gym's machines (item to detail to value), and the pulls with a hanging scale that some of it comes from.
alter table gym add column measured jsonb not null default '{}';
alter table gym add column pulls jsonb not null default '{}';
alter table gym add column plates jsonb not null default '[]';
