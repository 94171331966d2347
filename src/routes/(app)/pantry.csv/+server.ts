import { cropName } from '$words/cropNames.ts';
import { pantryOf } from '$core/pantry/item.ts';
import { eatFirst } from '$core/pantry/order.ts';
import { factsOf } from '$core/sowing/household.ts';
import { project } from '$core/sowing/project.ts';
import { readLog } from '$core/sowing/record.ts';
import { csvAnswer } from '$server/data/listCsv.ts';
import { loadHousehold } from '$server/households/loadHousehold.ts';
import { api } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { listInPantry } from '$server/sowings/sowings.ts';
import type { RequestHandler } from './$types';

/** What is in the pantry, eat-first, as an open file. */
export const GET: RequestHandler = api(async ({ locals }) => {
  signedIn(locals);
  const items = await inSession(locals, async (tx) => {
    const [records, household] = await Promise.all([listInPantry(tx), loadHousehold(tx)]);
    const facts = factsOf(household);
    return eatFirst(
      records.flatMap(
        (record) => pantryOf(project(facts, record.setup, readLog(record)), facts.rhythm.zone).items
      )
    ).map(({ crop, left, unit, packing, washing, cutAt, bestBy, keepsTo, id }) => {
      const day = (at: number) => facts.rhythm.zone.date(at).toString();
      return [
        id,
        cropName(crop.name),
        Number(left.toFixed(1)),
        unit,
        packing,
        washing,
        day(cutAt),
        day(bestBy),
        day(keepsTo)
      ];
    });
  });
  return csvAnswer(
    'pantry.csv',
    ['id', 'crop', 'left', 'unit', 'packed', 'washed', 'cut', 'best_by', 'keeps_to'],
    [items]
  );
});
