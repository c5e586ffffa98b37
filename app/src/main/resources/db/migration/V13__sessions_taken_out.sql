-- A session in which nothing was done can be taken out of every list, and put back.
alter table training_session add column removed_at timestamptz;
