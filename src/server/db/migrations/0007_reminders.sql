-- What households are told, and how it reaches their members: judged when something may be due, kept as rows, each sent
-- once by whichever process comes first.

-- When a household is next to be judged. Times of `judge_at` and `judged_at` are the machine's; `judged_until` and
-- `touched_at` are the household's, whose clock the demo moves.
create table judging (
  household_id uuid primary key references households on delete cascade,
  judge_at timestamptz not null,
  judged_at timestamptz not null default '-infinity',
  judged_until timestamptz,
  -- When anybody last recorded anything.
  touched_at timestamptz,
  -- The last silence that ended: what each tray came to in it is asked tray by tray.
  silence_from timestamptz,
  silence_until timestamptz
);
create index on judging (judge_at);

create table reminders (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  -- The same thing has the same key: told once, whoever works it out.
  key text not null check (length(key) <= 200),
  kind text not null check (kind in ('round', 'timer', 'window', 'trouble', 'away')),
  due_at timestamptz not null,
  until_at timestamptz not null,
  told_at timestamptz not null,
  body jsonb not null,
  primary key (household_id, id),
  unique (household_id, key)
);
create index on reminders (household_id, told_at desc);

-- Where a member is reminded besides in the app.
create table channels (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  member_id uuid not null,
  kind text not null check (kind in ('push', 'mail', 'webhook')),
  name text not null check (length(name) between 1 and 200),
  -- What it is reached by: an address, a subscription, a signing secret.
  address jsonb not null,
  kinds text[] not null,
  created_at timestamptz not null default now(),
  -- It failed so often, or for good: nothing goes there until somebody turns it on again.
  broken_at timestamptz,
  -- How the last try went, where it failed.
  said text check (length(said) <= 300),
  failures integer not null default 0,
  primary key (household_id, id),
  foreign key (household_id, member_id) references members on delete cascade
);

create table deliveries (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  channel_id uuid not null,
  -- What is told at once is one message. None for a test.
  reminders uuid[] not null,
  state text not null default 'pending' check (state in ('pending', 'sent', 'failed', 'dropped')),
  created_at timestamptz not null default now(),
  next_at timestamptz not null,
  tries integer not null default 0,
  sent_at timestamptz,
  primary key (household_id, id),
  foreign key (household_id, channel_id) references channels on delete cascade
);
create index on deliveries (next_at) where state = 'pending';
create index on deliveries (household_id, channel_id, created_at desc);

-- Addresses at which a calendar reads the household's days.
create table feeds (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  member_id uuid not null,
  token_hash bytea not null unique,
  created_at timestamptz not null default now(),
  read_at timestamptz,
  primary key (household_id, id),
  foreign key (household_id, member_id) references members on delete cascade
);

-- What calendars were told of each event, so that one that changed is known for the same.
create table calendar (
  household_id uuid not null references households on delete cascade,
  uid text not null check (length(uid) <= 200),
  digest text not null,
  sequence integer not null,
  changed_at timestamptz not null,
  primary key (household_id, uid)
);

alter table members
  -- Minutes past 00:00 between which nothing is sent; null for the household's night.
  add column quiet_from_min integer check (quiet_from_min between 0 and 1439),
  add column quiet_until_min integer check (quiet_until_min between 0 and 1439),
  -- Up to when this member has seen what came.
  add column seen_at timestamptz;

do $$
declare
  app name := current_setting('brote.app_role');
  each_table name;
begin
  foreach each_table in array array['judging', 'reminders', 'channels', 'deliveries', 'feeds', 'calendar'] loop
    execute format('alter table %I enable row level security', each_table);
    execute format('alter table %I force row level security', each_table);
    execute format(
      'create policy own_household on %I using (household_id = (select current_household())) with check (household_id = (select current_household()))',
      each_table
    );
    execute format(
      'create policy doorkeeper on %1$I to %2$I using (session_user <> current_user or current_setting(''brote.door'', true) = ''open'') with check (session_user <> current_user or current_setting(''brote.door'', true) = ''open'')',
      each_table, current_user
    );
  end loop;
  execute format('grant select, insert, update on judging, calendar to %I', app);
  execute format('grant select, insert, delete on reminders to %I', app);
  execute format('grant select, insert, update, delete on channels, deliveries, feeds to %I', app);
  execute format('grant delete on calendar to %I', app);
