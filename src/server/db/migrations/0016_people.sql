-- Members can be removed by others; names that look alike are one; a mail address is confirmed before it is written to.

alter table sitters
  -- Whose invitation their address is: it ends with that member. Null from before this was asked.
  add column made_by uuid;

alter table channels
  -- When whoever reads mail there said so; null for not yet, and for channels that need no such word.
  add column confirmed_at timestamptz;
update channels set confirmed_at = created_at where kind = 'mail';

-- Line breaks, control characters and what no screen shows leave names; what is left keeps them apart as before.
update households set
  name = trim(regexp_replace(name, '[[:cntrl:]\u2028\u2029]+', ' ', 'g')),
  name_key = trim(regexp_replace(regexp_replace(name_key, '[\u00AD\u061C\u180E\u200B-\u200F\u202A-\u202E\u2060-\u206F\uFE00-\uFE0F\uFEFF]', '', 'g'), '[[:cntrl:]\u2028\u2029[:space:]]+', ' ', 'g'))
where name_key ~ '[[:cntrl:]\u00AD\u061C\u180E\u200B-\u200F\u2028-\u202E\u2060-\u206F\uFE00-\uFE0F\uFEFF]|[[:space:]]{2}'
  and trim(regexp_replace(name, '[[:cntrl:]\u2028\u2029]+', ' ', 'g')) <> ''
  and not exists (select from households other where other.household_id <> households.household_id and other.name_key =
    trim(regexp_replace(regexp_replace(households.name_key, '[\u00AD\u061C\u180E\u200B-\u200F\u202A-\u202E\u2060-\u206F\uFE00-\uFE0F\uFEFF]', '', 'g'), '[[:cntrl:]\u2028\u2029[:space:]]+', ' ', 'g')));

-- As before, but that whoever left is not let in by the household's passphrase under the name they left with.
create or replace function begin_sign_in(name_key text, address text, known bytea, member_key text)
  returns table (wait_s integer, ids bigint[], all_of text, household_id uuid, passphrase_hash text)
  language plpgsql volatile security definer set search_path = public, pg_temp
  as $$
  #variable_conflict use_column
  declare
    here households;
    own_hash text;
    is_here boolean;
    has_left boolean;
    own text;
    counted record;
  begin
    select * into here from households h where h.name_key = begin_sign_in.name_key;
    select m.passphrase_hash, true into own_hash, is_here from members m
      where m.household_id = here.household_id and m.name_key = begin_sign_in.member_key and m.left_at is null;
    has_left := is_here is null and exists (select from members m
      where m.household_id = here.household_id and m.name_key = begin_sign_in.member_key and m.left_at is not null);
    if exists (select from known_browsers k where k.household_id = here.household_id and k.token_hash = known) then
      own := 'browser ' || encode(known, 'hex');
      select * into counted from count_attempt(array[own], array[8], 60);
    else
      own := 'name and address ' || begin_sign_in.name_key || ' ' || begin_sign_in.address;
      select * into counted from count_attempt(
        array[own, 'name ' || begin_sign_in.name_key, 'address ' || begin_sign_in.address], array[4, 24, 24], 300);
    end if;
    return query select counted.wait_s, counted.ids, own,
      case when counted.wait_s = 0 and not has_left then here.household_id end,
      case when counted.wait_s = 0 and not has_left then coalesce(own_hash, here.passphrase_hash) end;
  end $$;
