import { placeAt } from '../growth/forecast.ts';
import { airAt } from '../places/air/airAt.ts';
import type { Projected } from '../sowing/project.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';

export type MouldDriver = 'covered' | 'damp-air' | 'crop' | 'crowded' | 'seen';

export type MouldLevel = 'low' | 'raised' | 'high';

/** How likely mould is to start: advice, not a verdict. */
export interface MouldRisk {
  /** Hours of damp warmth, weighed by crop, density and air. */
  score: number;
  level: MouldLevel;
  /** The same by the hours alone, whatever was seen. */
  byHours: MouldLevel;
  /** What adds most to it, most first. */
  drivers: MouldDriver[];
}

/** Warmth that mould likes, degC, and how damp air must be without a cover (docs/model.md, 10). */
const WARM_C = [18, 30] as const;
const DAMP_PCT = 85;
/** How much more readily some crops mould, and how much moving air takes away (starting figures). */
const BY_CROP = { low: 0.6, medium: 1, high: 1.6 } as const;
const BY_AIR = 0.6;
/** Damp, warm hours of an ordinary crop that are still nothing to worry about, and that are (starting figures). */
const RAISED_H = 120;
const HIGH_H = 210;
/** Only what was lately damp still matters. */
const WINDOW_D = 6;
const STEP = 3 * HOUR;

/**
 * Mould risk of a sowing at a moment (docs/model.md, 10): hours with its cover on or air over 85 % between
 * 18 and 30 degC, times the crop's risk, times density over usual, less for moving air.
 */
export function mouldRisk(projected: Projected, now: Millis): MouldRisk {
  const { state, startAt, stays, crop, setup, path } = projected;
  if (state.sownAt === null || state.stage === 'ended')
    return { score: 0, level: 'low', byHours: 'low', drivers: [] };
  const bare = path.cover === 'none' ? startAt : (state.litAt ?? Infinity);
  let coveredH = 0;
  let dampH = 0;
  for (let at = Math.max(startAt, now - WINDOW_D * DAY); at < now; at += STEP) {
    const place = placeAt(stays, at);
    const { tempC, humidityPct, movingAir } = airAt(place, at);
    if (tempC < WARM_C[0] || tempC > WARM_C[1]) continue;
    const hours = (Math.min(STEP, now - at) / HOUR) * (movingAir ? BY_AIR : 1);
    if (at < bare) coveredH += hours;
    else if (humidityPct > DAMP_PCT) dampH += hours;
  }
  const byCrop = BY_CROP[crop.mouldRisk];
  const crowding = Math.max(0.8, setup.seedsPerCm2 / crop.seedsPerCm2.usual);
  const score = (coveredH + dampH) * byCrop * crowding;
  const byHours = score >= HIGH_H ? 'high' : score >= RAISED_H ? 'raised' : 'low';
  const seen = state.sights.some(({ sight, at }) => sight === 'mould' && at > now - 4 * DAY);
  const drivers: [MouldDriver, number][] = [
    ['seen', seen ? Infinity : 0],
    ['covered', coveredH],
    ['damp-air', dampH],
    ['crop', byCrop > 1 ? score * (1 - 1 / byCrop) : 0],
    ['crowded', crowding > 1.1 ? score * (1 - 1 / crowding) : 0]
  ];
  return {
    score,
    level: seen ? 'high' : byHours,
    byHours,
    drivers: drivers
      .filter(([, weight]) => weight > score * 0.2)
      .sort(([, a], [, b]) => b - a)
      .map(([driver]) => driver)
  };
}
