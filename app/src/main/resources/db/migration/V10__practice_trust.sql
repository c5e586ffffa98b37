-- How much a school trusts what coaches agree on without a study; what was kept before trusts it as little as the stated schools do.
alter table own_school add column practice_trust double precision not null default 0.1;
alter table own_school alter column practice_trust drop default;
