import { t } from '$messages/t.ts';
import { error } from '@sveltejs/kit';
import { displayDay } from '$server/app/displayDay.ts';
import { inHousehold, type InTransaction } from '$server/db/connection.ts';
import { memberLanguage } from '$server/language/choice.ts';
import { inLanguage } from '$server/language/reader.ts';
import { noteRead, openFeed, waitForFeed } from '$server/reminders/feeds.ts';
import { behindAddress } from '$server/requests/secretAddress.ts';
import { available } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
  const { householdId, feedId, language } = await behindAddress(
    'display',
    event,
    (token) => openFeed(token, 'display'),
    t('door.displayGone')
  );
  if ((await available(() => waitForFeed(feedId))) > 0) error(429, t('door.displayTooOften'));
  const inTx: InTransaction = (work) => available(() => inHousehold(householdId, work));
  await inTx((tx) => noteRead(tx, feedId));
  return { day: await inLanguage(memberLanguage(language), () => displayDay(inTx)) };
};
