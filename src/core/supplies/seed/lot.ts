import { blend } from '../../crops/blend.ts';
import type { Crop } from '../../crops/crop.ts';
import { areaShares } from '../../crops/shares.ts';
import { germinationTest, type GerminationRate } from './germinationTest.ts';
import { seedAmount, WEAK_GERMINATION_PCT } from './amount.ts';

/** One crop of a mixed packet. */
export interface LotPart {
  cropKey: string;
  /** By weight, on any scale. */
  share: number;
}

/** A packet of seed; of a mixed one, `cropKey` is its first. */
export interface Lot {
  id: string;
  cropKey: string;
  /** What a packet that was bought mixed holds, by weight; null for one crop, or where nobody knows. */
  parts: readonly LotPart[] | null;
  /** What it is told apart by, such as where it came from. */
  name: string;
  /** What it held when it was last weighed, g. */
  weighedG: number;
  /** What the whole packet cost, in the household's money; null where not kept. */
  price: number | null;
  /** What the packet held that the price was paid for, g; null where not kept. */
  packetG: number | null;
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

/** Whether a lot holds seed of a crop. */
export const holds = ({ cropKey, parts }: Pick<Lot, 'cropKey' | 'parts'>, key: string): boolean =>
  cropKey === key || (parts?.some((part) => part.cropKey === key) ?? false);

/**
 * What a lot grows: its crop, or the blend it was bought as.
 * @param find a crop by its key
 * @returns null where a crop of it is not known
 */
export function cropOfLot(
  { cropKey, parts }: Pick<Lot, 'cropKey' | 'parts'>,
  find: (key: string) => Crop | null | undefined
): Crop | null {
  if (!parts) return find(cropKey) ?? null;
  const crops = parts.flatMap((part) => find(part.cropKey) ?? []);
  if (crops.length < parts.length) return null;
  const shares = areaShares(
    crops,
    parts.map(({ share }) => share),
    'weight'
  );
  return blend(crops.map((crop, index) => ({ crop, areaShare: shares[index]! })));
}

/** What is left in a lot, g; never under 0. */
export const leftG = ({ weighedG, takenG }: LotStock): number => Math.max(0, weighedG - takenG);

/** What is known of a lot's germination: from its test with a range, from its packet without; or null. */
export function lotGermination({ test, packetPct }: Lot): GerminationRate | null {
  if (test) return germinationTest(test.sprouted, test.tested);
  return packetPct === null ? null : { pct: packetPct, lowPct: packetPct, highPct: packetPct };
}

/** Whether nothing sprouted in its test. Such seed is never planned with. */
export const isDead = (lot: Lot): boolean => lotGermination(lot)?.pct === 0;

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

/** Lots in the order of use: first what keeps least, then the older; never a lot of which nothing sprouted. */
export const useFirst = (lots: readonly LotStock[]): LotStock[] =>
  lots
    .filter((lot) => leftG(lot) > 0 && !isDead(lot))
    .sort(
      (a, b) =>
        day(a.bestBefore).localeCompare(day(b.bestBefore)) || day(a.boughtOn).localeCompare(day(b.boughtOn))
    );

const day = (date: string | null): string => date ?? '9999';
