-- A household whose reminders cannot be worked out is tried again after longer and longer, and set aside in the end. Whatever is
-- changed in it, and every start of a worker, has it tried again.
alter table judging
  add column failures smallint not null default 0 check (failures >= 0),
  add column fault text check (length(fault) between 1 and 500),
  add column set_aside_at timestamptz;

-- Has what was set aside tried again, and says what it was: a worker that starts may be a newer one that knows better.
create function retry_set_aside() returns table (household_id uuid, fault text, set_aside_at timestamptz)
  language sql volatile security definer set search_path = public, pg_temp
  as $$
    update judging j set judge_at = now()
    where j.set_aside_at is not null
    returning j.household_id, j.fault, j.set_aside_at
  $$;

do $$
begin
  revoke all on function retry_set_aside() from public;
  execute format('grant execute on function retry_set_aside() to %I', current_setting('brote.app_role'));
end $$;
