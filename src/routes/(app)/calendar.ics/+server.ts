import { writeCalendar } from '$server/app/writeCalendar.ts';
import { inSession } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** The household's calendar as a file, as it stands now. */
export const GET: RequestHandler = async ({ locals, url }) =>
  new Response(await writeCalendar((work) => inSession(locals, work), url.origin), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="brote.ics"'
    }
  });
