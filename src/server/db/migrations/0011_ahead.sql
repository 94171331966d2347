-- What is to be sown when: what a household eats and likes, and what is laid again and again.

-- Somebody who eats greens, or all of a household together: grams a day, Monday to Sunday.
create table eaters (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  name text not null check (length(name) between 1 and 40),
  g_by_weekday jsonb not null check (jsonb_typeof(g_by_weekday) = 'array' and jsonb_array_length(g_by_weekday) = 7),
  position integer not null default 0,
  primary key (household_id, id)
);

-- What is thought of a crop, and which share of a week's greens it is to be.
create table tastes (
  household_id uuid not null references households on delete cascade,
  crop_key text not null check (length(crop_key) between 1 and 60),
  taste text not null check (taste in ('liked', 'usual', 'disliked')),
  least_share double precision check (least_share between 0 and 1),
  most_share double precision check (most_share between 0 and 1),
  primary key (household_id, crop_key),
  check (least_share is null or most_share is null or least_share <= most_share)
);

-- A crop in a container, again and again: every so many days, ready on weekdays, or always one going.
create table standing_orders (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  crop_key text not null check (length(crop_key) between 1 and 60),
  container_id uuid not null,
  count integer not null check (count between 1 and 60),
  medium text not null,
  medium_id uuid,
  method_key text not null check (length(method_key) between 1 and 60),
  place_id uuid not null,
  -- Grams of one's own for all of it; null for the crop's usual.
  own_seed_g double precision check (own_seed_g > 0 and own_seed_g <= 100000),
  rule jsonb not null,
  from_day date not null,
  created_at timestamptz not null default now(),
  ended_at timestamptz,
  primary key (household_id, id),
  foreign key (household_id, container_id) references containers,
  foreign key (household_id, place_id) references places,
  foreign key (household_id, medium_id) references media
);

-- What became of a day of an order: begun as a sowing, or left out.
create table standing_order_days (
  household_id uuid not null references households on delete cascade,
  order_id uuid not null,
  day date not null,
  sowing_id uuid,
  primary key (household_id, order_id, day),
  foreign key (household_id, order_id) references standing_orders on delete cascade,
  foreign key (household_id, sowing_id) references sowings on delete cascade
);

-- A planned sowing that stays as it is, whatever is proposed.
alter table sowings add column locked boolean not null default false;
-- Weekdays on which nobody has time to soak or sow, 1 for Monday to 7.
alter table households
  add column days_off smallint[] not null default '{}' check (days_off <@ array[1, 2, 3, 4, 5, 6, 7]::smallint[]);

-- What was one figure is somebody who eats it.
select set_config('brote.door', 'open', true);
insert into eaters (household_id, id, name, g_by_weekday)
  select household_id, gen_random_uuid(), 'All of us', to_jsonb(array_fill(appetite_g, array[7]))
  from households where appetite_g is not null;
select set_config('brote.door', '', true);
alter table households drop column appetite_g;

-- As before, with what is new here.
create or replace function empty_household() returns void
  language plpgsql volatile security definer set search_path = public, pg_temp
  as $$
  declare
    here uuid := current_household();
  begin
    if here is null then
      raise exception 'No household is set.';
    end if;
    delete from standing_order_days where household_id = here;
    delete from standing_orders where household_id = here;
    delete from eaters where household_id = here;
    delete from tastes where household_id = here;
    delete from sowings where household_id = here;
    delete from lots where household_id = here;
    delete from media where household_id = here;
    delete from methods where household_id = here;
    delete from own_crops where household_id = here;
    delete from containers where household_id = here;
    delete from readings where household_id = here;
    delete from air where household_id = here;
    delete from devices where household_id = here;
    delete from places where household_id = here;
    delete from prices where household_id = here;
    delete from away where household_id = here;
    delete from turns where household_id = here;
    delete from reminders where household_id = here;
    delete from deliveries where household_id = here;
    delete from calendar where household_id = here;
    delete from judging where household_id = here;
  end $$;

do $$
declare
  app name := current_setting('brote.app_role');
  kept name;
begin
  foreach kept in array array['eaters', 'tastes', 'standing_orders', 'standing_order_days']::name[] loop
    execute format('alter table %I enable row level security', kept);
    execute format('alter table %I force row level security', kept);
    execute format(
      'create policy own_household on %I using (household_id = (select current_household())) with check (household_id = (select current_household()))',
      kept
    );
    execute format(
      'create policy doorkeeper on %I to %I using (session_user <> current_user or current_setting(''brote.door'', true) = ''open'') with check (session_user <> current_user or current_setting(''brote.door'', true) = ''open'')',
      kept, current_user
    );
    execute format('grant select, insert, update, delete on %I to %I', kept, app);
  end loop;
  execute format('grant select (locked), update (locked), insert (locked) on sowings to %I', app);
  execute format('grant select (days_off), update (days_off) on households to %I', app);
end $$;
