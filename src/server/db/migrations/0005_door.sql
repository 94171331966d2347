-- Who is let in, and what the application's role may read and change: sessions that are renewed as they are used,
-- browsers that are known, tries that are counted before they are checked; row-level security for owners too.

alter table sessions
  -- Names a session to its household, which its token must never do.
  add column id uuid not null default gen_random_uuid() unique,
  add column used_at timestamptz not null default now(),
  -- What the browser said of itself, for people to tell their devices apart.
  add column agent text not null default '' check (length(agent) <= 60);
create index on sessions (household_id);

-- Browsers that somebody of the household has signed in with: a stranger's guessing does not slow them.
create table known_browsers (
  household_id uuid not null references households on delete cascade,
  token_hash bytea not null,
  used_at timestamptz not null default now(),
  primary key (household_id, token_hash)
);

drop function failed_sign_ins(text);
drop function note_failed_sign_in(text);
drop function forget_failed_sign_ins(text);
drop function find_household(text);
drop function open_session(bytea);
drop function open_device(bytea);
drop table sign_in_attempts;

-- Tries at a door, each counted under all that it is counted by.
create table attempts (
  household_id uuid references households on delete cascade,
  id bigint generated always as identity primary key,
  key text not null check (length(key) <= 200),
  at timestamptz not null default now()
);
create index on attempts (key, at);
create index on attempts (at);

do $$
declare
  app name := current_setting('brote.app_role');
  each_table name;
begin
  foreach each_table in array array['known_browsers', 'attempts'] loop
    execute format('alter table %I enable row level security', each_table);
  end loop;
  create policy own_household on known_browsers
    using (household_id = (select current_household())) with check (household_id = (select current_household()));
  execute format('grant select, delete on known_browsers to %I', app);

  -- The owner is held to it as well: but for the functions that it made for others to call, each of which says what
  -- it is for, and for whoever opens the door by name, as migrations and backups do.
  for each_table in
    select relname from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace
  loop
    execute format('alter table %I force row level security', each_table);
    execute format(
      'create policy doorkeeper on %1$I to %2$I using (session_user <> current_user or current_setting(''brote.door'', true) = ''open'') with check (session_user <> current_user or current_setting(''brote.door'', true) = ''open'')',
      each_table, current_user
    );
  end loop;

  -- Neither a passphrase's hash nor whether a household is the demo is the application's to read or change.
  execute format('revoke select, insert, update on households from %I', app);
  execute format(
    'grant select (household_id, name, zone, units, latitude_deg, wake_min, sleep_min, rounds_min, method_key, demo, clock_ahead_ms, created_at) on households to %I',
    app
  );
  execute format(
    'grant insert (household_id, name, name_key, zone, units, passphrase_hash, latitude_deg, wake_min, sleep_min, rounds_min, method_key) on households to %I',
    app
  );
  execute format(
    'grant update (name, name_key, zone, units, latitude_deg, wake_min, sleep_min, rounds_min, method_key, clock_ahead_ms) on households to %I',
    app
  );
  -- A session's household and member are what they were; a token's hash is looked up, never listed.
  execute format('revoke select, insert on sessions from %I', app);
  execute format('grant select (household_id, id, member_id, agent, created_at, used_at, expires_at) on sessions to %I', app);
  execute format('grant insert (household_id, token_hash, member_id, expires_at, agent) on sessions to %I', app);
end $$;

-- What a page needs to know of its household, and nothing secret.
create function household_facts(h households) returns json
  language sql stable
  return json_build_object('household_id', h.household_id, 'name', h.name, 'zone', h.zone, 'units', h.units,
    'latitude_deg', h.latitude_deg, 'wake_min', h.wake_min, 'sleep_min', h.sleep_min, 'rounds_min', h.rounds_min,
    'method_key', h.method_key, 'demo', h.demo, 'clock_ahead_ms', h.clock_ahead_ms);

-- Whose session a token is. One that is used is put off: it ends after disuse, not in the middle of a week.
create function open_session(hash bytea, lasts interval)
  returns table (household json, member_id uuid, member_name text, session_id uuid, renewed boolean)
  language plpgsql volatile security definer set search_path = public, pg_temp
  as $$
  declare
    was_renewed boolean;
  begin
    -- Once an hour is often enough, and spares a write for each page.
    update sessions s set used_at = now(), expires_at = now() + lasts
      where s.token_hash = hash and s.expires_at > now() and s.used_at < now() - interval '1 hour';
    was_renewed := found;
    return query
      select household_facts(h), m.id, m.name, s.id, was_renewed
      from sessions s
      join households h on h.household_id = s.household_id
      join members m on m.household_id = s.household_id and m.id = s.member_id
      where s.token_hash = hash and s.expires_at > now();
  end $$;

