-- What variety a household wishes for: crops in every week, and how often in a row one crop may be begun. Null for no wish.
alter table households
  add column least_crops smallint check (least_crops between 2 and 6),
  add column most_in_row smallint check (most_in_row between 1 and 6);

-- Whoever eats says for themselves what they like best and what they do not eat: keys of crops.
alter table eaters
  add column liked jsonb not null default '[]' check (jsonb_typeof(liked) = 'array'),
  add column disliked jsonb not null default '[]' check (jsonb_typeof(disliked) = 'array');

do $$
declare
  app name := current_setting('brote.app_role');
begin
  execute format('grant select (least_crops, most_in_row), update (least_crops, most_in_row) on households to %I', app);
end $$;
