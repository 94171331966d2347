-- A sensor that sends every minute: its last reading is found by an index, and old readings are thinned to hourly means.

create index readings_by_source on readings (household_id, place_id, source, at);
-- A place belongs to its household already. Asking for the household again with every reading took a quarter of an import.
alter table readings drop constraint readings_household_id_fkey, drop constraint readings_household_id_place_id_fkey,
  add foreign key (household_id, place_id) references places on delete cascade;

-- Up to when a place's readings were thinned: whole days. Null for not yet.
alter table places add column thinned_until timestamptz;
create index on places (thinned_until nulls first);

-- Puts the mean of each hour and source in place of the readings of one place, of whole days that ended before `before`; at
-- most `most` days at a time. Takes the place that waits longest, of whichever household.
-- Returns whether there was one: then there may be more.
create function thin_readings(before timestamptz, most integer) returns boolean
  language plpgsql volatile security definer set search_path = public, pg_temp
  as $$
  declare
    until timestamptz := date_trunc('day', before, 'UTC');
    due record;
    since timestamptz;
    upto timestamptz;
  begin
    select p.household_id, p.id, p.thinned_until into due from places p
      where p.thinned_until is null or p.thinned_until < until
      order by p.thinned_until nulls first
      limit 1
      for no key update skip locked;
    if due.id is null then return false; end if;
    select date_trunc('day', min(r.at), 'UTC') into since from readings r
      where r.household_id = due.household_id and r.place_id = due.id and r.at >= coalesce(due.thinned_until, '-infinity');
    upto := case when since is null or since >= until then until else least(until, since + make_interval(days => most)) end;
    with old as (
      delete from readings r
      where r.household_id = due.household_id and r.place_id = due.id
        and r.at >= coalesce(due.thinned_until, '-infinity') and r.at < upto
      returning r.at, r.source, r.temp_c, r.humidity_pct
    )
    insert into readings (household_id, place_id, at, source, temp_c, humidity_pct)
    select due.household_id, due.id, date_trunc('hour', old.at, 'UTC') + interval '30 minutes', old.source, avg(old.temp_c), avg(old.humidity_pct)
    from old group by date_trunc('hour', old.at, 'UTC'), old.source;
    update places p set thinned_until = upto where p.household_id = due.household_id and p.id = due.id;
    return true;
  end $$;

do $$
declare
  app name := current_setting('brote.app_role');
begin
  revoke all on function thin_readings(timestamptz, integer) from public;
  execute format('grant execute on function thin_readings(timestamptz, integer) to %I', app);
end $$;