end $$;

-- Whatever a forecast hangs on marks its household, by whoever it is written: judged again within a quarter of an hour, and
-- at once where its settings or its clock were changed.
create function mark_household() returns trigger
  language plpgsql
  as $$
  declare
    here uuid := current_household();
    touched timestamptz;
  begin
    if here is null then return null; end if;
    if tg_table_name in ('events', 'sowings') then
      select now() + make_interval(secs => case when h.demo then h.clock_ahead_ms / 1000.0 else 0 end) into touched
        from households h where h.household_id = here;
    end if;
    insert into judging (household_id, judge_at, touched_at) values (here, now(), touched)
    on conflict (household_id) do update set
      judge_at = least(judging.judge_at,
        case when tg_table_name = 'households' then now() else greatest(now(), judging.judged_at + interval '15 minutes') end),
      silence_from = case when touched > judging.touched_at + interval '2 days' then judging.touched_at else judging.silence_from end,
      silence_until = case when touched > judging.touched_at + interval '2 days' then touched else judging.silence_until end,
      touched_at = greatest(judging.touched_at, touched);
    return null;
  end $$;

create trigger marks after insert on events for each statement execute function mark_household();
create trigger marks after insert on sowings for each statement execute function mark_household();
create trigger marks after insert on readings for each statement execute function mark_household();
create trigger marks after update of name, light_kind, lamp_ppfd, lamp_hours, sill_aspect, sill_back, day_c, night_c, humidity_pct, moving_air
  on places for each statement execute function mark_household();
create trigger marks after insert or update on own_crops for each statement execute function mark_household();
create trigger marks after update of zone, units, latitude_deg, wake_min, sleep_min, rounds_min, clock_ahead_ms
  on households for each statement execute function mark_household();

-- Households that are to be judged now, taken for a while: whoever takes them and dies has them judged by another after it.
create function claim_households(most integer, lease interval) returns table (household_id uuid)
  language sql volatile security definer set search_path = public, pg_temp
  as $$
    update judging j set judge_at = now() + lease
    from (
      select d.household_id from judging d
      where d.judge_at <= now()
      order by d.judge_at
      limit most
      for update skip locked
    ) due
    where j.household_id = due.household_id
    returning j.household_id
  $$;

-- Messages that are to go now, likewise.
create function claim_deliveries(most integer, lease interval) returns table (household_id uuid, id uuid)
  language sql volatile security definer set search_path = public, pg_temp
  as $$
    update deliveries d set next_at = now() + lease, tries = d.tries + 1
    from (
      select c.household_id, c.id from deliveries c
      where c.state = 'pending' and c.next_at <= now()
      order by c.next_at
      limit most
      for update skip locked
    ) due
    where d.household_id = due.household_id and d.id = due.id
    returning d.household_id, d.id
  $$;

-- Whose calendar address a token is.
create function open_feed(hash bytea) returns table (household_id uuid, feed_id uuid, member_id uuid)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select f.household_id, f.id, f.member_id from feeds f where f.token_hash = hash $$;

do $$
declare
  app name := current_setting('brote.app_role');
  each_function text;
begin
  foreach each_function in array array[
    'mark_household()', 'claim_households(integer, interval)', 'claim_deliveries(integer, interval)', 'open_feed(bytea)'
  ] loop
    execute format('revoke all on function %s from public', each_function);
    execute format('grant execute on function %s to %I', each_function, app);
  end loop;
end $$;

-- Whoever has trays is looked at once.
insert into judging (household_id, judge_at, touched_at)
select s.household_id, now(), max(coalesce((select max(e.at) from events e where e.household_id = s.household_id), s.created_at))
from sowings s where s.ended_at is null group by s.household_id
on conflict do nothing;
