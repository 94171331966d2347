-- Two halves are one container, and are known as one: by the id of the first of them.
alter table sowings add column tray_id uuid;
create index on sowings (household_id, tray_id) where tray_id is not null;

-- Halves planned before: two of one crop each, in the same container, at the same moment.
update sowings s set tray_id = pair.first
from (
  select household_id, container_id, created_at, (array_agg(id order by id))[1] as first, array_agg(id) as ids
  from sowings where area_share = 0.5 and mix is null
  group by household_id, container_id, created_at
  having count(*) = 2 and count(distinct crop_key) = 2
) pair
where s.household_id = pair.household_id and s.id = any (pair.ids);

-- Hours of soaking that were asked for, where they are not the crop's own; 0 for a soak left out.
alter table sowings add column soak_h double precision check (soak_h >= 0 and soak_h <= 72);

-- Containers alike are told apart by a number, given when something is sown in them and free again when it ends.
alter table sowings add column tray_no integer not null default 1 check (tray_no between 1 and 10000);
update sowings s set tray_no = numbered.first
from (
  select household_id, id, 1 + coalesce(sum(count) over (
    partition by household_id, container_id order by created_at, id rows between unbounded preceding and 1 preceding), 0) as first
  from sowings where ended_at is null and (tray_id is null or tray_id = id)
) numbered
where s.household_id = numbered.household_id and s.id = numbered.id;
update sowings s set tray_no = f.tray_no from sowings f
where f.household_id = s.household_id and f.id = s.tray_id and s.id <> s.tray_id;

-- A packet that was bought mixed: what is in it by weight, as [{cropKey, share}]; null for one crop, or where nobody knows.
alter table lots add column parts jsonb;
