import { t } from '$messages/t.ts';
import { randomUUID } from 'node:crypto';
import { error, redirect } from '@sveltejs/kit';
import { check } from '$contract/schemas/check.ts';
import { joinSchema } from '$contract/schemas/people.ts';
import { inHousehold } from '$server/db/connection.ts';
import { openInvite, useInvite } from '$server/people/invites.ts';
import { addMember } from '$server/people/members.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { behindAddress, type SecretRequest } from '$server/requests/secretAddress.ts';
import { available } from '$server/requests/session.ts';
import { callerOf, keepAdmitted } from '$server/sessions/cookie.ts';
import { hashPassphrase } from '$server/sessions/passphrase.ts';
import { admit } from '$server/sessions/signIn.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

const NOTHING = () => t('door.invitationWasUsedTakenBack');
const invited = (event: SecretRequest) => behindAddress('join', event, openInvite, NOTHING());

export const load: PageServerLoad = async (event) => {
  const { household, madeBy } = await invited(event);
  return { household, madeBy };
};

export const actions: Actions = {
  default: form(async (event: RequestEvent, { passphrase: typed, ...fields }) => {
    const { householdId, inviteId } = await invited(event);
    const checked = check(joinSchema, { ...fields, passphrase: typed });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { memberName: name, passphrase } = checked.value;
    const passphraseHash = await hashPassphrase(passphrase);
    const joined = await available(() =>
      inHousehold(householdId, async (tx) => {
        if (!(await addMember(tx, householdId, { id: randomUUID(), name, passphraseHash }))) return 'taken';
        if (!(await useInvite(tx, inviteId))) throw new Used();
        return 'joined';
      })
    ).catch((failure: unknown) => {
      if (failure instanceof Used) error(404, NOTHING());
      throw failure;
    });
    if (joined === 'taken')
      return notTaken(409, fields, {
        memberName: t('door.somebodyNameHouseholdAlreadyChoose')
      });
    keepAdmitted(event, await admit(householdId, name, callerOf(event)));
    redirect(303, '/round');
  })
};

/** Two took the same invitation at once: nothing of the second is kept. */
class Used extends Error {}
