import type { Built, AheadInput } from './build.ts';
import { changesOf, type Change } from './changes.ts';
import { eat, type DayAhead } from './eat.ts';
import { partSeeds, plannedAt, type PartSeed } from './growable.ts';
import type { AheadPlan } from './greedy.ts';
import { rowsOf, type Row } from './rows.ts';
import { supplyOf, type Supply } from './supply.ts';
import { usesOf, type Occupancy } from './uses.ts';

/** What is begun, where, and where it is carried to light: null where it stays. */
export interface Begun {
  /** Of the {@link Growable}: a blend's is that of all its crops. */
  cropKey: string;
  containerId: string;
  placeId: string;
  lightPlaceId: string | null;
  day: number;
  /** Seed of each crop for one container, g. */
  seed: readonly PartSeed[];
}

/** One change of a proposal, with all that it takes to make it so. */
export interface Proposed extends Change {
  /** What is begun; null for a planned sowing that is left out. */
  begin: Begun | null;
  sowingId: string | null;
  row: Row;
}

/** What is proposed, plain enough to be sent. */
export interface Proposal {
  changes: Proposed[];
  days: DayAhead[];
  uses: Occupancy[];
  missingG: number;
  thrownG: number;
}

/** A plan as what it changes, each with how that would go. */
export function proposalOf(
  { problem, starts, planned }: Built,
  plan: AheadPlan,
  input: AheadInput
): Proposal {
  /** What is begun, forecast for its own day: while plans are weighed, days near each other are taken for alike. */
  const own = new Map<number, Supply>();
  const changes = changesOf(problem, plan).map((change): Proposed => {
    const start = problem.starts[change.index]!;
    const of = starts[change.index];
    const stands = planned[change.index];
    if (!of) {
      const [row] = rowsOf([stands!], () => ({ kind: 'planned', locked: false, order: null }));
      return { ...change, begin: null, sowingId: start.sowingId, row: row! };
    }
    const { growable, where } = of.course;
    const at = input.horizon.workFrom[start.day]!;
    const one = plannedAt(growable, { where, container: of.container, at }, input.context);
    own.set(change.index, supplyOf(one.projected, input.horizon, input.context.now));
    const key = `new ${change.index}`;
    const [row] = rowsOf(
      [{ ...one.projected, setup: { ...one.setup, id: key, count: change.count } }],
      () => ({ kind: 'proposed', locked: false, order: null })
    );
    return {
      ...change,
      begin: {
        cropKey: growable.crop.key,
        containerId: of.container.id,
        placeId: where.place.id,
        lightPlaceId: where.lightPlace?.id ?? null,
        day: start.day,
        seed: partSeeds(one.setup)
      },
      sowingId: null,
      row: { ...row!, sowingIds: [], g: row!.g * change.count }
    };
  });
  const forecast = problem.starts.map((start, index) => ({ ...start, ...own.get(index) }));
  const { days, missingG, thrownG } = eat({ ...problem, starts: forecast }, plan.counts);
  return {
    changes,
    days,
    uses: usesOf(problem, plan.counts),
    missingG,
    thrownG
  };
}
