import { json } from '@sveltejs/kit';
import { listMedia } from '$server/cupboard/media.ts';
import { householdNow } from '$server/households/household.ts';
import { listReminders } from '$server/reminders/reminders.ts';
import { api } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { reminderWords } from '$words/reminders.ts';
import type { RequestHandler } from './$types';

/** More come in a minute to nobody. */
const MOST = 10;

/** What came lately, the latest first, for a page that is open to show. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const { household, memberId } = signedIn(locals);
  const now = householdNow(household);
  return json(
    await inSession(locals, async (tx) => {
      const [reminders, media] = await Promise.all([listReminders(tx, memberId, MOST), listMedia(tx)]);
      return reminders.map(({ id, toldAt, body }) => {
        const { title, summary, path } = reminderWords(body, now, household, media);
        return { id, toldAt, title, body: summary, path };
      });
    })
  );
});
