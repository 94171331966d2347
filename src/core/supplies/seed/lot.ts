import type { Crop } from '../../crops/crop.ts';
import { germinationTest, type Germination } from './germinationTest.ts';
import { seedAmount, WEAK_GERMINATION_PCT } from './amount.ts';

/** A packet of seed. */
export interface Lot {
  id: string;
  cropKey: string;
  /** What it is told apart by, such as where it came from. */
  name: string;
  /** What it held when it was last weighed, g. */
  weighedG: number;
  /** What the whole packet cost, in the household's money; null where not kept. */
  price: number | null;
  /** `YYYY-MM-DD`; null where not kept. */
  boughtOn: string | null;
  bestBefore: string | null;
  /** From the packet, percent; a test counts for more. */
  packetPct: number | null;
  /** A paper-towel test: how many of how many sprouted. */
  test: { sprouted: number; tested: number } | null;
}

/** A lot with what its sowings took from it since it was weighed. */
export interface LotStock extends Lot {
  /** Seed taken by sowings since, g. */
  takenG: number;
}

/** What is left in a lot, g; never under 0. */
export const leftG = ({ weighedG, takenG }: LotStock): number => Math.max(0, weighedG - takenG);

/** What is known of a lot's germination: from its test with a range, from its packet without; or null. */
export function lotGermination({ test, packetPct }: Lot): Germination | null {
  if (test) return germinationTest(test.sprouted, test.tested);
  return packetPct === null ? null : { pct: packetPct, lowPct: packetPct, highPct: packetPct };
}

export type LotFlag = 'empty' | 'low' | 'stale' | 'weak';

/** The smallest sowing worth keeping seed for: a tray of 25 x 18 cm at usual density. */
const TRAY_CM2 = 450;

/** Seed for one usual tray of a crop, g. */
export const trayOfSeedG = (crop: Crop): number => seedAmount(crop, TRAY_CM2, crop.seedsPerCm2.usual).seedG;

/**
 * What is to be said of a lot: empty, low (under one usual tray), stale (past its date), weak.
 * @param today `YYYY-MM-DD`
 */
export function lotFlags(lot: LotStock, crop: Crop, today: string): LotFlag[] {
  const flags: LotFlag[] = [];
  const left = leftG(lot);
  if (left <= 0) flags.push('empty');
  else if (left < trayOfSeedG(crop)) flags.push('low');
  if (lot.bestBefore !== null && lot.bestBefore < today) flags.push('stale');
  const germination = lotGermination(lot);
  if (germination && germination.pct < WEAK_GERMINATION_PCT) flags.push('weak');
  return flags;
}
