import { randomUUID } from 'node:crypto';
import { fail, redirect } from '@sveltejs/kit';
import { DEFAULT_METHOD } from '$core/methods/ready.ts';
import { inHousehold } from '$server/db/connection.ts';
import { addHousehold } from '$server/households/household.ts';
import { likelyLatitude } from '$server/households/latitude.ts';
import { keepSession } from '$server/sessions/cookie.ts';
import { hashPassphrase } from '$server/sessions/passphrase.ts';
import { startSession } from '$server/sessions/sessions.ts';
import { check } from '$shared/schemas/check.ts';
import { newHouseholdSchema } from '$shared/schemas/household.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ zones: Intl.supportedValuesOf('timeZone') });

export const actions: Actions = {
  default: async (event) => {
    const sent = Object.fromEntries(await event.request.formData()) as Record<string, string>;
    const { passphrase: _hidden, ...kept } = sent;
    const checked = check(newHouseholdSchema, sent);
    if (!checked.ok) return fail(422, { kept, errors: checked.errors });
    const { name, zone, units, memberName, passphrase } = checked.value;
    const id = randomUUID();
    const passphraseHash = await hashPassphrase(passphrase);
    try {
      await inHousehold(id, (tx) =>
        addHousehold(tx, {
          id,
          name,
          zone,
          units,
          passphraseHash,
          latitudeDeg: likelyLatitude(zone),
          wakeMin: 420,
          sleepMin: 1350,
          roundsMin: [450, 1230],
          methodKey: DEFAULT_METHOD.key
        })
      );
    } catch (error) {
      if ((error as { code?: string }).code !== '23505') throw error;
      return fail(409, {
        kept,
        errors: {
          name: 'A household of this name is here already: sign in to it, or choose another name.'
        } as Record<string, string>
      });
    }
    keepSession(event, await startSession(id, memberName));
    redirect(303, '/sow');
  }
};
