-- What is measured where trays stand, and by what; more about places; what each tray says of how fast water
-- goes in its household.

alter table places
  drop constraint places_light_kind_check,
  add constraint places_light_kind_check check (light_kind in ('lamp', 'sill', 'dark')),
  -- Off the lamp's label, where its PPFD was worked out.
  add column lamp_watts double precision check (lamp_watts > 0),
  add column lamp_distance_cm double precision check (lamp_distance_cm >= 0),
  -- The board, and what it is rated to carry.
  add column width_cm double precision check (width_cm > 0),
  add column depth_cm double precision check (depth_cm > 0),
  add column rated_g double precision check (rated_g > 0),
  -- Somebody has looked at the rating and says that it holds.
  add column rating_sure boolean not null default false,
  -- What was measured there of late, packed as the core reads it. Derived from the readings, so that a round
  -- need not look for it; can be rebuilt.
  add column air text;

create table devices (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  name text not null check (length(name) between 1 and 60),
  place_id uuid not null,
  -- SHA-256 of its token; the token itself is shown once and kept nowhere.
  token_hash bytea not null unique,
  created_at timestamptz not null default now(),
  -- The last reading that was not taken, and why.
  refused_at timestamptz,
  refused text,
  retired_at timestamptz,
  primary key (household_id, id),
  foreign key (household_id, place_id) references places
);

create table readings (
  household_id uuid not null references households on delete cascade,
  place_id uuid not null,
  at timestamptz not null,
  -- A device's id, or `hand` or `file`: sending the same reading again changes nothing.
  source text not null,
  temp_c real not null check (temp_c between -10 and 50),
  humidity_pct real check (humidity_pct between 1 and 100),
  primary key (household_id, place_id, at, source),
  foreign key (household_id, place_id) references places
);

-- Means of three hours, as the crop's clock takes them. Derived from the readings and written anew with them,
-- so that a round need not read every one; can be rebuilt.
create table air (
  household_id uuid not null references households on delete cascade,
  place_id uuid not null,
  -- Whole stretches of three hours since 1970.
  bin integer not null,
  -- Tenths of a degree.
  deci_c integer not null,
  humidity_pct integer,
  primary key (household_id, place_id, bin),
  foreign key (household_id, place_id) references places
);

alter table sowings
  add column thirst_mean double precision,
  add column thirst_variance double precision check (thirst_variance > 0),
  add check ((thirst_mean is null) = (thirst_variance is null));

do $$
declare
  app name := current_setting('brote.app_role');
  each_table name;
begin
  foreach each_table in array array['devices', 'readings', 'air'] loop
    execute format('alter table %I enable row level security', each_table);
    execute format(
      'create policy own_household on %I using (household_id = (select current_household())) with check (household_id = (select current_household()))',
      each_table
    );
  end loop;
  execute format('grant select, insert, update on devices, air to %I', app);
  -- Readings are facts: added, never changed.
  execute format('grant select, insert on readings to %I', app);
  execute format('grant update (thirst_mean, thirst_variance) on sowings to %I', app);
end $$;

-- Whose device a token is, before a household is known.
create function open_device(hash bytea)
  returns table (household households, device_id uuid, device_name text, place_id uuid)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select h, d.id, d.name, d.place_id
    from devices d join households h using (household_id)
    where d.token_hash = hash and d.retired_at is null
  $$;

do $$
declare
  app name := current_setting('brote.app_role');
begin
  execute 'revoke all on function open_device(bytea) from public';
  execute format('grant execute on function open_device(bytea) to %I', app);
end $$;
