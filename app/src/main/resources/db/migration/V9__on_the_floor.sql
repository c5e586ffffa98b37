-- One exercise in one set-up is a series: another set-up is another record.
create table series (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client on delete cascade,
  candidate_id text not null,
  setup jsonb not null,
  unique (coach_id, client_id, candidate_id, setup)
);
insert into series (id, coach_id, client_id, candidate_id, setup)
select gen_random_uuid(), d.coach_id, d.client_id, d.candidate_id, d.setup
from (select distinct i.coach_id, s.client_id, i.candidate_id, i.setup from session_item i join training_session s on s.id = i.session_id) d;

-- What the floor needs of an exercise: which are done in turn, how, with which share of the load; and whether another took its place.
alter table session_item add column bout integer;
alter table session_item add column prescription jsonb;
alter table session_item add column load_share double precision not null default 1 check (load_share between 0.1 and 2);
alter table session_item add column ended boolean not null default false;
alter table session_item add column series_id uuid references series;
update session_item i set series_id = r.id
from training_session s, series r
where s.id = i.session_id and r.coach_id = i.coach_id and r.client_id = s.client_id and r.candidate_id = i.candidate_id and r.setup = i.setup;
alter table session_item alter column series_id set not null;

-- Everything that is written down of a set, and the revisions by which devices agree on it. A set that was taken out stays, so that a late message cannot bring it back.
alter table performed_set add column series_id uuid references series;
update performed_set p set series_id = i.series_id from session_item i where i.id = p.item_id;
alter table performed_set alter column series_id set not null;
alter table performed_set add column kind text not null default 'WORK';
alter table performed_set add column number integer check (number between 1 and 50);
alter table performed_set add column side text not null default 'NONE';
alter table performed_set add column range text;
alter table performed_set add column tempo_kept boolean;
alter table performed_set add column felt jsonb;
alter table performed_set add column pain_joint text;
alter table performed_set add column pain integer check (pain between 0 and 10);
alter table performed_set add column revision integer not null default 1;
alter table performed_set add column base integer not null default 0;
alter table performed_set add column device text not null default 'desk';
alter table performed_set add column seen jsonb not null default '{"desk": 1}';
alter table performed_set add column removed boolean not null default false;

drop index performed_set_last_time;
-- a client's newest sets, weeks and last times, straight from the index's order
create index performed_set_by_candidate on performed_set (coach_id, client_id, candidate_id, performed_at desc) where not removed;
create index performed_set_by_time on performed_set (coach_id, client_id, performed_at) where not removed;
create index performed_set_by_series on performed_set (series_id, performed_at) where not removed;
-- what all clients of a coach said of where it was felt
create index performed_set_felt on performed_set (coach_id, performed_at) where felt is not null and not removed;

-- Settings of a machine for a client, as they are read off it.
create table machine_mark (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client on delete cascade,
  gym_id uuid not null references gym,
  candidate_id text not null,
  words text not null check (length(words) <= 200),
  changed_at timestamptz not null,
  unique (coach_id, client_id, gym_id, candidate_id)
);

-- What the coach made of what the record teaches.
create table lesson_answer (
  id uuid primary key,
  coach_id uuid not null references coach,
  client_id uuid not null references client on delete cascade,
  kind text not null,
  subject text not null,
  accepted boolean not null,
  act text,
  words text,
  answered_at timestamptz not null,
  unique (coach_id, client_id, kind, subject)
);

-- Whether what was felt and what hurt counts in this client's order.
alter table client add column learns boolean not null default true;
