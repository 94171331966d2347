import { t } from '$messages/t.ts';
import { error } from '@sveltejs/kit';
import { factsOf } from '$core/sowing/household.ts';
import { readLog, type SowingRecord } from '$core/sowing/record.ts';
import { reduceEvents } from '$core/sowing/reduce.ts';
import type { SowingSetup } from '$core/sowing/sowing.ts';
import { sharesContainer } from '$core/sowing/reuse.ts';
import type { Tx } from '$server/db/connection.ts';
import { factsUntil } from '$server/app/derive.ts';
import { householdNow } from '$server/households/household.ts';
import { loadHousehold } from '$server/households/loadHousehold.ts';
import { readPrices } from '$server/households/prices.ts';
import { findBeside, findSowing, listUnderWay } from '$server/sowings/sowings.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { LayoutServerLoad } from './$types';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** Of a sowing that has ended, the one in its container now: the old label may still be on it. Null where there is none. */
async function sownSince(tx: Tx, record: SowingRecord): Promise<SowingSetup | null> {
  if (reduceEvents(readLog(record)).stage !== 'ended') return null;
  const underWay = await listUnderWay(tx);
  return underWay.find(({ setup }) => sharesContainer(setup, record.setup))?.setup ?? null;
}

export const load: LayoutServerLoad = async ({ locals, params, depends }) => {
  depends('brote:sowings');
  signedIn(locals);
  const found = UUID.test(params.id)
    ? await inSession(locals, async (tx) => {
        const [record, household, prices] = await Promise.all([
          findSowing(tx, params.id),
          loadHousehold(tx),
          readPrices(tx)
        ]);
        if (!record) return null;
        const beside = await findBeside(tx, record.setup);
        const { places } = await factsUntil(tx, factsOf(household), record);
        // One that has ended is followed by the air of its own days.
        return {
          household: { ...household, places: [...places.values()] },
          record,
          beside,
          since: await sownSince(tx, record),
          prices,
          now: householdNow(household)
        };
      })
    : null;
  if (!found && locals.unreadable.some(({ id }) => id === params.id))
    error(422, t('tray.recordTrayCouldNotBe'));
  // The same answer for a tray that never was and for another household's.
  if (!found) error(404, t('tray.thereNoSuchTrayHere'));
  return found;
};
