import { exportPackage } from '$server/data/exportPackage.ts';
import { fileAnswer, temporary } from '$server/data/temporary.ts';
import { api } from '$server/requests/answer.ts';
import { inLongSession } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** All that the household wrote down. Written to a file first: no connection waits for a slow line. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const package_ = await temporary('brote.zip');
  try {
    await inLongSession(locals, (tx) => exportPackage(tx, package_.file));
  } catch (error) {
    await package_.remove();
    throw error;
  }
  return fileAnswer(package_, {
    'content-type': 'application/zip',
    'content-disposition': 'attachment; filename="brote.zip"'
  });
});
