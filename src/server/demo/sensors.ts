import type { Rhythm } from '../../core/time/rhythm.ts';
import { DAY, HOUR, MINUTE, type Millis } from '../../core/time/zone.ts';
import { inHousehold, type Tx } from '../db/connection.ts';
import { addReadings } from '../air/air.ts';
import { addDevice, noteRefused } from '../air/devices.ts';
import { kitchenAir, type Corner } from './kitchenAir.ts';
import { PLACES } from './scenario.ts';

/** How often the demo's sensors read. */
export const EVERY_MS = 15 * MINUTE;
/** How far back their readings go. */
const BACK_D = 21;

/** The one that goes on: on the trolley, where it is a little cooler than the flat thinks. */
export const KITCHEN = {
  id: '00000000-0000-4000-8d00-000000000001',
  name: 'Sensor on the trolley',
  placeId: PLACES.middle.id,
  corner: { meanC: 18.2, swingC: 3.4, humidityPct: 54 } satisfies Corner,
  silentD: 0
};
/** The one whose battery ran out four days ago, after a wet day had upset it. */
const STAIRS = {
  id: '00000000-0000-4000-8d00-000000000002',
  name: 'Stairwell sensor',
  placeId: PLACES.stairs.id,
  corner: { meanC: 15, swingC: 2, humidityPct: 64 } satisfies Corner,
  silentD: 4
};

/** The demo's sensors with three weeks of readings. */
export async function placeSensors(
  tx: Tx,
  householdId: string,
  { zone }: Rhythm,
  now: Millis
): Promise<void> {
  for (const { id, name, placeId, corner, silentD } of [KITCHEN, STAIRS]) {
    await addDevice(tx, householdId, { id, name, placeId });
    const until = now - silentD * DAY;
    const first = Math.ceil((now - BACK_D * DAY) / EVERY_MS) * EVERY_MS;
    const readings = [];
    for (let at = first; at <= until; at += EVERY_MS) {
      // A night when the router was off.
      const gap = at > now - 9 * DAY && at < now - 9 * DAY + 14 * HOUR;
      if (!gap) readings.push(kitchenAir(at, zone, corner));
    }
    await addReadings(tx, householdId, placeId, id, readings);
  }
  await noteRefused(
    tx,
    STAIRS.id,
    now - STAIRS.silentD * DAY,
    '212 °C is no room where trays stand: check the sensor.'
  );
}

/** A new token for the sensor that goes on, for whoever plays it. */
export const kitchenToken = (householdId: string): Promise<string> =>
  inHousehold(householdId, (tx) => addDevice(tx, householdId, KITCHEN));
