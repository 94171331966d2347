import type { RequestEvent } from '@sveltejs/kit';
import { SESSION_COOKIE, SESSION_DAYS } from './sessions.ts';

/** Hands the browser its session: out of reach of scripts, and over plain HTTP only where there is no other. */
export function keepSession(event: Pick<RequestEvent, 'cookies' | 'url'>, token: string): void {
  event.cookies.set(SESSION_COOKIE, token, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: event.url.protocol === 'https:',
    maxAge: SESSION_DAYS * 86_400
  });
}
