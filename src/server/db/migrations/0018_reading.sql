-- Whose session a token is, where nothing can be written: as `open_session`, but that it is not put off.
create function read_session(hash bytea)
  returns table (household json, member_id uuid, member_name text, session_id uuid, renewed boolean)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select household_facts(h), m.id, m.name, s.id, false
    from sessions s
    join households h on h.household_id = s.household_id
    join members m on m.household_id = s.household_id and m.id = s.member_id
    where s.token_hash = hash and s.expires_at > now()
  $$;

do $$
declare
  app name := current_setting('brote.app_role');
begin
  revoke all on function read_session(bytea) from public;
  execute format('grant execute on function read_session(bytea) to %I', app);
end $$;
