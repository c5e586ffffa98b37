-- Cautions with their clearances, and written restrictions. Health notes: only the client's own coach reads them.
alter table client add column cautions jsonb not null default '[]';
alter table client add column restrictions jsonb not null default '[]';
