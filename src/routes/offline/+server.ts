import { offlinePage } from '$server/door/pages.ts';
import type { RequestHandler } from './$types';

/** What a device shows without a network where it has not stored a page: kept there beforehand, in its reader's language. */
export const GET: RequestHandler = () =>
  new Response(offlinePage(), { headers: { 'content-type': 'text/html; charset=utf-8' } });
