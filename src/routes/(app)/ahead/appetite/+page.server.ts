import { eatenByWeekday } from '$core/ahead/appetite.ts';
import { zoneOf } from '$core/time/zone.ts';
import { CROPS } from '$core/crops/library.ts';
import { listEaters, listTastes, readDaysOff, readVariety } from '$server/ahead/appetite.ts';
import { listEatings } from '$server/ahead/eaten.ts';
import { householdNow } from '$server/households/household.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { listLots } from '$server/cupboard/lots.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { household } = signedIn(locals);
  const now = householdNow(household);
  return inSession(locals, async (tx) => {
    const [eaters, tastes, variety, daysOff, ownCrops, lots, eaten] = await Promise.all([
      listEaters(tx),
      listTastes(tx),
      readVariety(tx),
      readDaysOff(tx),
      ownCropsOf(tx),
      listLots(tx),
      listEatings(tx, now)
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
      eaten: eatenByWeekday(eaten, zoneOf(household.zone), now)
    };
  });
};