-- Ends the session of a token.
create function end_session(hash bytea) returns void
  language sql volatile security definer set search_path = public, pg_temp
  as $$ delete from sessions where token_hash = hash $$;

-- Whose device a token is, before a household is known.
create function open_device(hash bytea)
  returns table (household json, device_id uuid, device_name text, place_id uuid)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select household_facts(h), d.id, d.name, d.place_id
    from devices d join households h using (household_id)
    where d.token_hash = hash and d.retired_at is null
  $$;

-- Counts a try under each of its keys and says how many seconds it must still wait; over 0, it is not counted and
-- must not be made. The first `free` of a quarter of an hour cost nothing, then each waits twice as long as the
-- one before, at most `longest`. Counted before it is checked and under a lock, so that a hundred tries at once
-- are as many as a hundred in turn.
create function count_attempt(keys text[], free integer[], longest integer)
  returns table (wait_s integer, ids bigint[])
  language plpgsql volatile security definer set search_path = public, pg_temp
  as $$
  declare
    each_key text;
    made integer;
    since double precision;
    most integer := 0;
    counted bigint[] := '{}';
    one bigint;
  begin
    foreach each_key in array (select array_agg(k order by k) from unnest(keys) k) loop
      perform pg_advisory_xact_lock(4180224, hashtext(each_key));
    end loop;
    for n in 1 .. cardinality(keys) loop
      -- As of this moment, past the lock, and not as of when the statement began.
      select count(*), extract(epoch from clock_timestamp() - max(at)) into made, since
        from attempts where key = keys[n] and at > now() - interval '15 minutes';
      if made >= free[n] then
        most := greatest(most, ceil(least(longest, 2 ^ least(made - free[n] + 1, 20)) - since)::integer);
      end if;
    end loop;
    if most <= 0 then
      delete from attempts where at < now() - interval '1 day';
      foreach each_key in array keys loop
        insert into attempts (key, at) values (each_key, clock_timestamp()) returning id into one;
        counted := counted || one;
      end loop;
    end if;
    return query select greatest(most, 0), counted;
  end $$;

-- Takes counted tries back: they were right ones.
create function forget_attempts(counted bigint[], all_of text) returns void
  language sql volatile security definer set search_path = public, pg_temp
  as $$ delete from attempts where id = any (counted) or key = all_of $$;

-- The one way to a passphrase's hash: a try at it that was counted. A browser that the household knows is counted
-- by itself, so that it gets in while a stranger guesses; any other by name, by address, and by both.
create function begin_sign_in(name_key text, address text, known bytea)
  returns table (wait_s integer, ids bigint[], all_of text, household_id uuid, passphrase_hash text)
  language plpgsql volatile security definer set search_path = public, pg_temp
  as $$
  #variable_conflict use_column
  declare
    here households;
    own text;
    counted record;
  begin
    select * into here from households h where h.name_key = begin_sign_in.name_key;
    if exists (select from known_browsers k where k.household_id = here.household_id and k.token_hash = known) then
      own := 'browser ' || encode(known, 'hex');
      select * into counted from count_attempt(array[own], array[8], 60);
    else
      own := 'name and address ' || begin_sign_in.name_key || ' ' || begin_sign_in.address;
      select * into counted from count_attempt(
        array[own, 'name ' || begin_sign_in.name_key, 'address ' || begin_sign_in.address], array[4, 24, 24], 300);
    end if;
    return query select counted.wait_s, counted.ids, own,
      case when counted.wait_s = 0 then here.household_id end,
      case when counted.wait_s = 0 then here.passphrase_hash end;
  end $$;

-- A browser that was let in is known from then on; one of another household's keeps what it is known by there.
create function know_browser(home uuid, hash bytea) returns void
  language sql volatile security definer set search_path = public, pg_temp
  as $$
    delete from known_browsers where used_at < now() - interval '400 days';
    insert into known_browsers (household_id, token_hash) values (home, hash)
      on conflict (household_id, token_hash) do update set used_at = now();
  $$;

-- Another passphrase for the household of the transaction.
create function change_passphrase(hash text) returns void
  language sql volatile security definer set search_path = public, pg_temp
  as $$ update households set passphrase_hash = hash where household_id = current_household() $$;

do $$
declare
  app name := current_setting('brote.app_role');
  each_function text;
begin
  foreach each_function in array array[
    'open_session(bytea, interval)', 'end_session(bytea)', 'open_device(bytea)', 'begin_sign_in(text, text, bytea)',
    'count_attempt(text[], integer[], integer)', 'know_browser(uuid, bytea)', 'forget_attempts(bigint[], text)', 'change_passphrase(text)',
    'household_facts(households)'
  ] loop
    execute format('revoke all on function %s from public', each_function);
    execute format('grant execute on function %s to %I', each_function, app);
  end loop;
end $$;
