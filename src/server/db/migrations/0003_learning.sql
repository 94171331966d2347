-- What each sowing said of its crop's pace here, as one observation (mean and variance of ln of how slow).
-- Derived from its events, kept so that a forecast need not read every tray there ever was; it is written
-- anew with each event, and can be rebuilt.

alter table sowings
  add column pace_mean double precision,
  add column pace_variance double precision check (pace_variance > 0),
  add check ((pace_mean is null) = (pace_variance is null));

do $$
declare
  app name := current_setting('brote.app_role');
begin
  execute format('grant update (pace_mean, pace_variance) on sowings to %I', app);
end $$;
