-- What holds from when it was entered, and hours past midnight.

-- Households that go to bed past midnight: bedtime and rounds count on from the day they got up on.
do $$
declare
  old text;
begin
  select conname into strict old from pg_constraint
  where conrelid = 'households'::regclass and contype = 'c' and pg_get_constraintdef(oid) like '%sleep_min%';
  execute format('alter table households drop constraint %I', old);
end $$;
alter table households
  add check (sleep_min > wake_min and sleep_min < wake_min + 1440);

-- What was taken for the usual warmth of a place before it was changed, as [{until, dayC, nightC, humidityPct}]: what was
-- forecast by it is not rewritten.
alter table places add column usual_before jsonb;

-- Greens that a household eats a day, g; null where nobody has said.
alter table households add column appetite_g double precision check (appetite_g > 0 and appetite_g <= 100000);
do $$
declare
  app name := current_setting('brote.app_role');
begin
  execute format('grant select (appetite_g), update (appetite_g) on households to %I', app);
end $$;
