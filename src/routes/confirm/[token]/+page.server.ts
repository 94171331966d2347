import { t } from '$messages/t.ts';
import { error } from '@sveltejs/kit';
import { inHousehold } from '$server/db/connection.ts';
import { readChannelToken } from '$server/reminders/channelToken.ts';
import { confirmChannel } from '$server/reminders/channels.ts';
import { form } from '$server/requests/answer.ts';
import { available } from '$server/requests/session.ts';
import { INCOMPLETE_ADDRESS } from '$words/reminders.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = ({ params }) => {
  if (!readChannelToken('confirm', params.token)) error(404, INCOMPLETE_ADDRESS());
};

export const actions: Actions = {
  /** By a press: mail programs open addresses by themselves, to look for harm in them. */
  default: form(async ({ params }: RequestEvent) => {
    const named = readChannelToken('confirm', params.token);
    if (!named) error(404, INCOMPLETE_ADDRESS());
    const there = await available(() =>
      inHousehold(named.householdId, (tx) => confirmChannel(tx, named.channelId))
    );
    if (!there) error(404, t('door.mailAddressWasRemovedFrom'));
    return { confirmed: true };
  })
};
