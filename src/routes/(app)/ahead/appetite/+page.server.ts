import { eatenByWeekday } from '$core/ahead/appetite.ts';
import { zoneOf } from '$core/time/zone.ts';
import { CROPS } from '$core/crops/library.ts';
import { listEaters, listTastes, readDaysOff, readVariety } from '$server/ahead/appetite.ts';
import { listEatings } from '$server/ahead/eaten.ts';
import { householdNow } from '$server/households/household.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { listChoices } from '$server/sowings/choices.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { household } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [eaters, tastes, variety, daysOff, { ownCrops, lots }, eaten] = await Promise.all([
      listEaters(tx),
      listTastes(tx),
      readVariety(tx),
      readDaysOff(tx),
      listChoices(tx),
      listEatings(tx)
    ]);
    const names = [...CROPS, ...ownCrops].map(({ key, name }) => ({ key, name }));
    return {
      eaters,
      tastes,
      variety,
      daysOff,
      // What is in the cupboard stands first: it is thought of first.
      inCupboard: [...new Set(lots.map(({ cropKey }) => cropKey))],
      crops: [...new Map(names.map((one) => [one.key, one])).values()].toSorted((a, b) =>
        a.name.localeCompare(b.name)
      ),
      eaten: eatenByWeekday(eaten, zoneOf(household.zone), householdNow(household))
    };
  });
};
