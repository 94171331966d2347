import { isSoaked, type Crop } from '../crops/crop.ts';
import { isWaking, nextWaking, roundsBetween, wakingNear, type Rhythm } from '../time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';

/** When seed goes into water, comes out, and is sown. Without a soak only `sowAt` is set. */
export interface SoakPlan {
  soakStart: Millis | null;
  soakEnd: Millis | null;
  soakH: number;
  sowAt: Millis;
  /** Set where no start lets the soak begin and end while somebody is up; the plan is then the least bad. */
  endsAsleep: boolean;
}

/** Hours that soaked seed is left to drain and spread; a rest named for a crop that is not soaked is none. */
export const drainHours = (crop: Crop): number => (isSoaked(crop) ? crop.drainH : 0);

/** When a sowing's work begins: with its soak, or with sowing where there is none. */
export const beginsAt = ({ soakStart, sowAt }: Pick<SoakPlan, 'soakStart' | 'sowAt'>): Millis =>
  soakStart ?? sowAt;

/** When seed that was drained at a moment may be sown. */
export const sowableAt = (crop: Crop, drainedAt: Millis): Millis => drainedAt + drainHours(crop) * HOUR;

/** When seed that went into water at a moment goes soft there. */
export const softAt = (crop: Crop, soakStart: Millis): Millis => soakStart + crop.soakMaxH * HOUR;

/** Minutes that draining, filling and sowing take: a soak does not end just as everybody goes to bed. */
const SOWING_WORK_MIN = 60;

const upToWork = (rhythm: Rhythm): Rhythm => ({
  ...rhythm,
  sleepMin: Math.max(rhythm.wakeMin, rhythm.sleepMin - SOWING_WORK_MIN)
});

/** Where the soak begins at that moment: the length in bounds, closest to best, that ends in waking hours. */
export function soakFrom(crop: Crop, rhythm: Rhythm, soakStart: Millis): SoakPlan {
  const best = soakStart + crop.soakBestH * HOUR;
  const wake = wakingNear(upToWork(rhythm), best, soakStart + crop.soakMinH * HOUR, softAt(crop, soakStart));
  const soakEnd = wake ?? best;
  return {
    soakStart,
    soakEnd,
    soakH: (soakEnd - soakStart) / HOUR,
    sowAt: nextWaking(rhythm, sowableAt(crop, soakEnd)),
    endsAsleep: wake === null || !isWaking(rhythm, soakStart)
  };
}

const offBest = (crop: Crop, plan: SoakPlan): number => Math.abs(plan.soakH - crop.soakBestH);

function candidates(crop: Crop, rhythm: Rhythm, from: Millis, until: Millis): SoakPlan[] {
  const starts = roundsBetween(rhythm, from, until);
  if (isWaking(rhythm, from)) starts.unshift(from);
  return starts.map((start) => soakFrom(crop, rhythm, start));
}

/** The plan that sows soonest from `now` on; among equals, the one whose soak is closest to best. */
export function soonest(crop: Crop, rhythm: Rhythm, now: Millis): SoakPlan {
  if (!isSoaked(crop))
    return { soakStart: null, soakEnd: null, soakH: 0, sowAt: nextWaking(rhythm, now), endsAsleep: false };
  const plans = candidates(crop, rhythm, now, now + 2 * DAY);
  const good = plans.filter((plan) => !plan.endsAsleep);
  const open = good.length > 0 ? good : plans;
  return open.reduce((best, plan) =>
    plan.sowAt < best.sowAt || (plan.sowAt === best.sowAt && offBest(crop, plan) < offBest(crop, best))
      ? plan
      : best
  );
}

/**
 * The plan that sows as late as `latest` allows, starting no earlier than `now`; null where there is none.
 * The soak's length gives way before the day of sowing does (docs/model.md, 8).
 */
export function latestBy(crop: Crop, rhythm: Rhythm, now: Millis, latest: Millis): SoakPlan | null {
  const earliest = soonest(crop, rhythm, now);
  if (earliest.sowAt > latest) return null;
  if (!isSoaked(crop)) {
    const rounds = roundsBetween(rhythm, Math.max(now, latest - 2 * DAY), latest);
    return { ...earliest, sowAt: rounds.at(-1) ?? earliest.sowAt };
  }
  const longest = (crop.soakMaxH + drainHours(crop)) * HOUR + DAY;
  const plans = candidates(crop, rhythm, Math.max(now, latest - longest - DAY), latest).filter(
    (plan) => plan.sowAt <= latest && !plan.endsAsleep
  );
  if (plans.length === 0) return earliest;
  return plans.reduce((best, plan) =>
    plan.sowAt > best.sowAt || (plan.sowAt === best.sowAt && offBest(crop, plan) < offBest(crop, best))
      ? plan
      : best
  );
}
