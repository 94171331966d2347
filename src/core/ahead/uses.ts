import type { Rhythm } from '../time/rhythm.ts';
import type { Horizon } from './horizon.ts';
import { daysTaken } from './room.ts';
import type { Row } from './rows.ts';
import { leftOf, type AheadProblem, type Counts } from './problem.ts';

/** How full a place's board is, how much of its rating is taken, or how many of a kind of container, day by day. */
export interface Occupancy {
  kind: 'board' | 'load' | 'container';
  /** Of the place, or of the size. */
  id: string;
  name: string;
  /** All there is of it: cm of front, g, or containers. */
  total: number;
  /** 0 for empty, 1 for full, and more where more is on the list than there is. */
  shares: number[];
}

/** How full boards and containers are, and how laden, with so many begun. */
export function usesOf(problem: AheadProblem, counts: Counts): Occupancy[] {
  const left = leftOf(problem, counts);
  return problem.resources.flatMap(({ kind, id, name, total }, at): Occupancy[] =>
    kind === 'seed' || total <= 0
      ? []
      : [
          {
            kind,
            id,
            name,
            total,
            shares: Array.from(left[at]!, (amount) => Math.max(0, 1 - amount / total))
          }
        ]
  );
}

/** Of a place's board, the share that is taken by what stands there in the dark yet, day by day. */
export function darkSharesOf(
  { id, total }: Pick<Occupancy, 'id' | 'total'>,
  rows: readonly Pick<Row, 'placeId' | 'frontCm' | 'startAt' | 'litAt' | 'lastCutAt'>[],
  horizon: Horizon,
  rhythm: Rhythm
): number[] {
  const shares = Array.from({ length: horizon.days }, () => 0);
  for (const { placeId, frontCm, startAt, litAt, lastCutAt } of rows) {
    const [from, until] = daysTaken({ from: startAt, until: Math.min(litAt, lastCutAt) }, horizon, rhythm);
    // The day on which it comes to light is one in light.
    if (placeId === id)
      for (let day = from; day < until - (litAt < lastCutAt ? 1 : 0); day += 1)
        shares[day]! += frontCm / total;
  }
  return shares;
}

/** Days, the first and the last included, for which more is on the list than there is. */
export interface Over {
  use: Occupancy;
  from: number;
  until: number;
}

/** Nothing is laid out so exactly, cm and containers alike. */
const EXACT = 0.001;

/** Where more is on the list than there is of board or containers, each stretch once. */
export const oversOf = (uses: readonly Occupancy[]): Over[] =>
  uses.flatMap((use) => {
    const overs: Over[] = [];
    use.shares.forEach((share, day) => {
      if (share <= 1 + EXACT) return;
      const last = overs.at(-1);
      if (last?.until === day - 1) last.until = day;
      else overs.push({ use, from: day, until: day });
    });
    return overs;
  });
