import { t } from '$messages/t.ts';
import { householdNow } from '$server/households/household.ts';
import { emptyHousehold } from '$server/data/empty.ts';
import { LEFT_OUT, LEFT_OUT_OF } from '$server/data/tables.ts';
import { nameKey } from '../../../../contract/text.ts';
import { form, notTaken, taken } from '$server/requests/answer.ts';
import { inLongSession, signedIn } from '$server/requests/session.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = ({ locals }) => ({
  now: householdNow(signedIn(locals).household),
  leftOut: [...new Set([...Object.values(LEFT_OUT), ...Object.values(LEFT_OUT_OF)])]
});

export const actions: Actions = {
  empty: form(async ({ locals }: RequestEvent, fields) => {
    const { household } = signedIn(locals);
    if (nameKey(fields.name ?? '') !== nameKey(household.name))
      return notTaken(422, fields, {
        name: t('household.typeNameToConfirm', { household: household.name })
      });
    await inLongSession(locals, emptyHousehold);
    return taken({ done: 'emptied' });
  })
};
