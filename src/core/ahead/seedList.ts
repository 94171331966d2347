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
  /** Before the first sowing that it runs out with; null where it does not. */
  buyBy: Millis | null;
  /** The lot that is used first, and those past their date. */
  first: LotStock | null;
  stale: readonly LotStock[];
}

/** A packet in hand a few days early: post takes its time (starting figure). */
const POST_D = 7;
const DAY_MS = 86_400_000;

/**
 * What the sowings to come draw of each crop's seed, when it runs out, and what has to be bought by when: what runs out first
 * stands first.
 * @param lots of each crop in the order that they are used
 * @param today `YYYY-MM-DD`
 */
export function seedNeeds(
  draws: readonly SeedDraw[],
  lots: (crop: Crop) => readonly LotStock[],
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
        buyBy: short ? short.at - POST_D * DAY_MS : null,
        first: here[0] ?? null,
        stale: here.filter(({ bestBefore }) => bestBefore !== null && bestBefore < today)
      };
    })
    .sort((a, b) => (a.buyBy ?? Infinity) - (b.buyBy ?? Infinity) || a.crop.name.localeCompare(b.crop.name));
}
