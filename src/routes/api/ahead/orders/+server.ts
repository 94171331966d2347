import { json } from '@sveltejs/kit';
import { keepOrder, endOrder } from '$server/ahead/orders.ts';
import type { Rule } from '$core/ahead/standingOrder.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { problemOf } from '$server/requests/problem.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { listPlaces } from '$server/households/places.ts';
import { listChoices } from '$server/sowings/choices.ts';
import { listKeptContainers } from '$server/sowings/containers.ts';
import { findCrop } from '$core/crops/library.ts';
import { holds } from '$core/supplies/seed/lot.ts';
import { check } from '$contract/schemas/check.ts';
import { orderSchema } from '$contract/schemas/ahead.ts';
import { isId } from '$contract/text.ts';
import type { RequestHandler } from './$types';

/** Adds a standing order or changes it. */
export const PUT: RequestHandler = api(async ({ request, locals }) => {
  const { household } = signedIn(locals);
  const checked = check(orderSchema, await readJson(request));
  if (!checked.ok) return json(problemOf('wrong', checked.errors), { status: 422 });
  const order = checked.value;
  const wrong = await inSession(locals, async (tx): Promise<Record<string, string> | null> => {
    const [places, containers, choices] = await Promise.all([
      listPlaces(tx),
      listKeptContainers(tx),
      listChoices(tx)
    ]);
    if (places.every(({ id }) => id !== order.placeId))
      return { placeId: 'This place is no longer there: choose another.' };
    if (containers.every(({ id }) => id !== order.containerId))
      return { containerId: 'This container is not yours any more: choose another.' };
    for (const [nth, { cropKey, lotId }] of order.parts.entries()) {
      if (!findCrop(cropKey, choices.ownCrops))
        return { [`parts[${nth}].cropKey`]: 'Choose a crop from the library.' };
      if (lotId && !choices.lots.some((lot) => lot.id === lotId && holds(lot, cropKey)))
        return {
          [`parts[${nth}].lotId`]:
            'This lot is not in your cupboard any more, or of another crop: choose another.'
        };
    }
    if (order.mediumId && choices.media.every(({ id }) => id !== order.mediumId))
      return { medium: 'This medium is not in your cupboard any more: choose another.' };
    if (choices.methods.every(({ key }) => key !== order.methodKey))
      return { methodKey: 'This method is no longer there: choose another.' };
    await keepOrder(tx, household.id, { ...order, rule: order.rule as Rule });
    return null;
  });
  return wrong ? json(problemOf('wrong', wrong), { status: 422 }) : json({});
});

/** Ends a standing order: what was begun of it goes on. */
export const DELETE: RequestHandler = api(async ({ request, locals }) => {
  signedIn(locals);
  const id = ((await readJson(request)) as { id?: unknown } | null)?.id;
  if (!isId(id)) return json(problemOf('wrong', { id: 'Which order?' }), { status: 422 });
  await inSession(locals, (tx) => endOrder(tx, id));
  return json({});
});
