import { fail, redirect } from '@sveltejs/kit';
import { inHousehold } from '$server/db/connection.ts';
import { changeHousehold } from '$server/households/household.ts';
import { DEFAULT_METHOD, findMethod, READY_METHODS } from '$core/methods/ready.ts';
import { listMethods } from '$server/methods/methods.ts';
import { listPlaces } from '$server/households/places.ts';
import { check } from '$shared/schemas/check.ts';
import { householdSchema, minutesOf } from '$shared/schemas/household.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) =>
  inHousehold(locals.session!.household.id, async (tx) => {
    const [places, own] = await Promise.all([listPlaces(tx), listMethods(tx)]);
    return { places, methods: [...READY_METHODS, ...own], zones: Intl.supportedValuesOf('timeZone') };
  });

export const actions: Actions = {
  save: async ({ request, locals }) => {
    const kept = Object.fromEntries(await request.formData()) as Record<string, string>;
    const checked = check(householdSchema, { ...kept, latitudeDeg: kept.latitudeDeg?.replace(',', '.') });
    if (!checked.ok) return fail(422, { kept, errors: checked.errors, saved: false });
    const { wake, sleep, morning, evening, ...rest } = checked.value;
    try {
      await inHousehold(locals.session!.household.id, async (tx) => {
        // A method that was put away meanwhile gives way to the first ready one.
        const known = findMethod(rest.methodKey, await listMethods(tx)) ?? DEFAULT_METHOD;
        await changeHousehold(tx, {
          ...rest,
          methodKey: known.key,
          wakeMin: minutesOf(wake),
          sleepMin: minutesOf(sleep),
          roundsMin: [minutesOf(morning), minutesOf(evening)]
        });
      });
    } catch (error) {
      if ((error as { code?: string }).code !== '23505') throw error;
      return fail(409, {
        kept,
        errors: { name: 'Another household here has this name: choose another.' } as Record<string, string>,
        saved: false
      });
    }
    return { kept, errors: {} as Record<string, string>, saved: true };
  },
  theme: async ({ request, cookies }) => {
    const theme = String((await request.formData()).get('theme'));
    if (theme === 'light' || theme === 'dark')
      cookies.set('brote_theme', theme, { path: '/', maxAge: 365 * 86_400, sameSite: 'lax', secure: false });
    else cookies.delete('brote_theme', { path: '/' });
    // A new request, which is drawn with the cookie that was just set.
    redirect(303, '/household');
  }
};
