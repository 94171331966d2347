-- What a household keeps for the bench: lots of seed, media, methods and crops of its own, and more of its
-- containers; and what a sowing says of all that.

alter table containers
  add column empty_g double precision check (empty_g > 0),
  add column drains boolean not null default true,
  add column reservoir_ml double precision check (reservoir_ml > 0),
  -- How many there are; null while nobody has counted.
  add column owned integer check (owned between 0 and 500),
  add column retired_at timestamptz;

create table lots (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  crop_key text not null,
  name text not null check (length(name) between 1 and 80),
  -- What it held when it was last weighed; sowings made since draw it down.
  weighed_g double precision not null check (weighed_g >= 0),
  weighed_at timestamptz not null,
  price double precision check (price >= 0),
  bought_on date,
  best_before date,
  packet_pct double precision check (packet_pct > 0 and packet_pct <= 100),
  test_sprouted integer,
  test_of integer,
  retired_at timestamptz,
  primary key (household_id, id),
  check ((test_sprouted is null) = (test_of is null)),
  check (test_of is null or (test_of between 1 and 10000 and test_sprouted between 0 and test_of))
);

create table media (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  name text not null check (length(name) between 1 and 60),
  kind text not null,
  -- Litres that a dry kg swells to, off the brick; null for the usual figure, or what does not swell.
  swell_l_kg double precision check (swell_l_kg between 1 and 30),
  -- What it is mixed of, as [{name, parts}]; null for one thing.
  parts jsonb,
  retired_at timestamptz,
  primary key (household_id, id)
);

create table methods (
  household_id uuid not null references households on delete cascade,
  key text not null,
  name text not null check (length(name) between 1 and 60),
  -- One answer to each question, as the core's Method.
  answers jsonb not null,
  retired_at timestamptz,
  primary key (household_id, key)
);

create table own_crops (
  household_id uuid not null references households on delete cascade,
  -- A library crop's key where its figures are overruled.
  key text not null,
  based_on text not null,
  -- The core's Crop.
  figures jsonb not null,
  retired_at timestamptz,
  primary key (household_id, key)
);

alter table sowings
  add column method jsonb,
  add column area_share double precision not null default 1 check (area_share > 0 and area_share <= 1),
  -- Parts of blended seed as [{cropKey, areaShare, seedG, lotId}]; null for one crop.
  add column mix jsonb,
  add column lot_id uuid,
  add column medium_id uuid,
  add foreign key (household_id, lot_id) references lots,
  add foreign key (household_id, medium_id) references media;
create index on sowings (household_id, lot_id) where lot_id is not null;

do $$
declare
  app name := current_setting('brote.app_role');
  each_table name;
begin
  foreach each_table in array array['lots', 'media', 'methods', 'own_crops'] loop
    execute format('alter table %I enable row level security', each_table);
    execute format(
      'create policy own_household on %I using (household_id = (select current_household())) with check (household_id = (select current_household()))',
      each_table
    );
    execute format('grant select, insert, update on %I to %I', each_table, app);
  end loop;
  execute format('grant update (name, empty_g, drains, reservoir_ml, owned, retired_at) on containers to %I', app);
end $$;
