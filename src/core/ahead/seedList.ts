import type { Crop } from '../crops/crop.ts';
import { leftG, type LotStock } from '../supplies/seed/lot.ts';
import type { Millis } from '../time/zone.ts';

/** Seed of one crop that a plan takes. */
export interface SeedDraw {
  crop: Crop;
  at: Millis;
  g: number;
}

/** What a plan draws of a crop's seed, and what there is. */
export interface SeedNeed {
  crop: Crop;
  needG: number;
  haveG: number;
  /** What is to be bought, g; 0 where there is enough. */
  buyG: number;
  /** Before the first sowing that it runs out with, and no sooner than now; null where it does not run out. */
  buyBy: Millis | null;
  /** The lot that is used first, and those past their date. */
  first: LotStock | null;
  stale: readonly LotStock[];
}

/** A packet in hand a few days early: post takes its time (starting figure). */
const POST_D = 7;
const DAY_MS = 86_400_000;

/** What each of some draws of one crop lacks, g, where so much of its seed is there: the first take first. */
export function lacksOf(draws: readonly Pick<SeedDraw, 'at' | 'g'>[], haveG: number): Map<object, number> {
  let left = haveG;
  const lacks = new Map<object, number>();
  for (const draw of draws.toSorted((a, b) => a.at - b.at)) {
    const short = Math.max(0, draw.g - Math.max(0, left));
    if (short > EXACT_G) lacks.set(draw, short);
    left -= draw.g;
  }
  return lacks;
}

/** No seed is weighed so exactly, g. */
const EXACT_G = 0.01;

/**
 * What the sowings to come draw of each crop's seed, when it runs out, and what has to be bought by when: what runs out first
 * stands first.
 * @param lots of each crop in the order that they are used
 * @param today `YYYY-MM-DD`
 */
export function seedNeeds(
  draws: readonly SeedDraw[],
  lots: (crop: Crop) => readonly LotStock[],
  now: Millis,
  today: string
): SeedNeed[] {
  const crops = new Map(draws.map(({ crop }) => [crop.key, crop]));
  return [...crops.values()]
    .map((crop): SeedNeed => {
      const here = lots(crop);
      const mine = draws.filter((draw) => draw.crop.key === crop.key).sort((a, b) => a.at - b.at);
      const haveG = here.reduce((sum, lot) => sum + leftG(lot), 0);
      const needG = mine.reduce((sum, { g }) => sum + g, 0);
      let left = haveG;
      const short = mine.find(({ g }) => (left -= g) < -1e-6);
      return {
        crop,
        needG,
        haveG,
        buyG: Math.max(0, needG - haveG),
        buyBy: short ? Math.max(now, short.at - POST_D * DAY_MS) : null,
        first: here[0] ?? null,
        stale: here.filter(({ bestBefore }) => bestBefore !== null && bestBefore < today)
      };
    })
    .sort((a, b) => (a.buyBy ?? Infinity) - (b.buyBy ?? Infinity) || a.crop.name.localeCompare(b.crop.name));
}
