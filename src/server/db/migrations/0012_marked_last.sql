-- A household is marked to be judged at the very end of a transaction: its row is the last that a write waits for, and no two
-- writes that cross wait for each other. Once for each reason is enough, however many rows were written.
create or replace function mark_household() returns trigger
  language plpgsql
  as $$
  declare
    here uuid := current_household();
    reason text := case
      when tg_table_name in ('events', 'sowings') then 'touched'
      when tg_table_name = 'households' then 'settings'
      else 'other'
    end;
    marked text := pg_current_xact_id()::text || ' ' || here::text;
    touched timestamptz;
  begin
    if here is null or current_setting('brote.marked_' || reason, true) = marked then return null; end if;
    -- Deleted meanwhile, it has nothing to be judged.
    if not exists (select from households where household_id = here) then return null; end if;
    perform set_config('brote.marked_' || reason, marked, true);
    if reason = 'touched' then
      select now() + make_interval(secs => case when h.demo then h.clock_ahead_ms / 1000.0 else 0 end) into touched
        from households h where h.household_id = here;
    end if;
    insert into judging (household_id, judge_at, touched_at) values (here, now(), touched)
    on conflict (household_id) do update set
      judge_at = least(judging.judge_at,
        case when reason = 'settings' then now() else greatest(now(), judging.judged_at + interval '15 minutes') end),
      silence_from = case when touched > judging.touched_at + interval '2 days' then judging.touched_at else judging.silence_from end,
      silence_until = case when touched > judging.touched_at + interval '2 days' then touched else judging.silence_until end,
      touched_at = greatest(judging.touched_at, touched);
    return null;
  end $$;

drop trigger marks on events;
drop trigger marks on sowings;
drop trigger marks on readings;
drop trigger marks on places;
drop trigger marks on own_crops;
drop trigger marks on households;
drop trigger marks on away;
create constraint trigger marks after insert on events
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after insert on sowings
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after insert on readings
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after update of name, light_kind, lamp_ppfd, lamp_hours, sill_aspect, sill_back, day_c, night_c,
    humidity_pct, moving_air on places
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after insert or update on own_crops
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after update of zone, units, latitude_deg, wake_min, sleep_min, rounds_min, clock_ahead_ms
    on households
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after insert or delete on away
  deferrable initially deferred for each row execute function mark_household();
-- A standing order is reminded of.
create constraint trigger marks after insert or update or delete on standing_orders
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after insert or update or delete on standing_order_days
  deferrable initially deferred for each row execute function mark_household();
