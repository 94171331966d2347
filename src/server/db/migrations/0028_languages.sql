-- The language a member reads: their browser's when they first sign in, then the one they chose. Null until either is known.
alter table members add column language text check (language ~ '^[a-z]{2,3}(-[A-Z]{2})?$');

-- Whose session a token is, now with the language they read.
drop function open_session(bytea, interval);
create function open_session(hash bytea, lasts interval)
  returns table (household json, member_id uuid, member_name text, member_language text, session_id uuid, renewed boolean)
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
      select household_facts(h), m.id, m.name, m.language, s.id, was_renewed
      from sessions s
      join households h on h.household_id = s.household_id
      join members m on m.household_id = s.household_id and m.id = s.member_id
      where s.token_hash = hash and s.expires_at > now();
  end $$;

drop function read_session(bytea);
create function read_session(hash bytea)
  returns table (household json, member_id uuid, member_name text, member_language text, session_id uuid, renewed boolean)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select household_facts(h), m.id, m.name, m.language, s.id, false
    from sessions s
    join households h on h.household_id = s.household_id
    join members m on m.household_id = s.household_id and m.id = s.member_id
    where s.token_hash = hash and s.expires_at > now()
  $$;

-- Whose calendar address a token is, and the language they read.
drop function open_feed(bytea);
create function open_feed(hash bytea)
  returns table (household_id uuid, feed_id uuid, member_id uuid, language text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select f.household_id, f.id, f.member_id, m.language
    from feeds f
    join members m on m.household_id = f.household_id and m.id = f.member_id
    where f.token_hash = hash
  $$;

do $$
declare
  app name := current_setting('brote.app_role');
  each_function text;
begin
  foreach each_function in array array['open_session(bytea, interval)', 'read_session(bytea)', 'open_feed(bytea)'] loop
    execute format('revoke all on function %s from public', each_function);
    execute format('grant execute on function %s to %I', each_function, app);
  end loop;
  execute format('grant select (language), insert (language), update (language) on members to %I', app);
end $$;
