-- What a tray stands in, grows on and is grown by changes its water, its steps and its forecast: its household is judged again.
create constraint trigger marks after update of name, empty_g, drains, reservoir_ml, owned, retired_at on containers
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after insert or update on methods
  deferrable initially deferred for each row execute function mark_household();
create constraint trigger marks after insert or update on media
  deferrable initially deferred for each row execute function mark_household();
