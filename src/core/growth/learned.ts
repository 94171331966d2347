import { learnsAs } from '../crops/blend.ts';
import type { Crop } from '../crops/crop.ts';
import type { Forecast } from './forecast.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { Z80 } from '../stats/normal.ts';
import { beliefFor, beliefWithout, learn, type HouseholdBelief } from './learn.ts';
import { NO_SLIPS, together, type Slips } from './slips.ts';
import {
  countsOf,
  countsWithout,
  relied,
  tellingOf,
  type CueCounts,
  type Cues,
  type Telling
} from './telling.ts';

/** What a household has seen of its crops' pace, small enough to go with every page. */
export interface Learned {
  /** Sowings that ended, put together by crop. */
  ended: readonly CropLearned[];
  /** Those under way, one by one, so that none is told what it said itself. */
  underWay: readonly SowingLearned[];
  /** What was told and left of the cues of those that ended. */
  cues?: CueCounts;
  /** How often answers about those were contradicted. */
  slips?: Slips;
}

/** What a sowing, or several of one crop together, said of H + h. */
export interface Said {
  cropKey: string;
  /** Taken for anybody's, as one observation; null for nothing. */
  message: Gaussian | null;
  /** Taken for somebody's who is to be relied on; null or absent for nothing. */
  reliable?: Gaussian | null;
}

export interface CropLearned extends Said {
  /** How many sowings that is. */
  trays: number;
}

export interface SowingLearned extends Said {
  sowingId: string;
  cues?: Cues;
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

/** The same, taken for somebody's who is to be relied on. */
export const reliableOf = ({
  forecast,
  firstGrowth
}: {
  forecast: Forecast;
  firstGrowth: Forecast | null;
}): Gaussian | null => (firstGrowth ?? forecast).reliable();

interface Known {
  belief: HouseholdBelief;
  cues: CueCounts;
  slips: Slips;
  telling: Telling;
  own: ReadonlyMap<string, { cropKey: string; message: Gaussian | null; cues: Cues | undefined }>;
}

/** Worked out once for all the sowings of a page, not once for each of them. */
const known = new WeakMap<Learned, Known>();

function knownOf(learned: Learned): Known {
  let found = known.get(learned);
  if (!found) {
    const { ended, underWay } = learned;
    const cues = countsOf(
      underWay.flatMap((one) => one.cues ?? []),
      learned.cues
    );
    const slips = together([
      ...(learned.slips ? [learned.slips] : []),
      ...underWay.flatMap((one) => one.cues?.slips ?? [])
    ]);
    const telling = tellingOf(cues, slips);
    const messageOf = ({ message, reliable = null }: Said) => relied(message, reliable, telling.trust);
    const own = new Map(
      underWay.map((one) => [one.sowingId, { cropKey: one.cropKey, message: messageOf(one), cues: one.cues }])
    );
    const said = [...ended, ...underWay].flatMap((one) => {
      const message = messageOf(one);
      return message ? [{ cropKey: one.cropKey, message }] : [];
    });
    known.set(learned, (found = { belief: learn(said), cues, slips, telling, own }));
  }
  return found;
}

const NOTHING: Learned = { ended: [], underWay: [] };

/** What the household believes of H + h for a crop, leaving out what one sowing said itself. */
export function learnedBelief(learned: Learned | undefined, crop: Crop, exceptId?: string): Gaussian {
  const { belief, own } = knownOf(learned ?? NOTHING);
  const mine = exceptId === undefined ? undefined : own.get(exceptId);
  const key = learnsAs(crop.key);
  return mine?.message && mine.cropKey === key
    ? beliefWithout(belief, key, mine.message)
    : beliefFor(belief, key);
}

/** How the household tells what it sees, leaving out what one sowing shows of that itself. */
export function learnedTelling(learned: Learned, exceptId?: string): Telling {
  const { cues, slips, telling, own } = knownOf(learned);
  const mine = exceptId === undefined ? undefined : own.get(exceptId)?.cues;
  if (!mine || mine.told.length + mine.left.length === 0) return telling;
  const said = mine.slips ?? NO_SLIPS;
  const otsaid = {
    answers: slips.answers - said.answers,
    contradicted: slips.contradicted - said.contradicted
  };
  return tellingOf(countsWithout(cues, mine), otsaid);
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
