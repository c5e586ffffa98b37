#!/usr/bin/env bash
# How long the record's queries take with two million sets: ten years of 200 clients. By hand: ./istmo bench-record (some minutes, a throw-away database).
# Prints the plan and the time of every query that a record screen asks; the queries are those of PerformedSetRepository and SeriesRepository.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd -P)
repo=$(dirname "$here")
eval "$("$here/pg.sh" env | sed 's/^/export /')"
sql() { PGPASSWORD=$DB_PASSWORD psql -X -q -v ON_ERROR_STOP=1 "${DB_URL#jdbc:}" -U "$DB_USER" "$@"; }
for migration in $(printf '%s\n' "$repo"/app/src/main/resources/db/migration/V*.sql | sort -V); do sql -f "$migration"; done
sql <<'SQL'
\echo filling
insert into coach (id, name, created_at) values ('00000000-0000-0000-0000-0000000000c0', 'Scale', now()) on conflict do nothing;
create table scale_client as select gen_random_uuid() as id, n from generate_series(1, 200) n;
insert into client (id, coach_id, version, name, stature_m, mass_kg, sex, thigh, ankle, pain, cautions, restrictions, profile, created_at)
select id, '00000000-0000-0000-0000-0000000000c0', 0, 'Client ' || n, 1.75, 75, 'MALE', 'USUAL', 'USUAL', '[]', '[]', '[]', '{}', now() from scale_client;
insert into gym (id, coach_id, version, name, equipment, created_at) values ('00000000-0000-0000-0000-0000000000a0', '00000000-0000-0000-0000-0000000000c0', 0, 'Scale', '[]', now());
-- twenty series each; four exercises in two sessions a week for ten years, two to three sets each: 10 000 sets a client
create table scale_series as select gen_random_uuid() as id, c.id as client_id, k from scale_client c, generate_series(0, 19) k;
insert into series (id, coach_id, client_id, candidate_id, setup) select id, '00000000-0000-0000-0000-0000000000c0', client_id, 'exercise-' || k || '/usual', '{}' from scale_series;
create table scale_session as select gen_random_uuid() as id, c.id as client_id, now() - interval '3.5 days' * w as at, w from scale_client c, generate_series(0, 1041) w;
insert into training_session (id, coach_id, client_id, gym_id, brief, created_at) select id, '00000000-0000-0000-0000-0000000000c0', client_id, '00000000-0000-0000-0000-0000000000a0', '{}', at from scale_session;
create table scale_item as select gen_random_uuid() as id, s.id as session_id, s.client_id, s.at, (s.w * 4 + x) % 20 as k from scale_session s, generate_series(0, 3) x;
insert into session_item (id, coach_id, session_id, position, candidate_id, setup, created_at, series_id)
select i.id, '00000000-0000-0000-0000-0000000000c0', i.session_id, i.k, 'exercise-' || i.k || '/usual', '{}', i.at, r.id from scale_item i join scale_series r on r.client_id = i.client_id and r.k = i.k;
insert into performed_set (id, coach_id, client_id, item_id, series_id, candidate_id, load_kg, repetitions, reserve, performed_at)
select gen_random_uuid(), '00000000-0000-0000-0000-0000000000c0', i.client_id, i.id, r.id, 'exercise-' || i.k || '/usual', 20 + random() * 80, 5 + random() * 10, 2, i.at + interval '3 minutes' * n
from scale_item i join scale_series r on r.client_id = i.client_id and r.k = i.k, generate_series(1, 3) n where n < 3 or i.k % 5 < 2;
-- in one set of ten it was said where it was felt
update performed_set set felt = '["VL"]' where ('x' || right(id::text, 4))::bit(16)::int % 10 = 0;
vacuum analyze performed_set, series, training_session, session_item;
select count(*) as sets from performed_set \gset
\echo :sets sets
select id as client from scale_client where n = 100 \gset
select id as series from scale_series where client_id = :'client' and k = 3 \gset
\set coach '00000000-0000-0000-0000-0000000000c0'
\timing on
\echo == list of series
explain (analyze, buffers, costs off) select series_id, min(candidate_id), count(distinct item_id), count(*), min(performed_at), max(performed_at) from performed_set where coach_id = :'coach' and client_id = :'client' and not removed group by series_id order by max(performed_at) desc, series_id;
\echo == one series, whole
explain (analyze, buffers, costs off) select * from performed_set where coach_id = :'coach' and series_id in (:'series') and not removed and performed_at >= 'epoch' order by performed_at, id;
\echo == half a year of a client: lessons, feeling, pain, what comes next
explain (analyze, buffers, costs off) select * from performed_set where coach_id = :'coach' and client_id = :'client' and not removed and performed_at >= now() - interval '182 days' order by performed_at, id;
\echo == weeks
explain (analyze, buffers, costs off) select cast(date_trunc('week', performed_at at time zone 'UTC') as date), candidate_id, reserve, kind, side, count(*) from performed_set where coach_id = :'coach' and client_id = :'client' and not removed and performed_at >= now() - interval '70 days' group by 1, 2, 3, 4, 5 order by 1, 2;
\echo == last times
explain (analyze, buffers, costs off) select distinct on (candidate_id) item_id from performed_set where not removed and coach_id = :'coach' and client_id = :'client' and candidate_id in ('exercise-1/usual', 'exercise-2/usual', 'exercise-3/usual', 'exercise-4/usual') and performed_at < now() and item_id not in (:'client') order by candidate_id, performed_at desc;
\echo == claims: what all clients felt in two years
explain (analyze, buffers, costs off) select * from performed_set where coach_id = :'coach' and felt is not null and not removed and performed_at >= now() - interval '731 days';
\echo == newest session
explain (analyze, buffers, costs off) select * from training_session where coach_id = :'coach' and client_id = :'client' order by created_at desc limit 1;
SQL
