import { redirect } from '@sveltejs/kit';
import { api } from '$server/requests/answer.ts';
import { dropSession } from '$server/sessions/cookie.ts';
import { endSession, SESSION_COOKIE } from '$server/sessions/sessions.ts';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = api(async (event) => {
  const token = event.cookies.get(SESSION_COOKIE);
  if (token) await endSession(token);
  dropSession(event);
  // What this browser holds of the household's pages goes as well, so that Back shows none of them.
  event.setHeaders({ 'clear-site-data': '"cache"' });
  redirect(303, '/sign-in');
});
