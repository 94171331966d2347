-- What of a sowing nobody said and Brote assumed: its container's size, how much seed. What rests on that is not shown and teaches nothing.
alter table sowings
  add column assumed jsonb check (jsonb_typeof(assumed) = 'array');

-- What was eaten lately is read with the weeks ahead, out of years of events.
create index on events (household_id, at) where type in ('taken', 'cut');
