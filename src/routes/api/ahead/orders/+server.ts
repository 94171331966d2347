import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import { saveOrder, endOrder } from '$server/ahead/orders.ts';
import { householdOptions } from '$server/app/householdOptions.ts';
import { choiceOfOrder } from '$core/ahead/household.ts';
import { resolve } from '$core/choice/resolve.ts';
import { fieldWords } from '$words/problems.ts';
import type { Rule } from '$core/ahead/standingOrder.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { problemOf } from '$server/requests/problem.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
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
    const options = await householdOptions(tx);
    const container = options.containers.find((one) => one.id === order.containerId);
    if (!container) return { containerId: t('api.containerNotYoursAnyMore') };
    const resolved = resolve(choiceOfOrder({ ...order, container }), options);
    if (!resolved.ok) return fieldWords(resolved.problems);
    await saveOrder(tx, household.id, { ...order, rule: order.rule as Rule });
    return null;
  });
  return wrong ? json(problemOf('wrong', wrong), { status: 422 }) : json({});
});

/** Ends a standing order: what was begun of it goes on. */
export const DELETE: RequestHandler = api(async ({ request, locals }) => {
  signedIn(locals);
  const id = ((await readJson(request)) as { id?: unknown } | null)?.id;
  if (!isId(id)) return json(problemOf('wrong', { id: t('api.whichOrder') }), { status: 422 });
  await inSession(locals, (tx) => endOrder(tx, id));
  return json({});
});
