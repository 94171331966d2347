import { t } from '$messages/t.ts';
import { redirect } from '@sveltejs/kit';
import { changeHousehold, householdNow, isNameTaken } from '$server/households/household.ts';
import { DEFAULT_METHOD, findMethod } from '$core/supplies/methods/ready.ts';
import { keepClockTimes, plannedAhead } from '$server/app/changeZone.ts';
import { zoneAskedWords } from '$words/zone.ts';
import { allMethods, listMethods } from '$server/methods/methods.ts';
import { listPlaces } from '$server/households/places.ts';
import { check } from '$contract/schemas/check.ts';
import { householdSchema, passphraseSchema, rhythmMinutes } from '$contract/schemas/household.ts';
import { isId } from '$contract/text.ts';
import { form, notTaken, taken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { callerOf } from '$server/sessions/cookie.ts';
import { hashPassphrase } from '$server/sessions/passphrase.ts';
import {
  endOtherSessions,
  endSessionById,
  endSharedSessions,
  listSessions
} from '$server/sessions/sessions.ts';
import { checkPassphrase, forgetOtherBrowsers } from '$server/sessions/signIn.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { id, household } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [places, methods, sessions] = await Promise.all([
      listPlaces(tx, householdNow(household)),
      allMethods(tx),
      // In the demo everybody who looks in has one.
      household.demo ? [] : listSessions(tx)
    ]);
    return {
      places,
      methods,
      zones: Intl.supportedValuesOf('timeZone'),
      sessions,
      sessionId: id
    };
  });
};

const done = (what: 'settings' | 'passphrase' | 'sessions') =>
  taken({
    done: what
  });

export const actions: Actions = {
  save: form(async ({ locals }: RequestEvent, fields) => {
    const checked = check(householdSchema, {
      ...fields,
      latitudeDeg: fields.latitudeDeg?.replace(',', '.')
    });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { wake, sleep, morning, evening, planned, ...rest } = checked.value;
    const session = signedIn(locals);
    const moves = rest.zone !== session.household.zone;
    try {
      const asked = await inSession(locals, async (tx) => {
        const waiting = moves ? await plannedAhead(tx) : [];
        const [first] = waiting;
        if (first && planned === null)
          return zoneAskedWords(waiting.length, first.beginsAt, session.household, rest.zone);
        if (first && planned === 'clock') await keepClockTimes(tx, session, rest.zone);
        // A method that was put away meanwhile gives way to the first ready one.
        const known = findMethod(rest.methodKey, await listMethods(tx)) ?? DEFAULT_METHOD;
        await changeHousehold(tx, {
          ...rest,
          methodKey: known.key,
          ...rhythmMinutes({ wake, sleep, morning, evening })
        });
        return null;
      });
      if (asked !== null) return notTaken(409, fields, { planned: asked });
    } catch (error) {
      if (!isNameTaken(error)) throw error;
      return notTaken(409, fields, { name: t('household.householdHereHasNameChoose') });
    }
    return done('settings');
  }),
  theme: form(({ cookies, url }: RequestEvent, { theme }) => {
    const secure = url.protocol === 'https:';
    if (theme === 'light' || theme === 'dark')
      cookies.set('brote_theme', theme, { path: '/', maxAge: 365 * 86_400, sameSite: 'lax', secure });
    else cookies.delete('brote_theme', { path: '/', secure });
    // A new request, which is drawn with the cookie that was just set.
    redirect(303, '/household');
  }),
  passphrase: form(async (event: RequestEvent, fields) => {
    const { locals } = event;
    const { id, household } = signedIn(locals);
    if (household.demo) return notTaken(403, {}, { passphraseNow: t('household.demosPassphraseStaysAs') });
    const checked = check(passphraseSchema, fields);
    if (!checked.ok) return notTaken(422, {}, checked.errors);
    const caller = callerOf(event);
    const right = await checkPassphrase(household.name, checked.value.passphraseNow, '', caller);
    if (!right.ok)
      return notTaken(
        403,
        {},
        {
          passphraseNow: right.kind === 'wait' ? right.say : t('household.notPassphraseAsNow')
        }
      );
    const hash = await hashPassphrase(checked.value.passphraseNew);
    await inSession(locals, async (tx) => {
      await tx`select change_passphrase(${hash})`;
      await endSharedSessions(tx, id);
      await forgetOtherBrowsers(tx, caller.known);
    });
    return done('passphrase');
  }),
  signOut: form(async ({ locals }: RequestEvent, { session }) => {
    const { id } = signedIn(locals);
    await inSession(locals, async (tx) => {
      if (session === 'others') await endOtherSessions(tx, id);
      else if (isId(session) && session !== id) await endSessionById(tx, session);
    });
    return done('sessions');
  })
};
