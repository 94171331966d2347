import { cropsByWeek } from './variety.ts';
import { eat } from './eat.ts';
import type { AheadPlan } from './greedy.ts';
import { standsNow, type AheadProblem, type Start } from './problem.ts';

/** Days on which a start is there to be eaten, and how much more would be missing without it. */
export interface Feeds {
  from: number;
  until: number;
  g: number;
}

/** What a proposal does otherwise than things stand. */
export interface Change {
  kind: 'begin' | 'leave-out';
  /** Index of the start, and how many more or fewer of it. */
  index: number;
  count: number;
  /** Why it is begun; null where it only saves work or greens that would be thrown. */
  feeds: Feeds | null;
  /** Whether without it a week would have one crop less of those that are wished for. */
  varies: boolean;
  /** What would be thrown with it or without it, whichever is more, g. */
  savesThrownG: number;
}

/** So much more missing is worth naming, g. */
const WORTH_G = 1;

/** The changes that a plan makes to what stands, in the order of their days, each with what it is for. */
export function changesOf(problem: AheadProblem, { counts, outcome }: AheadPlan): Change[] {
  const stands = standsNow(problem);
  const crops = wishedCrops(problem, outcome.days);
  const changes = counts.flatMap((count, index): Change[] => {
    const by = count - stands[index]!;
    if (by === 0) return [];
    const other = eat(problem, counts.with(index, stands[index]!));
    return [
      {
        kind: by > 0 ? 'begin' : 'leave-out',
        index,
        count: Math.abs(by),
        feeds: by > 0 ? feedsOf(outcome.days, other.days, problem.starts[index]!) : null,
        varies: by > 0 && crops > wishedCrops(problem, other.days),
        savesThrownG: Math.max(0, other.thrownG - outcome.thrownG)
      }
    ];
  });
  return changes.sort((a, b) => problem.starts[a.index]!.day - problem.starts[b.index]!.day);
}

/** The crops of every week added up, each week counted only as far as the wish goes; 0 without a wish. */
const wishedCrops = (
  { variety }: Pick<AheadProblem, 'variety'>,
  days: Parameters<typeof cropsByWeek>[0]
): number => {
  const least = variety?.leastCrops ?? null;
  if (least === null) return 0;
  return cropsByWeek(days).reduce<number>((sum, crops) => sum + Math.min(crops ?? 0, least), 0);
};

/** The days on which it is there to be eaten, and what would be missing without it; null where nothing would. */
function feedsOf(
  withIt: readonly { missingG: number }[],
  without: readonly { missingG: number }[],
  { opened, gone, yieldG }: Start
): Feeds | null {
  const g = without.reduce(
    (sum, { missingG }, day) => sum + Math.max(0, missingG - withIt[day]!.missingG),
    0
  );
  if (g < WORTH_G) return null;
  const from = opened.findIndex((sum) => sum >= yieldG / 2);
  const until = gone.findIndex((sum) => sum >= yieldG / 2);
  return { from: Math.max(0, from), until: until < 0 ? gone.length - 1 : until, g };
}
