import { airAt } from '../places/air/airAt.ts';
import { placeDli, type PlaceLight } from '../places/place.ts';
import type { Projected } from '../sowing/project.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import { trackOf, waterAt } from '../water/level.ts';
import { vpdKpa } from '../water/vpd.ts';
import { mouldRisk, type MouldRisk } from './mould.ts';
import { uncoversAt } from '../sowing/stage.ts';

/** What Brote knows of a tray that bears on what somebody sees in it. */
export interface LookFacts {
  projected: Projected;
  now: Millis;
  /** Days since it was sown. */
  age: number;
  waterShare: number;
  /** More was poured than it holds, within the last three days. */
  overwatered: boolean;
  /** Days from rooting on that it stood or has stood in the dark. */
  daysDark: number;
  /** Whether it was given any water before its cover came off. */
  mistedWhileRooting: boolean;
  /** 0 before first light. */
  daysInLight: number;
  dli: number;
  light: PlaceLight;
  tempC: number;
  humidityPct: number;
  vpdKpa: number;
  /** Density over the crop's usual one. */
  crowding: number;
  /** How far it is on its way to its window: 1 is the expected opening. */
  ripeness: number;
  /** Days since its window opened; negative before. */
  openFor: number;
  risk: MouldRisk;
}

/** Gathers what is known of a tray at a moment. */
export function lookFacts(
  projected: Projected,
  household: { latitudeDeg: number; dayOfYear: number },
  now: Millis
): LookFacts {
  const { state, place, crop, setup, forecast, startAt } = projected;
  const { tempC, humidityPct } = airAt(place, now);
  // What was not brought to light stands in the dark, whatever was expected.
  const lit = state.litAt ?? (projected.path.lightFrom === 'sown' ? startAt : null);
  const darkUntil = lit ?? now;
  const open = forecast.marks.windowOpen.p50;
  const openTau = forecast.clock.tau(open);
  return {
    projected,
    now,
    age: (now - startAt) / DAY,
    waterShare: waterAt(projected, now).share,
    overwatered: trackOf(projected).excess.some(({ at }) => at > now - 72 * HOUR && at <= now),
    daysDark: Math.max(0, darkUntil - uncoversAt(projected, forecast.marks.rooted.p50)) / DAY,
    mistedWhileRooting: state.water.some(
      (fact) => 'addedG' in fact && fact.at > startAt && fact.at < (state.uncoveredAt ?? lit ?? now)
    ),
    daysInLight: lit === null ? 0 : Math.max(0, now - lit) / DAY,
    dli: placeDli(place, household.latitudeDeg, household.dayOfYear),
    light: place.light,
    tempC,
    humidityPct,
    vpdKpa: vpdKpa(tempC, humidityPct),
    crowding: setup.seedsPerCm2 / crop.seedsPerCm2.usual,
    ripeness: openTau > 0 && Number.isFinite(openTau) ? forecast.clock.tau(now) / openTau : 0,
    openFor: (now - open) / DAY,
    risk: mouldRisk(projected, now)
  };
}
