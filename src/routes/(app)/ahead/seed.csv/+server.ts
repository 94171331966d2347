import { aheadOf } from '$core/ahead/household.ts';
import { seedOf } from '$core/ahead/drawn.ts';
import { aheadData } from '$server/app/aheadData.ts';
import { csvAnswer } from '$server/data/listCsv.ts';
import { api } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** What seed is needed, there, and to buy by when, as an open file. */
export const GET: RequestHandler = api(async ({ locals }) => {
  signedIn(locals);
  const data = await inSession(locals, aheadData);
  const ahead = aheadOf(data);
  const rows = seedOf(data, ahead).map(({ crop, needG, haveG, buyG, buyBy }) => [
    crop.name,
    Number(needG.toFixed(1)),
    Number(haveG.toFixed(1)),
    Number(buyG.toFixed(1)),
    buyBy === null ? '' : ahead.facts.rhythm.zone.date(buyBy).toString()
  ]);
  return csvAnswer('seed.csv', ['crop', 'need_g', 'have_g', 'buy_g', 'buy_by'], [rows]);
});
