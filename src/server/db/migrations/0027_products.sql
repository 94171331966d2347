-- Products to disinfect with, as they stand in the cupboard: what strength its label gives, and since when it is open or bought.
create table products (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  name text not null check (length(name) between 1 and 60),
  kind text not null check (kind in ('hypochlorite', 'peroxide')),
  strength_pct double precision not null check (strength_pct > 0 and strength_pct <= 100),
  -- The date on its label, or when it was bought; null where nobody knows.
  dated_on date,
  retired_at timestamptz,
  primary key (household_id, id)
);

create constraint trigger within_limit after insert or update of retired_at on products
  deferrable initially deferred for each row when (new.retired_at is null) execute function hold_to_limit('20', 'retired_at is null');

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
    delete from products where household_id = here;
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
  alter table products enable row level security;
  alter table products force row level security;
  create policy own_household on products
    using (household_id = (select current_household())) with check (household_id = (select current_household()));
  execute format(
    'create policy doorkeeper on products to %I using (session_user <> current_user or current_setting(''brote.door'', true) = ''open'') with check (session_user <> current_user or current_setting(''brote.door'', true) = ''open'')',
    current_user
  );
  execute format('grant select, insert, update on products to %I', app);
  -- A planned sowing that names a product follows its strength; one that is sown keeps what it was disinfected with.
  execute format('grant update (method) on sowings to %I', app);
end $$;
