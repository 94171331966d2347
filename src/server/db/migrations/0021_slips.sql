-- Of the answers about a sowing's cues, how many others could contradict, and how many they did.
alter table sowings
  add column answers_given integer not null default 0 check (answers_given >= 0),
  add column answers_contradicted integer not null default 0 check (answers_contradicted between 0 and answers_given);
do $$
declare
  app name := current_setting('brote.app_role');
begin
  execute format('grant update (answers_given, answers_contradicted) on sowings to %I', app);
end $$;
