-- Days and weeks are the coach's own: a set of a Sunday evening in the west counts in that week.
alter table coach add column time_zone varchar(64) not null default 'UTC';
