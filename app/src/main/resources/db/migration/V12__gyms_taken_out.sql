-- A gym that was taken out is in no list and takes no new session or plan; what was done there keeps it.
alter table gym add column removed_at timestamptz;
