import { t } from '$messages/t.ts';
import { createHash } from 'node:crypto';
import { writeCalendar } from '$server/app/writeCalendar.ts';
import { inHousehold, type InTransaction } from '$server/db/connection.ts';
import { noteRead, openFeed, waitForFeed } from '$server/reminders/feeds.ts';
import { api } from '$server/requests/answer.ts';
import { waitAfterWrong } from '$server/requests/secretAddress.ts';
import { memberLanguage } from '$server/language/choice.ts';
import { inLanguage } from '$server/language/reader.ts';
import { available } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

const nothing = (status: 404 | 429, wait = 0): Response =>
  new Response(`${t('reminders.feed.none')}\n`, {
    status,
    headers: {
      'content-type': 'text/plain; charset=utf-8',
      ...(wait > 0 ? { 'retry-after': String(wait) } : {})
    }
  });

/** A household's calendar, for whoever holds its address. A wrong one shows nothing. */
export const GET: RequestHandler = api(async (event) => {
  const opened = await available(() => openFeed(event.params.token, 'calendar'));
  const wait = opened
    ? await available(() => waitForFeed(opened.feedId))
    : await waitAfterWrong('calendar', event);
  if (wait > 0) return nothing(429, wait);
  if (!opened) return nothing(404);
  const inTx: InTransaction = (work) => available(() => inHousehold(opened.householdId, work));
  await inTx((tx) => noteRead(tx, opened.feedId));
  const written = await inLanguage(memberLanguage(opened.language), () =>
    writeCalendar(inTx, event.url.origin)
  );
  const etag = `"${createHash('sha256').update(written).digest('base64url').slice(0, 27)}"`;
  const headers = { etag, 'cache-control': 'private, max-age=300' };
  if (event.request.headers.get('if-none-match') === etag)
    return new Response(null, { status: 304, headers });
  return new Response(written, { headers: { ...headers, 'content-type': 'text/calendar; charset=utf-8' } });
});
