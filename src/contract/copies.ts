/** The header of a page or its data that says whose it is. */
export const FOR_HEADER = 'x-brote-for';
/** Whose a page is that was sent to somebody who is not signed in. */
export const NOBODY = 'nobody';

/** Where a browser keeps what was touched and not sent yet (IndexedDB). */
export const QUEUE_DB = 'brote';
export const QUEUE_STORE = 'queue';

/** What a request that is no reading does to what a browser holds of a household. */
export type Forgets = 'copies' | 'all' | null;

const SIGNS_IN = ['/sign-in', '/api/sign-in', '/welcome'];

/**
 * What a browser forgets as a request is sent: copies of pages where somebody may be another from then on, and what was touched
 * as well where somebody goes for good. What was touched stays where a session only ran out: it is sent once the same person
 * has signed in again.
 */
export function forgets({ pathname, search }: Pick<URL, 'pathname' | 'search'>): Forgets {
  if (pathname === '/sign-out' || (pathname === '/household/people' && search.startsWith('?/leave')))
    return 'all';
  return SIGNS_IN.includes(pathname) || pathname.startsWith('/join/') ? 'copies' : null;
}
