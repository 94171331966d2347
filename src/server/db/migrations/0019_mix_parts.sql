-- The seed that a mix was sown from, part by part. What cannot be read is left out: one record must not end a page.
create function mix_parts(mix jsonb) returns table (crop_key text, lot_id uuid, seed_g double precision)
  language sql immutable parallel safe
  as $$
  select crop_key, lot_id, seed_g
  from (
    select part->>'cropKey' as crop_key,
      case when part->>'lotId' ~ '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$' then (part->>'lotId')::uuid end as lot_id,
      case when jsonb_typeof(part->'seedG') = 'number' then
        case when (part->'seedG')::numeric between 0 and 1e6 then (part->>'seedG')::double precision end
      end as seed_g
    from jsonb_array_elements(case jsonb_typeof(mix) when 'array' then mix else '[]' end) part
  ) read
  where crop_key is not null and seed_g is not null
  $$;
