import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import { zoneOf } from '$core/time/zone.ts';
import { takeReadings } from '$server/app/takeReadings.ts';
import { readingLines, sift } from '$server/air/take.ts';
import { householdNow } from '$server/households/household.ts';
import { listPlaces } from '$server/households/places.ts';
import { checkLists } from '$server/requests/checkLists.ts';
import { readingsSchema } from '$contract/schemas/readings.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** Takes readings that somebody typed or read from a file. */
export const POST: RequestHandler = api(async ({ request, locals, params, url }) => {
  const { household } = signedIn(locals);
  const checked = await checkLists(readingsSchema, await readJson(request));
  if (!checked.ok) return json({ message: Object.values(checked.errors)[0], code: 'wrong' }, { status: 422 });
  const now = householdNow(household);
  const { taken, refused } = sift(readingLines(checked.value.readings, zoneOf(household.zone), now), now);
  const source = url.searchParams.get('from') === 'file' ? 'file' : 'hand';
  const added = await inSession(locals, async (tx) => {
    if ((await listPlaces(tx)).every(({ id }) => id !== params.id)) return null;
    return takeReadings(tx, household.id, { placeId: params.id ?? '', source, readings: taken });
  });
  if (added === null)
    return json({ message: t('api.placeNotYourHousehold'), code: 'missing' }, { status: 404 });
  return json({ taken: taken.length, added, refused }, { status: taken.length === 0 ? 422 : 200 });
});
