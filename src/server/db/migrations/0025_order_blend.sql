-- A standing order may be of blended seed: its parts, [{cropKey, lotId, share}], and what their shares are of. `crop_key` is the
-- first of them, and null parts stand for that crop alone, from whichever lot is used first.
alter table standing_orders
  add column parts jsonb check (jsonb_typeof(parts) = 'array' and jsonb_array_length(parts) between 2 and 6),
  add column share_of text not null default 'weight' check (share_of in ('weight', 'count'));
