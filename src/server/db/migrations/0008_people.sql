-- People of a household: each with a sign-in of their own, invited by an address; days on which nobody is at home; whoever
-- looks after the trays meanwhile; and whose a round is.

alter table members
  -- Of their own; null where they sign in with the household's.
  add column passphrase_hash text,
  -- They left: what they did keeps their name, and they are let in no more.
  add column left_at timestamptz;
-- Whoever left frees the name for another.
alter table members drop constraint members_household_id_name_key_key;
create unique index on members (household_id, name_key) where left_at is null;

create table invites (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  token_hash bytea not null unique,
  made_by uuid not null,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at timestamptz,
  primary key (household_id, id)
);

-- Days without anybody, first and last included; periods that meet are one.
create table away (
  household_id uuid not null references households on delete cascade,
  from_day date not null,
  until_day date not null check (until_day >= from_day),
  primary key (household_id, from_day)
);

-- Whoever comes by: an address that shows what is to be done, and takes ticks.
create table sitters (
  household_id uuid not null references households on delete cascade,
  id uuid not null,
  name text not null check (length(name) between 1 and 40),
  token_hash bytea not null unique,
  from_at timestamptz not null,
  -- The household's time, as the days it is for are.
  until_at timestamptz not null,
  created_at timestamptz not null default now(),
  revoked_at timestamptz,
  primary key (household_id, id)
);

-- Whose a round is, where somebody took it or was handed it.
create table turns (
  household_id uuid not null references households on delete cascade,
  round_key text not null check (length(round_key) <= 40),
  member_id uuid not null,
  set_by uuid not null,
  set_at timestamptz not null default now(),
  primary key (household_id, round_key),
  foreign key (household_id, member_id) references members on delete cascade
);

-- A reminder for one member alone, as where a round is handed on to them; null for all.
alter table reminders add column for_member uuid;

do $$
declare
  app name := current_setting('brote.app_role');
  each_table name;
begin
  foreach each_table in array array['invites', 'away', 'sitters', 'turns'] loop
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
  execute format('grant select, insert, update, delete on invites, away, sitters, turns to %I', app);
  -- A passphrase's hash is not the application's to read; it may be set.
  execute format('revoke select, insert, update on members from %I', app);
  execute format(
    'grant select (household_id, id, name, name_key, left_at, quiet_from_min, quiet_until_min, seen_at) on members to %I', app);
  execute format('grant insert (household_id, id, name, name_key, passphrase_hash) on members to %I', app);
  execute format('grant update (name, name_key, passphrase_hash, left_at, quiet_from_min, quiet_until_min, seen_at) on members to %I', app);
end $$;

create trigger marks after insert or delete on away for each statement execute function mark_household();

-- Whether a member signs in with a passphrase of their own.
create function has_passphrase(who uuid) returns boolean
  language sql stable security definer set search_path = public, pg_temp
  as $$ select exists (select from members m where m.household_id = current_household() and m.id = who and m.passphrase_hash is not null) $$;

-- The one way to a passphrase's hash, as before: a member's own where they have one.
drop function begin_sign_in(text, text, bytea);
create function begin_sign_in(name_key text, address text, known bytea, member_key text)
  returns table (wait_s integer, ids bigint[], all_of text, household_id uuid, passphrase_hash text)
  language plpgsql volatile security definer set search_path = public, pg_temp
  as $$
  #variable_conflict use_column
  declare
    here households;
    own_hash text;
    own text;
    counted record;
  begin
    select * into here from households h where h.name_key = begin_sign_in.name_key;
    select m.passphrase_hash into own_hash from members m
      where m.household_id = here.household_id and m.name_key = begin_sign_in.member_key and m.left_at is null;
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
      case when counted.wait_s = 0 then coalesce(own_hash, here.passphrase_hash) end;
  end $$;

-- What a secret address leads to, before a household is known.
create function open_invite(hash bytea) returns table (household_id uuid, invite_id uuid, household_name text, made_by text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select i.household_id, i.id, h.name, m.name
    from invites i
    join households h on h.household_id = i.household_id
    join members m on m.household_id = i.household_id and m.id = i.made_by
    where i.token_hash = hash and i.used_at is null and i.expires_at > now() and m.left_at is null
  $$;

create function open_sitter(hash bytea) returns table (household_id uuid, sitter_id uuid)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select s.household_id, s.id from sitters s join households h on h.household_id = s.household_id
    where s.token_hash = hash and s.revoked_at is null
      and s.until_at > now() + make_interval(secs => case when h.demo then h.clock_ahead_ms / 1000.0 else 0 end)
  $$;

do $$
declare
  app name := current_setting('brote.app_role');
  each_function text;
begin
  foreach each_function in array array[
    'has_passphrase(uuid)', 'begin_sign_in(text, text, bytea, text)', 'open_invite(bytea)', 'open_sitter(bytea)'
  ] loop
    execute format('revoke all on function %s from public', each_function);
    execute format('grant execute on function %s to %I', each_function, app);
  end loop;
end $$;
