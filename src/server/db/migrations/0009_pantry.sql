-- What comes after the cut: greens in the pantry, containers that are to be cleaned, what things cost, and what each sowing
-- came to, kept beside it so that a large history is searched and sorted by the database.

alter table sowings
  -- Derived from the events, as ended_at is.
  add column sown_at timestamptz,
  add column opened_at timestamptz,
  add column first_cut_at timestamptz,
  add column cut_g double precision not null default 0,
  add column lost text,
  add column eaten_g double precision not null default 0,
  add column given_g double precision not null default 0,
  add column thrown_g double precision not null default 0,
  add column watered_g double precision not null default 0,
  add column in_pantry boolean not null default false,
  add column to_clean boolean not null default false,
  add column yield_mean double precision,
  add column yield_variance double precision check (yield_variance > 0),
  -- Folded: its crop, its containers, its place, its method, its notes, and why it was lost.
  add column words text not null default '',
  add check ((yield_mean is null) = (yield_variance is null)),
  -- Whether its container is followed on its way back to the shelf. What ended before that was asked is clean.
  add column cleaning boolean not null default true;
update sowings set cleaning = false where ended_at is not null;

create index on sowings (household_id) where in_pantry;
-- What a round passes, and what is in use.
create index on sowings (household_id) where ended_at is null or to_clean;
-- The notebook: its pages by time, how many there are, and which crops they are of.
create index on sowings (household_id, (coalesce(sown_at, sow_at)) desc nulls last, id);
create index on sowings (household_id) where sown_at is not null or ended_at is not null;
create index on sowings (household_id, crop_key);

alter table lots
  -- What the packet held that its price was paid for.
  add column packet_g double precision check (packet_g > 0);
update lots set packet_g = weighed_g where price is not null and weighed_g > 0;

alter table households
  add column currency text not null default 'EUR' check (currency ~ '^[A-Z]{3}$'),
  add column price_kwh double precision check (price_kwh > 0),
  add column price_feed_l double precision check (price_feed_l > 0);

-- What a medium costs, and what a crop costs in a shop.
create table prices (
  household_id uuid not null references households on delete cascade,
  of text not null check (of in ('medium', 'shop')),
  -- A medium's id or kind, or a crop's key.
  key text not null check (length(key) between 1 and 80),
  price double precision not null check (price > 0),
  -- What that buys: mL, or cm2 of what is bought by the piece; g in a shop.
  amount double precision not null check (amount > 0),
  uses integer not null default 1 check (uses between 1 and 1000),
  primary key (household_id, of, key)
);

do $$
declare
  app name := current_setting('brote.app_role');
begin
  alter table prices enable row level security;
  alter table prices force row level security;
  create policy own_household on prices
    using (household_id = (select current_household())) with check (household_id = (select current_household()));
  execute format(
    'create policy doorkeeper on prices to %I using (session_user <> current_user or current_setting(''brote.door'', true) = ''open'') with check (session_user <> current_user or current_setting(''brote.door'', true) = ''open'')',
    current_user
  );
  execute format('grant select, insert, update, delete on prices to %I', app);
  execute format(
    'grant update (sown_at, opened_at, first_cut_at, cut_g, lost, eaten_g, given_g, thrown_g, watered_g, in_pantry, to_clean, yield_mean, yield_variance, words) on sowings to %I',
    app
  );
end $$;


do $$
declare
  app name := current_setting('brote.app_role');
begin
  execute format('grant select (currency, price_kwh, price_feed_l), update (currency, price_kwh, price_feed_l) on households to %I', app);
end $$;

-- Takes all that a household wrote down away, but for its people and their sign-ins: so that what was exported can be taken
-- in again. The application may not delete what happened otherwise.
create function empty_household() returns void
  language plpgsql volatile security definer set search_path = public, pg_temp
  as $$
  declare
    here uuid := current_household();
  begin
    if here is null then
      raise exception 'No household is set.';
    end if;
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
begin
  revoke all on function empty_household() from public;
  execute format('grant execute on function empty_household() to %I', app);
end $$;
