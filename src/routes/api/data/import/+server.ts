import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import { importPackage, WrongRows } from '$server/data/importPackage.ts';
import { NotAPackage } from '$server/data/notAPackage.ts';
import { temporary } from '$server/data/temporary.ts';
import { api } from '$server/requests/answer.ts';
import { readFile } from '$server/requests/body.ts';
import { inLongSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** Takes a package in, sent as it is: all of it or nothing. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const { household } = signedIn(locals);
  const sent = await temporary('package.zip');
  try {
    return json(
      await inLongSession(
        locals,
        (tx) => importPackage(tx, household.id, sent.file),
        () => readFile(request, sent.file)
      )
    );
  } catch (error) {
    if (error instanceof NotAPackage) return json({ code: 'wrong', message: error.message }, { status: 422 });
    if (error instanceof WrongRows)
      return json(
        {
          code: 'wrong',
          message: t('api.someRowsPackageWrongNothing'),
          rows: error.rows
        },
        { status: 422 }
      );
    throw error;
  } finally {
    await sent.remove();
  }
});
