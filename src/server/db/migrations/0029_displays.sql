-- What a secret address shows: a calendar its entries, a display on the wall the round.
alter table feeds add column kind text not null default 'calendar' check (kind in ('calendar', 'display'));

-- Whose address of a kind a token is, and the language they read.
drop function open_feed(bytea);
create function open_feed(hash bytea, of_kind text)
  returns table (household_id uuid, feed_id uuid, member_id uuid, language text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select f.household_id, f.id, f.member_id, m.language
    from feeds f
    join members m on m.household_id = f.household_id and m.id = f.member_id
    where f.token_hash = hash and f.kind = of_kind
  $$;

do $$
declare
  app name := current_setting('brote.app_role');
begin
  revoke all on function open_feed(bytea, text) from public;
  execute format('grant execute on function open_feed(bytea, text) to %I', app);
end $$;
