-- Households, their places and containers, their sowings, and the log of what happened.
-- Every table carries household_id and row-level security: a request sees the household it has set, no
-- other, whatever its queries say. The role that the application signs in as owns none of this.

create function current_household() returns uuid
  language sql stable
  return nullif(current_setting('brote.household_id', true), '')::uuid;

create table households (
  household_id uuid primary key,
  name text not null check (length(name) between 1 and 80),
  -- Folded name, for signing in whatever the case.
  name_key text not null unique,
  zone text not null,
  units text not null check (units in ('metric', 'us')),
  passphrase_hash text not null,
  latitude_deg double precision not null check (latitude_deg between -90 and 90),
  wake_min integer not null check (wake_min between 0 and 1439),
  sleep_min integer not null check (sleep_min between 1 and 1439 and sleep_min > wake_min),
  rounds_min integer[] not null check (cardinality(rounds_min) between 1 and 6),
  method_key text not null,
  -- Set in the demo alone, whose clock can be moved forward.
  demo boolean not null default false,
  clock_ahead_ms bigint not null default 0,
  created_at timestamptz not null default now()
);

create table members (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  name text not null check (length(name) between 1 and 40),
  name_key text not null,
  primary key (household_id, id),
  unique (household_id, name_key)
);

create table sessions (
  household_id uuid not null references households on delete cascade,
  -- SHA-256 of the token; the token itself is only in the member's browser.
  token_hash bytea primary key,
  member_id uuid not null,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null,
  foreign key (household_id, member_id) references members on delete cascade
);

create table sign_in_attempts (
  household_id uuid,
  name_key text not null,
  at timestamptz not null default now()
);
create index on sign_in_attempts (name_key, at);

create table places (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  name text not null check (length(name) between 1 and 60),
  position integer not null,
  light_kind text not null check (light_kind in ('lamp', 'sill')),
  lamp_ppfd double precision,
  lamp_hours double precision,
  sill_aspect text check (sill_aspect in ('midday', 'side', 'away')),
  sill_back boolean,
  day_c double precision not null,
  night_c double precision not null,
  humidity_pct double precision not null,
  moving_air boolean not null,
  primary key (household_id, id),
  check ((light_kind = 'lamp') = (lamp_ppfd is not null and lamp_hours is not null)),
  check ((light_kind = 'sill') = (sill_aspect is not null and sill_back is not null))
);

create table containers (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  name text not null check (length(name) between 1 and 60),
  shape text not null check (shape in ('rectangle', 'round', 'cells')),
  length_cm double precision not null check (length_cm > 0),
  width_cm double precision not null check (width_cm > 0),
  depth_cm double precision not null check (depth_cm > 0),
  cells integer not null check (cells > 0),
  primary key (household_id, id),
  unique (household_id, shape, length_cm, width_cm, depth_cm, cells)
);

create table sowings (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  crop_key text not null,
  container_id uuid not null,
  count integer not null check (count > 0),
  medium text not null,
  method_key text not null,
  place_id uuid not null,
  seeds_per_cm2 double precision not null check (seeds_per_cm2 > 0),
  germination_pct double precision check (germination_pct > 0 and germination_pct <= 100),
  seed_g double precision not null check (seed_g > 0),
  soak_start_at timestamptz,
  soak_end_at timestamptz,
  sow_at timestamptz not null,
  created_at timestamptz not null,
  created_by uuid,
  -- Derived from the events, kept so that those under way are found fast; can be rebuilt from them.
  ended_at timestamptz,
  primary key (household_id, id),
  foreign key (household_id, container_id) references containers,
  foreign key (household_id, place_id) references places,
  check ((soak_start_at is null) = (soak_end_at is null))
);
create index on sowings (household_id) where ended_at is null;
create index on sowings (household_id, ended_at desc);

create table events (
  household_id uuid not null references households on delete cascade,
  -- Made by the client: a retry or a double tap is one event.
  id uuid not null,
  sowing_id uuid not null,
  member_id uuid,
  type text not null,
  at timestamptz not null,
  task_key text,
  body jsonb not null,
  seq bigint generated always as identity,
  recorded_at timestamptz not null default now(),
  primary key (household_id, id),
  foreign key (household_id, sowing_id) references sowings on delete cascade
);
create index on events (household_id, sowing_id, at, seq);

do $$
declare
  app name := current_setting('brote.app_role');
  each_table name;
begin
  foreach each_table in array array['households', 'members', 'sessions', 'places', 'containers', 'sowings', 'events'] loop
    execute format('alter table %I enable row level security', each_table);
    execute format(
      'create policy own_household on %I using (household_id = current_household()) with check (household_id = current_household())',
      each_table
    );
  end loop;
  -- Reached only through the functions below.
  alter table sign_in_attempts enable row level security;

  execute format('grant usage on schema public to %I', app);
  execute format('grant select, insert, update on households, members, places to %I', app);
  execute format('grant select, insert on containers to %I', app);
  execute format('grant select, insert, delete on sessions to %I', app);
  execute format('grant select, insert on sowings to %I', app);
  execute format('grant update (ended_at) on sowings to %I', app);
  -- Events are facts: added, never changed.
  execute format('grant select, insert on events to %I', app);
end $$;

-- What must be known before a household is: run with the owner's rights, each telling just what it is for.

create function open_session(hash bytea)
  returns table (household households, member_id uuid, member_name text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select h, m.id, m.name
    from sessions s
    join households h using (household_id)
    join members m on m.household_id = s.household_id and m.id = s.member_id
    where s.token_hash = hash and s.expires_at > now()
  $$;

create function find_household(key text)
  returns table (household_id uuid, passphrase_hash text)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select h.household_id, h.passphrase_hash from households h where h.name_key = key $$;

create function any_household() returns boolean
  language sql stable security definer set search_path = public, pg_temp
  as $$ select exists (select from households) $$;

create function demo_household() returns uuid
  language sql stable security definer set search_path = public, pg_temp
  as $$ select h.household_id from households h where h.demo limit 1 $$;

-- Counts the failed attempts on a name in the last quarter of an hour, and how long ago the last one was.
create function failed_sign_ins(key text)
  returns table (failures integer, seconds_ago double precision)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select count(*)::integer, extract(epoch from now() - max(at))::double precision
    from sign_in_attempts where name_key = key and at > now() - interval '15 minutes'
  $$;

create function note_failed_sign_in(key text) returns void
  language sql security definer set search_path = public, pg_temp
  as $$
    delete from sign_in_attempts where at < now() - interval '1 day';
    insert into sign_in_attempts (household_id, name_key)
      select (select household_id from households where name_key = key), key;
  $$;

create function forget_failed_sign_ins(key text) returns void
  language sql security definer set search_path = public, pg_temp
  as $$ delete from sign_in_attempts where name_key = key $$;

do $$
declare
  app name := current_setting('brote.app_role');
  each_function text;
begin
  foreach each_function in array array[
    'current_household()', 'open_session(bytea)', 'find_household(text)', 'any_household()', 'demo_household()',
    'failed_sign_ins(text)', 'note_failed_sign_in(text)', 'forget_failed_sign_ins(text)'
  ] loop
    execute format('revoke all on function %s from public', each_function);
    execute format('grant execute on function %s to %I', each_function, app);
  end loop;
end $$;
