import { cropName } from '$words/cropNames.ts';
import { zoneOf } from '$core/time/zone.ts';
import { householdSeedNeeds } from '$server/app/seedNeeds.ts';
import { csvAnswer } from '$server/data/listCsv.ts';
import { api } from '$server/requests/answer.ts';
import { signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** What seed is needed, there, and to buy by when, as an open file. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const zone = zoneOf(signedIn(locals).household.zone);
  const rows = (await householdSeedNeeds(locals)).map(({ crop, needG, haveG, buyG, buyBy }) => [
    cropName(crop.name),
    Number(needG.toFixed(1)),
    Number(haveG.toFixed(1)),
    Number(buyG.toFixed(1)),
    buyBy === null ? '' : zone.date(buyBy).toString()
  ]);
  return csvAnswer('seed.csv', ['crop', 'need_g', 'have_g', 'buy_g', 'buy_by'], [rows]);
});
