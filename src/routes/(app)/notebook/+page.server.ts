import { readNotebookQuery } from '$contract/notebook.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { notebookFacets, PAGE, searchNotebook } from '$server/notebook/search.ts';
import { inSession } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, depends }) => {
  depends('brote:sowings');
  const query = readNotebookQuery(url.searchParams);
  return inSession(locals, async (tx) => {
    const [found, facets, ownCrops] = await Promise.all([
      searchNotebook(tx, query),
      notebookFacets(tx),
      ownCropsOf(tx)
    ]);
    return { ...found, facets, ownCrops, query, pageSize: PAGE };
  });
};
