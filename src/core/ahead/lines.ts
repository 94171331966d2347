import { DAY } from '../time/zone.ts';
import type { Proposed } from './proposal.ts';

/** What a proposal asks as one thing, to take or to leave: a beginning, a leaving out, or both where that is a move. */
export interface Line {
  key: string;
  kind: 'begin' | 'leave-out' | 'move';
  changes: readonly Proposed[];
  /** What is begun, or left out where nothing is. */
  change: Proposed;
  /** What is moved; null where nothing is. */
  instead: Proposed | null;
}

/** One further off is another sowing, and no move of the first. */
const MOVES_D = 10;

/** The changes of a proposal as a person thinks of them: the same crop in the same container on another day is moved. */
export function linesOf(changes: readonly Proposed[]): Line[] {
  const out = changes.filter(({ kind }) => kind === 'leave-out');
  const gone = new Set<Proposed>();
  const lines = changes.flatMap((change): Line[] => {
    if (change.kind !== 'begin') return [];
    const instead =
      change.count > 1
        ? undefined
        : out
            .filter((other) => !gone.has(other) && isLike(change, other))
            .sort((a, b) => apart(change, a) - apart(change, b))[0];
    if (instead) gone.add(instead);
    return [
      {
        key: change.row.key,
        kind: instead ? 'move' : 'begin',
        changes: instead ? [instead, change] : [change],
        change,
        instead: instead ?? null
      }
    ];
  });
  const left = out
    .filter((change) => !gone.has(change))
    .map((change): Line => ({
      key: change.row.key,
      kind: 'leave-out',
      changes: [change],
      change,
      instead: null
    }));
  return [...lines, ...left].sort((a, b) => beginsAt(a) - beginsAt(b));
}

const beginsAt = ({ change }: Line): number => change.row.beginsAt;

const apart = (a: Proposed, b: Proposed): number => Math.abs(a.row.beginsAt - b.row.beginsAt);

const isLike = (a: Proposed, b: Proposed): boolean =>
  a.row.crops.join() === b.row.crops.join() &&
  a.row.container === b.row.container &&
  a.row.count === b.row.count &&
  apart(a, b) <= MOVES_D * DAY;
