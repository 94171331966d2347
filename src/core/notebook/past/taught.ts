import type { CropLearned, Learned } from '../../growth/learned.ts';
import type { YieldLearned } from '../../growth/yieldLearned.ts';
import { observe, type Gaussian } from '../../stats/gaussian.ts';

/** What past sowings of a crop would teach, as one observation each of its pace and its yield. */
export interface PastTaught {
  cropKey: string;
  sowings: number;
  pace: Gaussian | null;
  /** The same taken for somebody's who is to be relied on. */
  reliable: Gaussian | null;
  /** How many say something of the pace, and how many of the yield. */
  paced: number;
  yields: Gaussian | null;
  weighed: number;
}

const both = (one: Gaussian | null, other: Gaussian | null): Gaussian | null =>
  one && other ? observe(one, other) : (one ?? other);

/** Several lists of lessons as one, a crop once, in the order of their crops' keys. */
export function gatherTaught(lists: readonly (readonly PastTaught[])[]): PastTaught[] {
  const found = new Map<string, PastTaught>();
  for (const one of lists.flat()) {
    const held = found.get(one.cropKey);
    found.set(
      one.cropKey,
      held
        ? {
            cropKey: one.cropKey,
            sowings: held.sowings + one.sowings,
            pace: both(held.pace, one.pace),
            reliable: both(held.reliable, one.reliable),
            paced: held.paced + one.paced,
            yields: both(held.yields, one.yields),
            weighed: held.weighed + one.weighed
          }
        : one
    );
  }
  return [...found.values()].sort((a, b) => (a.cropKey < b.cropKey ? -1 : 1));
}

/** What a household will have learned once past sowings are in its notebook. */
export function lessonsWith(
  { learned, yields }: { learned: Learned; yields: YieldLearned },
  taught: readonly PastTaught[]
): { learned: Learned; yields: YieldLearned } {
  const ended = taught
    .filter(({ paced }) => paced > 0)
    .map(({ cropKey, pace, reliable, paced }): CropLearned => {
      const held = learned.ended.find((one) => one.cropKey === cropKey);
      return {
        cropKey,
        message: both(held?.message ?? null, pace),
        reliable: both(held?.reliable ?? null, reliable),
        trays: (held?.trays ?? 0) + paced
      };
    });
  const weighed = taught.flatMap(({ cropKey, yields: message, weighed: trays }) => {
    const held = yields.find((one) => one.cropKey === cropKey);
    const joined = both(held?.message ?? null, message);
    return message && joined ? [{ cropKey, message: joined, trays: (held?.trays ?? 0) + trays }] : [];
  });
  const others = <T extends { cropKey: string }>(all: readonly T[], changed: readonly T[]): T[] =>
    all.filter(({ cropKey }) => !changed.some((one) => one.cropKey === cropKey));
  return {
    learned: { ...learned, ended: [...others(learned.ended, ended), ...ended] },
    yields: [...others(yields, weighed), ...weighed]
  };
}

/** Yields this many times over or under the book speak of a wrong unit or column rather than of a good hand (starting figure). */
const FAR = 2.5;

/** Whether what was weighed of a crop is so far from the book that its columns and units should be looked at. */
export const isFarFromBook = ({ yields }: PastTaught): boolean =>
  yields !== null && Math.abs(yields.mean) > Math.log(FAR);
