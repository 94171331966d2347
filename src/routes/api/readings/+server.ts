import { json } from '@sveltejs/kit';
import { PRECISIONS, readLineProtocol, type Precision, type ReadLine } from '$core/air/lineProtocol.ts';
import { zoneOf } from '$core/time/zone.ts';
import { addReadings, lastReadings } from '$server/air/air.ts';
import { noteRefused, openDevice } from '$server/air/devices.ts';
import { linesOf, sift } from '$server/air/take.ts';
import { inHousehold } from '$server/db/connection.ts';
import { householdNow } from '$server/households/household.ts';
import { check } from '$shared/schemas/check.ts';
import { MOST_READINGS, readingsSchema } from '$shared/schemas/readings.ts';
import type { RequestHandler } from './$types';

const unknown = () =>
  json({ message: 'Send the device’s token: Authorization: Bearer brote_...' }, { status: 401 });

const deviceOf = (request: Request) => {
  const token = /^(?:Bearer|Token)\s+(\S+)$/i.exec(request.headers.get('authorization') ?? '')?.[1];
  return token ? openDevice(token) : null;
};

/** Tells a device what it sent last, and the time here, so that it can send what it could not. */
export const GET: RequestHandler = async ({ request }) => {
  const device = await deviceOf(request);
  if (!device) return unknown();
  const { household, deviceId, deviceName, placeId } = device;
  const last = await inHousehold(household.id, lastReadings);
  return json({
    device: deviceName,
    now: householdNow(household),
    zone: household.zone,
    lastAt: last.find((one) => one.placeId === placeId && one.source === deviceId)?.at ?? null
  });
};

/**
 * Takes readings of a device, as JSON or in line protocol. What cannot be is refused line by line; the rest is
 * taken. Sending the same again changes nothing.
 */
export const POST: RequestHandler = async ({ request, url }) => {
  const device = await deviceOf(request);
  if (!device) return unknown();
  const { household, deviceId, placeId } = device;
  const now = householdNow(household);
  const text = await request.text();
  let lines: ReadLine[];
  if (request.headers.get('content-type')?.includes('json')) {
    const checked = check(readingsSchema, parsed(text));
    if (!checked.ok) return json({ message: Object.values(checked.errors)[0] }, { status: 422 });
    lines = linesOf(checked.value.readings, zoneOf(household.zone), now);
  } else {
    const precision = url.searchParams.get('precision') ?? 'ns';
    if (!(precision in PRECISIONS))
      return json({ message: 'precision is one of ns, us, ms, s.' }, { status: 422 });
    lines = readLineProtocol(text, precision as Precision, now);
  }
  if (lines.length === 0) return json({ message: 'There is no reading in what was sent.' }, { status: 422 });
  if (lines.length > MOST_READINGS)
    return json(
      { message: `At most ${MOST_READINGS} readings in one go: send them in parts.` },
      { status: 422 }
    );
  const { taken, refused } = sift(lines, now);
  const added = await inHousehold(household.id, async (tx) => {
    if (refused.length > 0) await noteRefused(tx, deviceId, now, refused[0]!.say);
    return addReadings(tx, household.id, placeId, deviceId, taken);
  });
  return json(
    { taken: taken.length, added, refused: refused.map(({ line, say }) => ({ line, message: say })) },
    { status: taken.length === 0 ? 422 : 200 }
  );
};

function parsed(text: string): unknown {
  try {
    const sent = JSON.parse(text) as unknown;
    // One reading by itself, and a bare list of them, are understood too.
    if (Array.isArray(sent)) return { readings: sent };
    return sent && typeof sent === 'object' && 'tempC' in sent ? { readings: [sent] } : sent;
  } catch {
    return null;
  }
}
