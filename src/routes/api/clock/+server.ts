import { error, json } from '@sveltejs/kit';
import { roundAt, ROUND_LEAD_H } from '$core/time/rhythm.ts';
import { DAY, HOUR } from '$core/time/zone.ts';
import { rhythmOf } from '$core/sowing/household.ts';
import { householdNow, moveClock } from '$server/households/household.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { MOMENTS } from '$contract/schemas/primitives.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** Moves the demo's clock forward; anywhere else this address does not exist. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const { household } = signedIn(locals);
  if (!household.demo) error(404, 'Not found');
  const by = ((await readJson(request)) as { by?: unknown } | null)?.by;
  const now = householdNow(household);
  // A few minutes into the next round, however early a round may be walked.
  const toRound = roundAt(rhythmOf(household), now).nextAt - now + HOUR / 12;
  const ms =
    by === 'round' ? Math.max(toRound, HOUR / 12) : by === 'hours' ? 6 * HOUR : by === 'day' ? DAY : null;
  if (ms === null)
    error(422, `Move by “hours”, “day” or “round” (a round may be walked ${ROUND_LEAD_H} h early).`);
  if (now + ms > MOMENTS[1]) error(422, 'The demo’s clock goes no further than this: start the demo anew.');
  await inSession(locals, (tx) => moveClock(tx, Math.round(ms)));
  return json({ now: now + ms });
});
