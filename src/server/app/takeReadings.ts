import type { Reading } from '../../core/places/air/reading.ts';
import { addReadings } from '../air/air.ts';
import type { Tx } from '../db/connection.ts';
import { rebuild } from './rebuild.ts';

/**
 * Takes readings of a place. What trays that stood there then have taught is worked out anew: they stood in other air
 * than was thought.
 * @param source a device's id, `hand` or `file`
 * @returns how many were new
 */
export async function takeReadings(
  tx: Tx,
  householdId: string,
  { placeId, source, readings }: { placeId: string; source: string; readings: readonly Reading[] }
): Promise<number> {
  const added = await addReadings(tx, householdId, placeId, source, readings);
  if (added > 0)
    await rebuild(tx, {
      placeId,
      endedAfter: readings.reduce((first, { at }) => Math.min(first, at), Infinity)
    });
  return added;
}
