import { YIELD_SPREAD } from '../growth/yieldLearned.ts';
import { phi, Z80 } from '../stats/normal.ts';
import { observe } from '../stats/gaussian.ts';
import { DAY } from '../time/zone.ts';
import type { StoryFacts } from './facts.ts';

export type Chosen = keyof StoryFacts['chosen'];

/** What can differ by choice, in the order it is told; the lot and the grams follow from others or tell little. */
const CHOICES = [
  'crop',
  'container',
  'medium',
  'mediumId',
  'method',
  'answers',
  'place',
  'light',
  'density',
  'soakH'
] as const satisfies readonly Chosen[];

/** Densities and hours this much apart are the same in a kitchen. */
const SAME_DENSITY = 0.08;
const SAME_SOAK_H = 1;
/** Sown this far apart, trays on a sill grew in another light. */
const SEASON_D = 45;
/** How far apart two ways of growing are taken to be before anything was grown, ln (starting figure). */
const DOUBT = { yield: 0.25, days: 0.12 } as const;

/** How one way did against the other: a ratio with its 80 % range, and how sure it is that there is a difference that way. */
export interface Against {
  /** Of either way as it was, by the geometric mean of its trays. */
  came: readonly [first: number, second: number];
  ratio: number;
  low: number;
  high: number;
  /** Chance that it truly lies on the side that it seems to. */
  sure: number;
}

/** One of two ways that were set against each other. */
export interface ComparedWay {
  stories: StoryFacts[];
  lost: number;
}

/** What can be said of some sowings beside each other. */
export type Verdict =
  /** All done alike: what lies between them is chance. */
  | { kind: 'alike' }
  /** More than two ways of growing: two can be set against each other. */
  | { kind: 'many'; ways: number }
  | { kind: 'crops' }
  | {
      kind: 'two';
      ways: readonly [ComparedWay, ComparedWay];
      /** What differs between them: of several, nobody can say which it was. */
      differs: Chosen[];
      /** Of the second over the first: grams to an area, and days to the opening. Null where one of them has none. */
      yields: Against | null;
      days: Against | null;
      seasons: boolean;
    };

const near = (one: StoryFacts['chosen'], other: StoryFacts['chosen'], choice: Chosen): boolean => {
  if (choice === 'density' && one.density !== null && other.density !== null)
    return Math.abs(Math.log(one.density / other.density)) < SAME_DENSITY;
  if (choice === 'soakH') return Math.abs(one.soakH - other.soakH) < SAME_SOAK_H;
  if (choice === 'answers') return JSON.stringify(one.answers) === JSON.stringify(other.answers);
  return one[choice] === other[choice];
};

/** Which of the choices are not the same in all of some sowings. */
export function differing(stories: readonly StoryFacts[]): Chosen[] {
  const differ = CHOICES.filter((choice) =>
    stories.some(({ chosen }) => stories.some((other) => !near(chosen, other.chosen, choice)))
  );
  // Another method brings its answers along.
  return differ.includes('method') ? differ.filter((choice) => choice !== 'answers') : differ;
}

/** What can be said of some sowings set beside each other, and how sure. */
export function verdictOf(stories: readonly StoryFacts[]): Verdict {
  const differs = differing(stories);
  if (differs.includes('crop')) return { kind: 'crops' };
  if (differs.length === 0) return { kind: 'alike' };
  const ways: StoryFacts[][] = [];
  for (const story of stories) {
    const alike = ways.find(([first]) =>
      differs.every((choice) => near(first!.chosen, story.chosen, choice))
    );
    if (alike) alike.push(story);
    else ways.push([story]);
  }
  if (ways.length !== 2) return { kind: 'many', ways: ways.length };
  const [first, second] = ways as [StoryFacts[], StoryFacts[]];
  const cv = first[0]!.durationCv;
  return {
    kind: 'two',
    ways: [wayOf(first), wayOf(second)],
    differs,
    yields: against(first, second, ({ came }) => came.gPerM2, YIELD_SPREAD.tray, DOUBT.yield),
    days: against(first, second, ({ came }) => (came.openSeen ? came.openD : null), cv, DOUBT.days),
    seasons: stories.some(({ startAt }) =>
      stories.some((other) => Math.abs(startAt - other.startAt) > SEASON_D * DAY)
    )
  };
}

const wayOf = (stories: StoryFacts[]): ComparedWay => ({
  stories,
  lost: stories.filter(({ lost }) => lost !== null).length
});

/**
 * The second over the first by the means of their logarithms, each tray off by `sd`; held back by the doubt that ways of
 * growing are far apart at all, so that one lucky tray is no proof.
 */
function against(
  first: readonly StoryFacts[],
  second: readonly StoryFacts[],
  of: (story: StoryFacts) => number | null,
  sd: number,
  doubt: number
): Against | null {
  const logs = (stories: readonly StoryFacts[]) =>
    stories.flatMap((story) => {
      const value = of(story);
      return value !== null && value > 0 ? [Math.log(value)] : [];
    });
  const [one, other] = [logs(first), logs(second)];
  if (one.length === 0 || other.length === 0) return null;
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const seen = { mean: mean(other) - mean(one), variance: sd ** 2 * (1 / one.length + 1 / other.length) };
  const believed = observe({ mean: 0, variance: doubt ** 2 }, seen);
  const deviation = Math.sqrt(believed.variance);
  return {
    came: [Math.exp(mean(one)), Math.exp(mean(other))],
    ratio: Math.exp(believed.mean),
    low: Math.exp(believed.mean - Z80 * deviation),
    high: Math.exp(believed.mean + Z80 * deviation),
    sure: phi(Math.abs(believed.mean) / deviation)
  };
}
