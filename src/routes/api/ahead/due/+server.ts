import { json } from '@sveltejs/kit';
import { roundAt } from '$core/time/rhythm.ts';
import { rhythmOf } from '$core/sowing/household.ts';
import { householdNow } from '$server/households/household.ts';
import { orderData, scheduleOf } from '$server/app/ordersAhead.ts';
import { api } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** What standing orders lay that is to be begun before the next round. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const { household } = signedIn(locals);
  const orders = await inSession(locals, orderData);
  const onOrder = orders ? await scheduleOf(orders) : [];
  const { nextAt } = roundAt(rhythmOf(household), householdNow(household));
  return json({
    due: onOrder
      .filter(({ beginsAt }) => beginsAt < nextAt)
      .map(({ orderId, day, crop, of }) => ({ key: `${orderId} ${day}`, crop, container: of.container.name }))
  });
});
