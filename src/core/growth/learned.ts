import type { Crop } from '../crops/crop.ts';
import type { Forecast } from './forecast.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { Z80 } from '../stats/normal.ts';
import { beliefFor, beliefWithout, learn, type HouseholdBelief } from './learn.ts';

/** What a household has seen of its crops' pace, small enough to go with every page. */
export interface Learned {
  /** Sowings that ended, put together by crop. */
  ended: readonly CropLearned[];
  /** Those under way, one by one, so that none is told what it said itself. */
  underWay: readonly { sowingId: string; cropKey: string; message: Gaussian }[];
}

export interface CropLearned {
  cropKey: string;
  /** All its sowings as one observation of H + h. */
  message: Gaussian;
  /** How many sowings that is. */
  trays: number;
}

/**
 * What one sowing says of its household's pace with its crop, as one observation of H + h: all of its looks and silences,
 * told against what a new household believes, so that it hangs on no other sowing. Of one that grows again, what its first
 * growth said. Null while that is next to nothing: a harvest that nobody looked at says nothing of when it opened.
 */
export const messageOf = ({
  forecast,
  firstGrowth
}: {
  forecast: Forecast;
  firstGrowth: Forecast | null;
}): Gaussian | null => (firstGrowth ?? forecast).message();

interface Known {
  belief: HouseholdBelief;
  own: ReadonlyMap<string, { cropKey: string; message: Gaussian }>;
}

/** Worked out once for all the sowings of a page, not once for each of them. */
const known = new WeakMap<Learned, Known>();

function knownOf(learned: Learned): Known {
  let found = known.get(learned);
  if (!found) {
    const { ended, underWay } = learned;
    const own = new Map(underWay.map(({ sowingId, cropKey, message }) => [sowingId, { cropKey, message }]));
    known.set(learned, (found = { belief: learn([...ended, ...underWay]), own }));
  }
  return found;
}

const NOTHING: Learned = { ended: [], underWay: [] };

/** What the household believes of H + h for a crop, leaving out what one sowing said itself. */
export function learnedBelief(learned: Learned | undefined, crop: Crop, exceptId?: string): Gaussian {
  const { belief, own } = knownOf(learned ?? NOTHING);
  const mine = exceptId === undefined ? undefined : own.get(exceptId);
  return mine?.cropKey === crop.key
    ? beliefWithout(belief, crop.key, mine.message)
    : beliefFor(belief, crop.key);
}

/** What a household has learned of one crop, for people. */
export interface Lesson {
  cropKey: string;
  /** How much longer it takes here than the book says, as a share: 0.08 is 8 % slower. */
  slower: number;
  /** 80 % range of that. */
  low: number;
  high: number;
  trays: number;
}

/** What was learned of a crop; null where none of its trays has said anything yet. */
export function lessonOf(learned: Learned, crop: Crop): Lesson | null {
  const trays =
    (learned.ended.find(({ cropKey }) => cropKey === crop.key)?.trays ?? 0) +
    learned.underWay.filter(({ cropKey }) => cropKey === crop.key).length;
  if (trays === 0) return null;
  const { mean, variance } = learnedBelief(learned, crop);
  const sd = Math.sqrt(variance);
  return {
    cropKey: crop.key,
    slower: Math.exp(mean) - 1,
    low: Math.exp(mean - Z80 * sd) - 1,
    high: Math.exp(mean + Z80 * sd) - 1,
    trays
  };
}
