import { DAY, type Millis } from '../../core/time/zone.ts';
import type { Tx } from '../db/connection.ts';

/** What was eaten out of pantry and trays lately, g of fresh greens each: taken out of the pantry, or onto the plate at once. */
export async function listEatings(tx: Tx, now: Millis): Promise<{ at: number; g: number }[]> {
  const rows = await tx<{ at: Date; g: number }[]>`
    select e.at, (case e.type when 'taken' then (e.body->>'amount')::float8 else (e.body->>'grossG')::float8 - (e.body->>'tareG')::float8 end) as g
    from events e
    where e.at > ${new Date(now - 40 * DAY)}
      and ((e.type = 'taken' and e.body->>'to' = 'eaten')
        or (e.type = 'cut' and e.body->'handling'->>'packing' = 'plate'))
      and not exists (select from events u where u.household_id = e.household_id and u.sowing_id = e.sowing_id
        and u.type = 'undone' and u.body->>'eventId' = e.id::text)
    order by e.at`;
  return rows.map(({ at, g }) => ({ at: at.getTime(), g }));
}
