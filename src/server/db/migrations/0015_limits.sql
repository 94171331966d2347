-- How many of each thing a household may have, far past what a home needs: its pages work through all of them, and one
-- household must not keep the others waiting. The number of each is an argument of its trigger, and nowhere else.

-- Counted once a transaction, at its end and one household at a time: two writes at once would each see room for one more.
-- Past its limit it fails with the code BR001; its detail names the table and the limit.
create function hold_to_limit() returns trigger
  language plpgsql
  as $$
  declare
    here uuid := current_household();
    most integer := tg_argv[0]::integer;
    counted text := pg_current_xact_id()::text || ' ' || here::text;
    many integer;
  begin
    if here is null or current_setting('brote.counted_' || tg_table_name, true) = counted then return null; end if;
    perform set_config('brote.counted_' || tg_table_name, counted, true);
    perform pg_advisory_xact_lock(hashtextextended(tg_table_name || ' ' || here::text, 4180230));
    execute format('select count(*)::integer from %I where %s', tg_table_name, tg_argv[1]) into many using new;
    if many > most then
      raise exception 'too many %', tg_table_name using errcode = 'BR001', detail = tg_table_name || ' ' || most;
    end if;
    return null;
  end $$;

-- After `marks` by name, and so in one order in every transaction.
create constraint trigger within_limit after insert on places
  deferrable initially deferred for each row execute function hold_to_limit('40', 'true');
create constraint trigger within_limit after insert or update of retired_at on containers
  deferrable initially deferred for each row when (new.retired_at is null) execute function hold_to_limit('200', 'retired_at is null');
create constraint trigger within_limit after insert or update of retired_at on own_crops
  deferrable initially deferred for each row when (new.retired_at is null) execute function hold_to_limit('100', 'retired_at is null');
create constraint trigger within_limit after insert or update of retired_at on methods
  deferrable initially deferred for each row when (new.retired_at is null) execute function hold_to_limit('40', 'retired_at is null');
create constraint trigger within_limit after insert or update of retired_at on media
  deferrable initially deferred for each row when (new.retired_at is null) execute function hold_to_limit('60', 'retired_at is null');
create constraint trigger within_limit after insert or update of retired_at on lots
  deferrable initially deferred for each row when (new.retired_at is null) execute function hold_to_limit('200', 'retired_at is null');
create constraint trigger within_limit after insert or update of retired_at on devices
  deferrable initially deferred for each row when (new.retired_at is null) execute function hold_to_limit('40', 'retired_at is null');
create constraint trigger within_limit after insert or update of ended_at on standing_orders
  deferrable initially deferred for each row when (new.ended_at is null) execute function hold_to_limit('24', 'ended_at is null');
-- Planned and under way together.
create constraint trigger within_limit after insert on sowings
  deferrable initially deferred for each row execute function hold_to_limit('80', 'ended_at is null');
create constraint trigger within_limit after insert on members
  deferrable initially deferred for each row execute function hold_to_limit('30', 'left_at is null');
create constraint trigger within_limit after insert on invites
  deferrable initially deferred for each row execute function hold_to_limit('20', 'used_at is null and expires_at > now()');
create constraint trigger within_limit after insert on sitters
  deferrable initially deferred for each row execute function hold_to_limit('20', 'revoked_at is null and until_at > now()');
create constraint trigger within_limit after insert on feeds
  deferrable initially deferred for each row execute function hold_to_limit('12', 'member_id = ($1).member_id');
-- Each member's: more would be a way to send to strangers.
create constraint trigger within_limit after insert on channels
  deferrable initially deferred for each row execute function hold_to_limit('12', 'member_id = ($1).member_id');

do $$
declare
  app name := current_setting('brote.app_role');
begin
  revoke all on function hold_to_limit() from public;
  execute format('grant execute on function hold_to_limit() to %I', app);
end $$;
