import { json } from '@sveltejs/kit';
import { loadHousehold } from '$server/households/loadHousehold.ts';
import { listInPreparation } from '$server/sowings/sowings.ts';
import { api } from '$server/requests/answer.ts';
import { householdNow } from '$server/households/household.ts';
import { inSession } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** What is being prepared now, for the timers that every page shows. */
export const GET: RequestHandler = api(async ({ locals }) =>
  json(
    await inSession(locals, async (tx) => {
      const [records, household] = await Promise.all([listInPreparation(tx), loadHousehold(tx)]);
      return { household, records, now: householdNow(household) };
    })
  )
);
