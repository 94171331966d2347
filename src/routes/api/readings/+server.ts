import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import {
  PRECISIONS,
  readLineProtocol,
  type Precision,
  type ReadLine
} from '$core/places/air/lineProtocol.ts';
import { zoneOf } from '$core/time/zone.ts';
import { lastReadings } from '$server/air/air.ts';
import { takeReadings } from '$server/app/takeReadings.ts';
import { noteRefused, openDevice } from '$server/air/devices.ts';
import { readingLines, sift } from '$server/air/take.ts';
import { api } from '$server/requests/answer.ts';
import { parseJson, readText, UnreadableBody } from '$server/requests/body.ts';
import { available } from '$server/requests/session.ts';
import { inHousehold } from '$server/db/connection.ts';
import { householdNow } from '$server/households/household.ts';
import { checkLists } from '$server/requests/checkLists.ts';
import { MANY_READINGS, MOST_READINGS, readingsSchema } from '$contract/schemas/readings.ts';
import type { RequestHandler } from './$types';

/** Lines of line protocol, comments and empty ones among them. */
const MOST_LINES = 2 * MOST_READINGS;

const unknown = () =>
  json({ message: t('api.sendDevicesTokenAuthorizationBearer'), code: 'token' }, { status: 401 });

const deviceOf = (request: Request) => {
  const token = /^(?:Bearer|Token)\s+(\S+)$/i.exec(request.headers.get('authorization') ?? '')?.[1];
  return token ? available(() => openDevice(token)) : null;
};

/** Tells a device what it sent last, and the time here, so that it can send what it could not. */
export const GET: RequestHandler = api(async ({ request }) => {
  const device = await deviceOf(request);
  if (!device) return unknown();
  const { household, deviceId, deviceName, placeId } = device;
  const last = await available(() => inHousehold(household.id, lastReadings));
  return json({
    device: deviceName,
    now: householdNow(household),
    zone: household.zone,
    lastAt: last.find((one) => one.placeId === placeId && one.source === deviceId)?.at ?? null
  });
});

/**
 * Takes readings of a device, as JSON or in line protocol. What cannot be is refused line by line; the rest is
 * taken. Sending the same again changes nothing.
 */
export const POST: RequestHandler = api(async ({ request, url }) => {
  const device = await deviceOf(request);
  if (!device) return unknown();
  const { household, deviceId, placeId } = device;
  const now = householdNow(household);
  const type = request.headers.get('content-type') ?? '';
  if (type.includes('multipart')) throw new UnreadableBody(415, t('api.sendJsonOrLineProtocol'));
  const text = await readText(request);
  let lines: ReadLine[];
  if (type.includes('json')) {
    const checked = await checkLists(readingsSchema, listed(parseJson(text)));
    if (!checked.ok)
      return json({ message: Object.values(checked.errors)[0], code: 'wrong' }, { status: 422 });
    lines = readingLines(checked.value.readings, zoneOf(household.zone), now);
  } else {
    const precision = url.searchParams.get('precision') ?? 'ns';
    if (!Object.hasOwn(PRECISIONS, precision))
      return json({ message: t('api.precisionOneNsUsMs'), code: 'wrong' }, { status: 422 });
    if ((text.match(/\n/g)?.length ?? 0) > MOST_LINES) throw new UnreadableBody(413, MANY_READINGS());
    lines = readLineProtocol(text, precision as Precision, now);
  }
  if (lines.length === 0)
    return json({ message: t('api.thereNoReadingWhatWas'), code: 'wrong' }, { status: 422 });
  if (lines.length > MOST_READINGS)
    return json({ message: MANY_READINGS(), code: 'too-many' }, { status: 422 });
  const { taken, refused } = sift(lines, now);
  const [first] = refused;
  const added = await available(() =>
    inHousehold(household.id, async (tx) => {
      if (first) await noteRefused(tx, deviceId, now, first.say);
      return takeReadings(tx, household.id, { placeId, source: deviceId, readings: taken });
    })
  );
  return json(
    { taken: taken.length, added, refused: refused.map(({ line, say }) => ({ line, message: say })) },
    { status: taken.length === 0 ? 422 : 200 }
  );
});

/** One reading by itself, and a bare list of them, are understood too. */
function listed(sent: unknown): unknown {
  if (Array.isArray(sent)) return { readings: sent };
  return sent && typeof sent === 'object' && 'tempC' in sent ? { readings: [sent] } : sent;
}
