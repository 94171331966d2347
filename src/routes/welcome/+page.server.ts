import { t } from '$messages/t.ts';
import { randomUUID } from 'node:crypto';
import { redirect } from '@sveltejs/kit';
import { DEFAULT_METHOD } from '$core/supplies/methods/ready.ts';
import { inHousehold } from '$server/db/connection.ts';
import { addHousehold, isNameTaken, USUAL_DAY } from '$server/households/household.ts';
import { guessOf, usZones } from '$server/households/guess.ts';
import { likelyLatitude } from '$server/households/latitude.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { available } from '$server/requests/session.ts';
import { callerOf, keepAdmitted } from '$server/sessions/cookie.ts';
import { hashPassphrase } from '$server/sessions/passphrase.ts';
import { admit, waitForNewHousehold } from '$server/sessions/signIn.ts';
import { mayBegin, mayBeginNow } from '$server/sessions/welcome.ts';
import { check } from '$contract/schemas/check.ts';
import { newHouseholdSchema } from '$contract/schemas/household.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async () => ({
  open: await available(mayBegin),
  zones: Intl.supportedValuesOf('timeZone'),
  usZones: usZones()
});

const CLOSED = () => t('door.broteBelongsHouseholdAlreadyTakes');

export const actions: Actions = {
  default: form(async (event: RequestEvent, { passphrase: typed, ...fields }) => {
    if (!(await available(mayBegin))) return notTaken(403, fields, {}, CLOSED());
    const checked = check(newHouseholdSchema, { ...fields, passphrase: typed });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const caller = callerOf(event);
    const wait = await available(() => waitForNewHousehold(caller.address));
    if (wait > 0) return notTaken(429, fields, {}, t('door.manyHouseholdsWereBegunFrom', { seconds: wait }));
    const { name, zone, units, memberName, passphrase } = checked.value;
    const id = randomUUID();
    const passphraseHash = await hashPassphrase(passphrase);
    try {
      const begun = await inHousehold(id, async (tx) => {
        if (!(await mayBeginNow(tx))) return false;
        const settings = {
          id,
          name,
          zone,
          units,
          passphraseHash,
          latitudeDeg: likelyLatitude(zone),
          ...USUAL_DAY,
          methodKey: DEFAULT_METHOD.key
        };
        await addHousehold(tx, settings, guessOf(zone, caller.language).currency);
        return true;
      });
      if (!begun) return notTaken(403, fields, {}, CLOSED());
    } catch (error) {
      if (!isNameTaken(error)) throw error;
      return notTaken(409, fields, {
        name: t('door.householdNameHereAlreadySign')
      });
    }
    keepAdmitted(event, await admit(id, memberName, caller));
    redirect(303, '/sow');
  })
};
