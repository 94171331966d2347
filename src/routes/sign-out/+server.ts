import { redirect } from '@sveltejs/kit';
import { endSession, SESSION_COOKIE } from '$server/sessions/sessions.ts';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ cookies, locals }) => {
  const token = cookies.get(SESSION_COOKIE);
  if (token) await endSession(locals.session!.household.id, token);
  cookies.delete(SESSION_COOKIE, { path: '/' });
  redirect(303, '/sign-in');
};
