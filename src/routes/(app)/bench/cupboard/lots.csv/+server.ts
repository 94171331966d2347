import { leftG, lotGermination } from '$core/supplies/seed/lot.ts';
import { listLots } from '$server/cupboard/lots.ts';
import { csvAnswer } from '$server/data/listCsv.ts';
import { api } from '$server/requests/answer.ts';
import { inSession } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** The seed in the cupboard as an open file. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const lots = await inSession(locals, listLots);
  return csvAnswer(
    'lots.csv',
    ['id', 'crop', 'name', 'left_g', 'price', 'packet_g', 'bought_on', 'best_before', 'germination_pct'],
    [
      lots.map((lot) => [
        lot.id,
        lot.cropKey,
        lot.name,
        Number(leftG(lot).toFixed(2)),
        lot.price,
        lot.packetG,
        lot.boughtOn,
        lot.bestBefore,
        lotGermination(lot)?.pct ?? null
      ])
    ]
  );
});
