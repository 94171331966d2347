import { DAY, type Millis } from '../time/zone.ts';

/** Seed that a sowing took. */
export interface SeedTaken {
  cropKey: string;
  lotId: string | null;
  seedG: number;
  sownAt: Millis;
}

/** Seed of a crop for a year at the pace of late. */
export interface SeedForYear {
  cropKey: string;
  sowings: number;
  takenG: number;
  yearG: number;
  /** Null where no lot of it has a price. */
  cost: number | null;
}

const YEAR_D = 365;
/** A shorter time tells no pace. */
const LEAST_D = 28;

/**
 * Seed for a year if it goes on as in the year before, or since the first sowing where that was later. Null while it is too
 * early to tell.
 * @param perG what a g of a crop's seed cost, by its lots
 */
export function seedForYear(
  taken: readonly SeedTaken[],
  perG: ReadonlyMap<string, number>,
  now: Millis
): { days: number; crops: SeedForYear[] } | null {
  const since = now - YEAR_D * DAY;
  const recent = taken.filter(({ sownAt }) => sownAt >= since && sownAt <= now);
  const first = Math.min(...recent.map(({ sownAt }) => sownAt));
  const days = (now - first) / DAY;
  if (recent.length === 0 || days < LEAST_D) return null;
  const crops = new Map<string, { sowings: number; takenG: number }>();
  for (const { cropKey, seedG } of recent) {
    const before = crops.get(cropKey) ?? { sowings: 0, takenG: 0 };
    crops.set(cropKey, { sowings: before.sowings + 1, takenG: before.takenG + seedG });
  }
  return {
    days,
    crops: [...crops]
      .map(([cropKey, { sowings, takenG }]) => {
        const yearG = (takenG / days) * YEAR_D;
        const price = perG.get(cropKey);
        return { cropKey, sowings, takenG, yearG, cost: price === undefined ? null : price * yearG };
      })
      .sort((a, b) => b.yearG - a.yearG)
  };
}
