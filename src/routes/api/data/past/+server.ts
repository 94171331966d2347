import { json } from '@sveltejs/kit';
import { withOwnCrops } from '$core/crops/library.ts';
import { readPastCsv, type PastColumns } from '$core/notebook/pastCsv.ts';
import { zoneOf } from '$core/time/zone.ts';
import { check } from '$contract/schemas/check.ts';
import { pastSchema } from '$contract/schemas/past.ts';
import { NoPlace, takePast } from '$server/app/takePast.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { householdNow } from '$server/households/household.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { inLongSession, inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** Reads a CSV of past sowings: says what it finds in each line, and where it is told to, takes those that can be read. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const { household, memberId } = signedIn(locals);
  const checked = check(pastSchema, await readJson(request));
  if (!checked.ok) return json({ code: 'wrong', message: Object.values(checked.errors)[0] }, { status: 422 });
  const { text, by, order, take } = checked.value;
  try {
    const crops = withOwnCrops(await inSession(locals, ownCropsOf));
    const read = readPastCsv(text, zoneOf(household.zone), crops, {
      by: by as PastColumns | null,
      order: order ?? null,
      now: householdNow(household)
    });
    if (!take || read.ok !== true) return json(read);
    const past = read.lines.flatMap((line) => (line.ok ? [line.past] : []));
    const added = await inLongSession(locals, (tx) => takePast(tx, household, memberId, past));
    return json({ ...read, added });
  } catch (error) {
    if (!(error instanceof NoPlace)) throw error;
    return json(
      {
        code: 'wrong',
        message: 'Say first where your trays stand: add a place on the shelf, then take the list in.'
      },
      { status: 422 }
    );
  }
});
