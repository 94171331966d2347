import { error } from '@sveltejs/kit';
import { inHousehold } from '$server/db/connection.ts';
import { unsubscribe } from '$server/reminders/channels.ts';
import { readChannelToken } from '$server/reminders/channelToken.ts';
import { form } from '$server/requests/answer.ts';
import { available } from '$server/requests/session.ts';
import { INCOMPLETE_ADDRESS } from '$words/reminders.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = ({ params }) => {
  if (!readChannelToken('unsubscribe', params.token)) error(404, INCOMPLETE_ADDRESS());
};

export const actions: Actions = {
  /** Ends it, for whoever holds the mail; ending it again is fine. Mail programs send this by themselves (RFC 8058). */
  default: form(async ({ params }: RequestEvent) => {
    const named = readChannelToken('unsubscribe', params.token);
    if (!named) error(404, INCOMPLETE_ADDRESS());
    await available(() => inHousehold(named.householdId, (tx) => unsubscribe(tx, named.channelId)));
    return { ended: true };
  })
};
