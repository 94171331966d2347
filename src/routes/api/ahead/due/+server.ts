import { json } from '@sveltejs/kit';
import { roundAt } from '$core/time/rhythm.ts';
import { ordersAhead } from '$server/app/ordersAhead.ts';
import { api } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** What standing orders lay that is to be begun before the next round. */
export const GET: RequestHandler = api(async ({ locals }) => {
  signedIn(locals);
  const ahead = await inSession(locals, ordersAhead);
  if (!ahead) return json({ due: [] });
  const { drafts, facts, input } = ahead;
  const { nextAt } = roundAt(facts.rhythm, input.context.now);
  return json({
    due: drafts.flatMap(({ orderId, day, beginsAt, planned }) =>
      planned && beginsAt !== null && beginsAt < nextAt
        ? [
            {
              key: `${orderId} ${day}`,
              crop: planned.projected.crop.name,
              container: planned.setup.container.name
            }
          ]
        : []
    )
  });
});
