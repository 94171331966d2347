import { cropNote } from '$words/cropNames.ts';
import { cropTable, withOwnCrops } from '$core/crops/library.ts';
import { listOwnCrops } from '$server/crops/ownCrops.ts';
import { inSession } from '$server/requests/session.ts';
import { api } from '$server/requests/answer.ts';
import type { RequestHandler } from './$types';

/** The library with the household's own crops and figures in it, as an open file. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const own = await inSession(locals, (tx) => listOwnCrops(tx));
  return new Response(
    cropTable(withOwnCrops(own.map(({ crop }) => crop)).map((crop) => ({ ...crop, note: cropNote(crop) }))),
    {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': 'attachment; filename="crops.csv"'
      }
    }
  );
});
