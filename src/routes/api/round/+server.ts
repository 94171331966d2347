import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import { isId } from '$contract/text.ts';
import { handRound } from '$server/app/handRound.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** Gives the round that is being walked to a member, or back to all where `member` is null. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const { member } = ((await readJson(request)) ?? {}) as { member?: unknown };
  if (member !== null && !isId(member))
    return json({ message: t('api.sayWhoWalksRoundChoose'), code: 'wrong' }, { status: 422 });
  const given = await inSession(locals, (tx) => handRound(tx, signedIn(locals), member));
  return given
    ? json({ member })
    : json({ message: t('api.theyNotHouseholdAnyMore'), code: 'missing' }, { status: 404 });
});
