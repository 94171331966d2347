import { messageOf } from '../../core/growth/learned.ts';
import { project, type HouseholdFacts } from '../../core/sowing/project.ts';
import { readLog, type SowingRecord } from '../../core/sowing/record.ts';
import type { Gaussian } from '../../core/stats/gaussian.ts';
import { thirstOf } from '../../core/water/message.ts';
import type { Tx } from '../db/connection.ts';

/** What is kept beside a sowing and follows from its events and its household: it can be worked out anew at any time. */
export interface Derived {
  id: string;
  endedAt: number | null;
  pace: Gaussian | null;
  thirst: Gaussian | null;
}

/** Whether a sowing has ended, what it says of its crop's pace, and of how fast water goes. */
export function derivedOf(facts: HouseholdFacts, record: SowingRecord): Derived {
  const projected = project(facts, record.setup, readLog(record), { asIfNew: true });
  return {
    id: record.setup.id,
    endedAt: projected.state.endedAt,
    pace: kept(messageOf(projected)),
    thirst: kept(thirstOf(projected))
  };
}

/** As it is kept and sent with every page: to six places, far finer than anything is known. */
const kept = (message: Gaussian | null): Gaussian | null =>
  message && { mean: Number(message.mean.toFixed(6)), variance: Number(message.variance.toFixed(7)) };

/** Writes down what was derived. */
export async function keepDerived(tx: Tx, derived: readonly Derived[]): Promise<void> {
  if (derived.length === 0) return;
  const rows = derived.map(({ id, endedAt, pace, thirst }) => ({
    id,
    ended_at: endedAt === null ? null : new Date(endedAt).toISOString(),
    pace_mean: pace?.mean ?? null,
    pace_variance: pace?.variance ?? null,
    thirst_mean: thirst?.mean ?? null,
    thirst_variance: thirst?.variance ?? null
  }));
  await tx`
    update sowings s
    set ended_at = d.ended_at, pace_mean = d.pace_mean, pace_variance = d.pace_variance,
      thirst_mean = d.thirst_mean, thirst_variance = d.thirst_variance
    from jsonb_to_recordset(${tx.json(rows)}) as d(id uuid, ended_at timestamptz, pace_mean double precision,
      pace_variance double precision, thirst_mean double precision, thirst_variance double precision)
    where s.id = d.id
      and (s.ended_at, s.pace_mean, s.pace_variance, s.thirst_mean, s.thirst_variance)
        is distinct from (d.ended_at, d.pace_mean, d.pace_variance, d.thirst_mean, d.thirst_variance)`;
}
