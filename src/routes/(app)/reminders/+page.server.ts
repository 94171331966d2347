import { listMedia } from '$server/cupboard/media.ts';
import { householdNow } from '$server/households/household.ts';
import { listReminders, noteSeen } from '$server/reminders/reminders.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

/** More than a fortnight of a busy kitchen. */
const MOST = 60;

export const load: PageServerLoad = async ({ locals }) => {
  const { household, memberId } = signedIn(locals);
  const now = householdNow(household);
  return inSession(locals, async (tx) => {
    const [reminders, media] = await Promise.all([listReminders(tx, memberId, MOST), listMedia(tx)]);
    await noteSeen(tx, memberId, now);
    return { reminders, media, now };
  });
};
