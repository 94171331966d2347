import { t } from '$messages/t.ts';
import { randomUUID } from 'node:crypto';
import { isId } from '$contract/text.ts';
import { sitterDay, sitterTick, sitterUndo } from '$server/app/sitterDay.ts';
import { inHousehold } from '$server/db/connection.ts';
import { openSitter } from '$server/people/sitters.ts';
import { form } from '$server/requests/answer.ts';
import { behindAddress, type SecretRequest } from '$server/requests/secretAddress.ts';
import { available } from '$server/requests/session.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

const NOTHING = () => t('door.addressOverOrWasTaken');
const opened = (event: SecretRequest) => behindAddress('sitter', event, openSitter, NOTHING());

export const load: PageServerLoad = async (event) => {
  const { householdId, sitterId } = await opened(event);
  const day = await available(() => inHousehold(householdId, (tx) => sitterDay(tx, sitterId)));
  return { day, nonce: randomUUID() };
};

export const actions: Actions = {
  tick: form(async (event: RequestEvent, { stop: stopKey = '', step: stepKey = '', nonce }) => {
    const { householdId, sitterId } = await opened(event);
    if (!isId(nonce)) return { late: false };
    const taken = await available(() =>
      inHousehold(householdId, (tx) => sitterTick(tx, sitterId, { stopKey, stepKey, nonce }))
    );
    return { late: !taken };
  }),
  undo: form(async (event: RequestEvent, { events = '', nonce }) => {
    const { householdId, sitterId } = await opened(event);
    const eventIds = events.split(',').filter(isId);
    if (isId(nonce) && eventIds.length > 0)
      await available(() => inHousehold(householdId, (tx) => sitterUndo(tx, sitterId, { eventIds, nonce })));
    return { late: false };
  })
};
