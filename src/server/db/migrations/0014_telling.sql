-- What a sowing says of its crop's pace if its household is to be relied on where it told, and which of its cues were told, and
-- which left: bits 1, 2 and 4 for rooted, ready for light and open.
alter table sowings
  add column reliable_mean double precision,
  add column reliable_variance double precision check (reliable_variance > 0),
  add column cues_told smallint not null default 0 check (cues_told between 0 and 7),
  add column cues_left smallint not null default 0 check (cues_left between 0 and 7);
do $$
declare
  app name := current_setting('brote.app_role');
begin
  execute format('grant update (reliable_mean, reliable_variance, cues_told, cues_left) on sowings to %I', app);
end $$;
