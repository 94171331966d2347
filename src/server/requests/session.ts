import { error, isHttpError } from '@sveltejs/kit';
import { inHousehold, type Tx } from '../db/connection.ts';
import { isPassing } from '../db/unavailable.ts';
import type { Session } from '../sessions/sessions.ts';

/** What is told where the database is away or too slow. */
export const AWAY =
  'Brote cannot reach its data just now. Nothing you entered is lost: try again in a moment.';

/** The session of a request that has one: the door lets no other through to where this is asked. */
export function signedIn(locals: App.Locals): Session {
  if (!locals.session) error(401, { message: 'Sign in again to continue; what you entered is kept.' });
  return locals.session;
}

/**
 * Runs work in the household of the request. What may be tried again is told as a 503.
 * @param limitMs how long it may take, where that is longer than a page
 */
export async function inSession<T>(
  locals: App.Locals,
  work: (tx: Tx) => Promise<T>,
  limitMs?: number
): Promise<T> {
  return available(() => inHousehold(signedIn(locals).household.id, work, limitMs));
}

/** Runs work on the database. What may be tried again is told as a 503. */
export async function available<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (failure) {
    if (!isPassing(failure)) throw failure;
    console.error(`503: ${(failure as Error).message}`);
    error(503, { message: AWAY, code: 'away' });
  }
}

/** Whether a request is to be told that it may be tried again. */
export const isAway = (failure: unknown): boolean => isHttpError(failure, 503) || isPassing(failure);
