-- A sign-in name is one name however it is typed: signs of one look, blanks and capitals make no
-- other. Names of before are brought into that shape, unless two coaches would then share one.
with shaped as (
  select id, lower(regexp_replace(trim(normalize(sign_in_name, NFKC)), '\s+', ' ', 'g')) as name
  from coach where sign_in_name is not null
)
update coach set sign_in_name = shaped.name
from shaped
where coach.id = shaped.id
  and coach.sign_in_name <> shaped.name
  and length(shaped.name) between 3 and 120
  and (select count(*) from shaped other where other.name = shaped.name) = 1;
