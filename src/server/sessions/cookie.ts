import type { RequestEvent } from '@sveltejs/kit';
import { browserLanguage } from '../language/choice.ts';
import { agentWords } from './agent.ts';
import { SESSION_COOKIE, SESSION_DAYS } from './sessions.ts';
import { KNOWN_COOKIE, KNOWN_DAYS, type Admitted, type Caller } from './signIn.ts';

type Door = Pick<RequestEvent, 'cookies' | 'url'>;

/** Out of reach of scripts, and over plain HTTP only where there is no other. */
const options = ({ url }: Door, days: number) => ({
  path: '/',
  httpOnly: true,
  sameSite: 'lax' as const,
  secure: url.protocol === 'https:',
  maxAge: days * 86_400
});

/** Hands the browser its session. */
export const keepSession = (event: Door, token: string): void =>
  event.cookies.set(SESSION_COOKIE, token, options(event, SESSION_DAYS));

/** Hands the browser what it is known by the next time it signs in. */
export const keepKnown = (event: Door, known: string): void =>
  event.cookies.set(KNOWN_COOKIE, known, options(event, KNOWN_DAYS));

/** Hands the browser both, once it was let in. */
export function keepAdmitted(event: Door, { token, known }: Admitted): void {
  keepSession(event, token);
  keepKnown(event, known);
}

/** Takes the session from the browser, over plain HTTP as well. */
export const dropSession = (event: Door): void =>
  event.cookies.delete(SESSION_COOKIE, { path: '/', secure: event.url.protocol === 'https:' });

/** Who asks to be let in. */
export function callerOf(event: Door & Pick<RequestEvent, 'getClientAddress' | 'request'>): Caller {
  let address = 'unknown';
  try {
    address = event.getClientAddress();
  } catch {
    // A proxy that is to name it and did not: all such callers are counted as one.
  }
  return {
    address,
    agent: agentWords(event.request.headers.get('user-agent')),
    language: browserLanguage(event.request),
    known: event.cookies.get(KNOWN_COOKIE) ?? null
  };
}
