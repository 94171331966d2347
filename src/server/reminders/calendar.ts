import { createHash } from 'node:crypto';
import type { Tx } from '../db/connection.ts';

/** What a calendar is told of an entry's history. */
export interface Edition {
  /** Higher with every change. */
  sequence: number;
  changedAt: number;
}

/** Entries that nobody asked for in so long are forgotten. */
const KEPT = '200 days';

/**
 * Numbers each entry by how often it has changed since it was first told.
 * @param entries what each says, by its name
 */
export async function editionsOf(
  tx: Tx,
  householdId: string,
  entries: ReadonlyMap<string, unknown>
): Promise<Map<string, Edition>> {
  if (entries.size === 0) return new Map();
  const rows = [...entries].map(([uid, said]) => ({
    household_id: householdId,
    uid,
    digest: createHash('sha256').update(JSON.stringify(said)).digest('base64url'),
    sequence: 0,
    changed_at: new Date()
  }));
  await tx`insert into calendar ${tx(rows)}
    on conflict (household_id, uid) do update
    set digest = excluded.digest, sequence = calendar.sequence + 1, changed_at = excluded.changed_at
    where calendar.digest <> excluded.digest`;
  await tx`delete from calendar where changed_at < now() - ${KEPT}::interval`;
  const stored = await tx<{ uid: string; sequence: number; changed_at: Date }[]>`
    select uid, sequence, changed_at from calendar where uid in ${tx([...entries.keys()])}`;
  return new Map(
    stored.map(({ uid, sequence, changed_at }) => [uid, { sequence, changedAt: changed_at.getTime() }])
  );
}
