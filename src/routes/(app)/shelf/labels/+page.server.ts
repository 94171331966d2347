import { factsOf } from '$core/sowing/household.ts';
import { projectRecords } from '$server/app/projectRecords.ts';
import { qrDrawing } from '$server/app/qrCode.ts';
import { householdNow } from '$server/households/household.ts';
import { loadHousehold } from '$server/households/loadHousehold.ts';
import { listUnderWay } from '$server/sowings/sowings.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { cropName } from '$words/cropNames.ts';
import { containersWords } from '$words/containers.ts';
import { shortDate } from '$words/time.ts';
import { windowOf, windowWords } from '$words/window.ts';
import type { PageServerLoad } from './$types';

/** Names by which only this machine reaches Brote. */
const LOOPBACK = /^(localhost|127\.|\[::1\]|\[?::1)/;

export const load: PageServerLoad = async ({ locals, url }) => {
  signedIn(locals);
  const { household, records } = await inSession(locals, async (tx) => {
    const [household, records] = await Promise.all([loadHousehold(tx), listUnderWay(tx)]);
    return { household, records };
  });
  const now = householdNow(household);
  const projected = await projectRecords(factsOf(household), records);
  return {
    onlyHere: LOOPBACK.test(url.hostname),
    labels: projected
      .filter(({ state }) => state.stage !== 'ended')
      .map((one) => ({
        id: one.setup.id,
        crop: cropName(one.crop.name),
        container: containersWords(one.setup),
        sownOn: shortDate(one.state.sownAt ?? one.startAt, household),
        isSown: one.state.sownAt !== null,
        window: windowWords(windowOf(one), now, household),
        code: qrDrawing(new URL(`/tray/${one.setup.id}`, url).href)
      }))
  };
};
