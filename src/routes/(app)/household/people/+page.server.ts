import { language, t } from '$messages/t.ts';
import { randomUUID } from 'node:crypto';
import { redirect } from '@sveltejs/kit';
import { check } from '$contract/schemas/check.ts';
import { languageSchema, ownPassphraseSchema } from '$contract/schemas/people.ts';
import { isId } from '$contract/text.ts';
import { LANGUAGES } from '$server/language/choice.ts';
import { removeMember } from '$server/app/removeMember.ts';
import { addInvite, INVITE_DAYS, listInvites, removeInvite } from '$server/people/invites.ts';
import {
  hasPassphrase,
  leaveHousehold,
  listMembers,
  setLanguage,
  setPassphrase
} from '$server/people/members.ts';
import { form, notTaken, taken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { callerOf, dropSession } from '$server/sessions/cookie.ts';
import { hashPassphrase } from '$server/sessions/passphrase.ts';
import { checkPassphrase } from '$server/sessions/signIn.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { memberId } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [members, invites, own] = await Promise.all([
      listMembers(tx),
      listInvites(tx),
      hasPassphrase(tx, memberId)
    ]);
    return {
      members,
      invites,
      own,
      inviteDays: INVITE_DAYS,
      languages: LANGUAGES,
      language: language(),
      newId: randomUUID()
    };
  });
};

const done = (what: string, invite: string | null = null) =>
  taken({
    done: what,
    invite
  });

export const actions: Actions = {
  invite: form(async ({ locals, url }: RequestEvent, { id }) => {
    const { household, memberId } = signedIn(locals);
    if (!isId(id)) return notTaken(422, {}, { invite: t('household.loadPageAnewTryAgain') });
    const token = await inSession(locals, (tx) => addInvite(tx, household.id, memberId, id));
    return done('invite', token ? new URL(`/join/${token}`, url).href : null);
  }),
  noInvite: form(async ({ locals }: RequestEvent, { invite = '' }) => {
    if (isId(invite)) await inSession(locals, (tx) => removeInvite(tx, invite));
    return done('noInvite');
  }),
  passphrase: form(async (event: RequestEvent, fields) => {
    const { locals } = event;
    const { household, memberId, memberName } = signedIn(locals);
    if (household.demo) return notTaken(403, {}, { now: t('household.demoNobodyNeedsPassphrase') });
    const checked = check(ownPassphraseSchema, fields);
    if (!checked.ok) return notTaken(422, {}, checked.errors);
    const right = await checkPassphrase(household.name, checked.value.now, memberName, callerOf(event));
    if (!right.ok)
      return notTaken(
        403,
        {},
        { now: right.kind === 'wait' ? right.say : t('household.notPassphraseYouSignWith') }
      );
    const hash = await hashPassphrase(checked.value.own);
    await inSession(locals, (tx) => setPassphrase(tx, memberId, hash));
    return done('passphrase');
  }),
  language: form(async ({ locals }: RequestEvent, fields) => {
    const { memberId } = signedIn(locals);
    const checked = check(languageSchema(LANGUAGES), fields);
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    await inSession(locals, (tx) => setLanguage(tx, memberId, checked.value.language));
    redirect(303, '/household/people');
  }),
  remove: form(async ({ locals }: RequestEvent, { member = '' }) => {
    const session = signedIn(locals);
    if (!isId(member) || member === session.memberId)
      return notTaken(422, {}, { remove: t('household.chooseSomebodyElseGoYourself') });
    await inSession(locals, (tx) => removeMember(tx, session, member));
    return done('removed');
  }),
  leave: form(async (event: RequestEvent) => {
    const { locals } = event;
    const left = await inSession(locals, (tx) => leaveHousehold(tx, signedIn(locals).memberId));
    if (!left)
      return notTaken(
        409,
        {},
        {
          leave: t('household.youLastOneHereInvite')
        }
      );
    dropSession(event);
    redirect(303, '/sign-in');
  })
};
