import { error, type RequestEvent } from '@sveltejs/kit';
import { waitFor } from '../sessions/attempts.ts';
import { callerOf } from '../sessions/cookie.ts';
import { network } from '../sessions/signIn.ts';
import { available } from './session.ts';

/** Wrong addresses of a kind that one caller may try in a quarter of an hour at no cost. */
const FREE_WRONG = 20;

/** What is asked of a secret address: its token, and from where. */
export type SecretRequest = Pick<RequestEvent, 'cookies' | 'url' | 'request' | 'getClientAddress'> & {
  params: { token: string };
};

/** Counts a wrong address of a kind for whoever asked. @returns seconds to wait; 0 to go on */
export const waitAfterWrong = (kind: string, event: SecretRequest): Promise<number> =>
  available(() => waitFor(`${kind} ${network(callerOf(event).address)}`, FREE_WRONG));

/**
 * What a secret address leads to. A wrong one shows nothing but what to do, and cannot be guessed at for long.
 * @param kind under which wrong ones are counted
 * @throws HttpError 404, or 429 past a few
 */
export async function behindAddress<T>(
  kind: string,
  event: SecretRequest,
  open: (token: string) => Promise<T | null>,
  say: string
): Promise<T> {
  const found = await available(() => open(event.params.token));
  if (found) return found;
  error((await waitAfterWrong(kind, event)) > 0 ? 429 : 404, say);
}
