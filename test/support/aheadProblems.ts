import fc from 'fast-check';
import { eat } from '../../src/core/ahead/eat.ts';
import { leftOf, type AheadProblem, type Start } from '../../src/core/ahead/problem.ts';

export const DAYS = 12;
/** Grams that open over a day or two, keep for some, and go. */
export const start = (
  day: number,
  {
    leadD,
    keepsD,
    yieldG,
    crop,
    amount = 1
  }: { leadD: number; keepsD: number; yieldG: number; crop: number; amount?: number }
): Start => ({
  crop,
  placeId: 'p',
  lightPlaceId: null,
  containerId: `c${crop}`,
  day,
  workDays: [day],
  yieldG,
  opened: Float64Array.from({ length: DAYS }, (_, at) =>
    at < day + leadD ? 0 : at === day + leadD ? yieldG / 2 : yieldG
  ),
  gone: Float64Array.from({ length: DAYS }, (_, at) => (at < day + leadD + keepsD ? 0 : yieldG)),
  uses: [{ resource: 0, from: day, until: day + leadD + 2, amount }],
  costG: 0.5,
  sowingId: null,
  most: 2
});

/** Small households, by chance: some crops, one kind of container, appetite that changes by day. */
export const problems = (mostShares: readonly number[] = [1, 0.6]): fc.Arbitrary<AheadProblem> =>
  fc
    .record({
      appetiteG: fc.array(fc.integer({ min: 0, max: 60 }), { minLength: DAYS, maxLength: DAYS }),
      crops: fc.array(
        fc.record({
          leadD: fc.integer({ min: 1, max: 4 }),
          keepsD: fc.integer({ min: 1, max: 5 }),
          yieldG: fc.integer({ min: 20, max: 150 }),
          liked: fc.constantFrom(0, 0.5, 1),
          mostShare: fc.constantFrom(...mostShares)
        }),
        { minLength: 1, maxLength: 2 }
      ),
      days: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 3 }),
      containers: fc.integer({ min: 1, max: 2 }),
      pantryG: fc.integer({ min: 0, max: 80 })
    })
    .map(({ appetiteG, crops, days, containers, pantryG }) => ({
      days: DAYS,
      appetiteG,
      crops: crops.map(({ liked, mostShare }, key) => ({
        key: String(key),
        leastShare: 0,
        mostShare,
        liked
      })),
      standing: [
        {
          crop: 0,
          yieldG: pantryG,
          opened: new Float64Array(DAYS).fill(pantryG),
          gone: Float64Array.from({ length: DAYS }, (_, day) => (day > 2 ? pantryG : 0))
        }
      ],
      starts: crops.flatMap((crop, key) => days.map((day) => start(day, { ...crop, crop: key }))),
      resources: [
        {
          kind: 'container',
          id: 'c',
          name: 'Tray',
          total: containers,
          free: new Float64Array(DAYS).fill(containers)
        }
      ],
      worked: Array.from({ length: DAYS }, () => false)
    }));

/** Of all that can be begun within what there is, the least that anything costs: by trying everything. */
export function cheapestOf(problem: AheadProblem): number {
  let least = Infinity;
  const all = (counts: number[]): void => {
    const begun = [...counts, ...problem.starts.slice(counts.length).map(() => 0)];
    if (leftOf(problem, begun).some((left) => Math.min(...left) < -1e-6)) return;
    if (counts.length === problem.starts.length) least = Math.min(least, eat(problem, counts).costG);
    else
      for (let count = 0; count <= problem.starts[counts.length]!.most; count += 1) all([...counts, count]);
  };
  all([]);
  return least;
}

export const countsFor = ({ starts }: AheadProblem): fc.Arbitrary<number[]> =>
  fc.array(fc.integer({ min: 0, max: 2 }), { minLength: starts.length, maxLength: starts.length });
