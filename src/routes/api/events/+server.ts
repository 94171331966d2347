import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import { recordEvents } from '$server/app/recordEvents.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** More than a household touches in a day without a network. */
const MOST_EVENTS = 500;

/** Records a batch of events. Sending it again, or ticking what somebody else has ticked, changes nothing. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const session = signedIn(locals);
  const { events } = ((await readJson(request)) ?? {}) as { events?: unknown };
  if (!Array.isArray(events) || events.length === 0)
    return json({ message: t('api.sendWhatWasTouchedAs'), code: 'wrong' }, { status: 422 });
  if (events.length > MOST_EVENTS)
    return json(
      { message: t('api.atMostMostEventsEvents', { MOST_EVENTS }), code: 'too-many' },
      { status: 422 }
    );
  const recorded = await inSession(locals, (tx) => recordEvents(tx, session, events));
  const [first] = recorded.results;
  // Nothing of it was taken: told as a refusal is, for programs that look no further.
  if (first && !first.ok && recorded.results.every(({ ok }) => !ok))
    return json(
      { ...recorded, code: first.code, message: first.message },
      { status: first.code === 'missing' ? 404 : first.code === 'conflict' ? 409 : 422 }
    );
  return json(recorded);
});
