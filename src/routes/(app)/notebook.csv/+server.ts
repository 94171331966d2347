import { readNotebookQuery } from '$contract/notebook.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listAnswer } from '$server/data/notebookCsv.ts';
import { api } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** What the notebook shows, all its pages and columns, as an open file. */
export const GET: RequestHandler = api(async ({ locals, url }) => {
  const { household } = signedIn(locals);
  return inSession(locals, async (tx) =>
    listAnswer(tx, household, readNotebookQuery(url.searchParams), await ownCropsOf(tx))
  );
});
