import firstFont from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url';
import { language, t } from '$messages/t.ts';
import { createHash } from 'node:crypto';
import { building } from '$app/environment';
import { FOR_HEADER, NOBODY } from '$contract/copies.ts';
import { redirect, type Handle, type HandleServerError, type RequestEvent } from '@sveltejs/kit';
import { isPassing, RETRY_AFTER_S } from '$server/db/unavailable.ts';
import { isForeign } from '$server/door/origin.ts';
import { browserLanguage, memberLanguage } from '$server/language/choice.ts';
import { messageLinks } from '$server/language/head.ts';
import { inLanguage } from '$server/language/reader.ts';
import { awayPage } from '$server/door/pages.ts';
import { setLanguage } from '$server/people/members.ts';
import { awayWords, inSession } from '$server/requests/session.ts';
import { callerOf, keepKnown, keepSession } from '$server/sessions/cookie.ts';
import { demoHousehold, openSession, SESSION_COOKIE, startSession } from '$server/sessions/sessions.ts';

type Resolve = Parameters<Handle>[0]['resolve'];

const DEVICE_PATH = '/api/readings';
const isDemo = (): boolean => process.env.BROTE_DEMO === '1';
/** Open to anyone; a device shows a token of its own. */
const OPEN_PATHS = ['/welcome', '/sign-in', '/offline', '/api/sign-in', '/api/health', DEVICE_PATH];
/** Addresses that let whoever holds them in, to one thing each. */
const SECRET_PATHS = ['/unsubscribe/', '/confirm/', '/calendar/', '/sitter/', '/display/', '/join/'];
/** Mail programs end a subscription by themselves, from wherever they run (RFC 8058). */
const isFromMail = (pathname: string): boolean => pathname.startsWith('/unsubscribe/');

const isSecret = (pathname: string): boolean => SECRET_PATHS.some((path) => pathname.startsWith(path));
const isOpen = (pathname: string): boolean => OPEN_PATHS.includes(pathname) || isSecret(pathname);

export const handle: Handle = async ({ event, resolve }) => {
  event.locals.session = null;
  event.locals.unreadable = [];
  event.locals.reading = new Set();
  if (building) return resolve(event);
  return inLanguage(browserLanguage(event.request), () => answered(event, resolve));
};

/** Answers a request, until it is known whose it is in the language of their browser. */
async function answered(event: RequestEvent, resolve: Resolve): Promise<Response> {
  const { pathname } = event.url;
  if (pathname !== DEVICE_PATH && !isFromMail(pathname) && isForeign(event.request, event.url))
    return new Response(t('errors.foreignOrigin'), {
      status: 403,
      headers: { 'content-type': 'text/plain; charset=utf-8' }
    });
  try {
    await letIn(event);
  } catch (error) {
    if (!isPassing(error)) throw error;
    console.error(`503: ${(error as Error).message}`);
    return away(event, error);
  }
  const { session } = event.locals;
  if (!session && !isOpen(pathname)) {
    if (pathname.startsWith('/api/'))
      return Response.json(
        { message: t('errors.signAgainContinueWhatYou'), code: 'signed-out' },
        { status: 401 }
      );
    redirect(
      303,
      pathname === '/' ? '/sign-in' : `/sign-in?to=${encodeURIComponent(pathname + event.url.search)}`
    );
  }
  const response = await inLanguage(
    session?.memberLanguage ? memberLanguage(session.memberLanguage) : language(),
    () => drawn(event, resolve)
  );
  // By it a browser knows whose copies it holds.
  response.headers.set(FOR_HEADER, ownerOf(session));
  if (event.url.protocol === 'https:') response.headers.set('strict-transport-security', 'max-age=31536000');
  // What it preloads is named in the page as well; as a header it outgrows what a proxy holds.
  response.headers.delete('link');
  if (response.status === 503) response.headers.set('retry-after', String(RETRY_AFTER_S));
  // What a household sees is not to be seen by whoever sits down here after it signed out.
  if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'private, no-store');
  return response;
}

/** The letters that every page shows: asked for at once, they mostly come before the page is drawn. */
const FONT_LINK = `<link rel="preload" as="font" type="font/woff2" crossorigin href="${firstFont}" />`;

/** The answer of a route; a page names its language, and where its messages are. */
function drawn(event: RequestEvent, resolve: Resolve): Response | Promise<Response> {
  const theme = event.cookies.get('brote_theme');
  const attribute = theme === 'dark' || theme === 'light' ? `data-theme="${theme}"` : '';
  return resolve(event, {
    transformPageChunk: ({ html }) =>
      html
        .replace('%brote.theme%', attribute)
        .replace('%brote.language%', language())
        .replace('%brote.font%', FONT_LINK)
        .replace('%brote.messages%', messageLinks(language(), event.route.id))
  });
}

/** Who a page is for, in a form that says nothing of them. */
const ownerOf = (session: App.Locals['session']): string =>
  session
    ? createHash('sha256')
        .update(`${session.household.id} ${session.memberId}`)
        .digest('base64url')
        .slice(0, 22)
    : NOBODY;

/** Opens the session of a request, or in the demo lets anyone in. */
async function letIn(event: RequestEvent): Promise<void> {
  const token = event.cookies.get(SESSION_COOKIE);
  if (token) event.locals.session = await openSession(token);
  if (token && event.locals.session?.renewed) {
    keepSession(event, token);
    const { known, language } = callerOf(event);
    if (known) keepKnown(event, known);
    const { memberLanguage, memberId } = event.locals.session;
    // In the demo several browsers are one member.
    if (memberLanguage === null && !isDemo())
      await inSession(event.locals, (tx) => setLanguage(tx, memberId, language));
  }
  // Whoever holds a secret address is let in to that alone.
  if (!event.locals.session && isDemo() && event.request.method === 'GET' && !isSecret(event.url.pathname))
    await enterDemo(event);
}

/** The demo lets anyone in as one of the flat's members. */
async function enterDemo(event: RequestEvent): Promise<void> {
  const household = await demoHousehold();
  if (!household) return;
  // eslint-disable-next-line brote/no-prose -- the demo’s own
  const token = await startSession(household, 'Nela', callerOf(event).agent);
  keepSession(event, token);
  event.locals.session = await openSession(token);
}

function away({ request, isDataRequest, url }: RequestEvent, failure: unknown): Response {
  const headers = { 'retry-after': String(RETRY_AFTER_S), 'cache-control': 'no-store' };
  const wantsPage = !isDataRequest && !url.pathname.startsWith('/api/') && request.method === 'GET';
  return wantsPage
    ? new Response(awayPage(), {
        status: 503,
        headers: { ...headers, 'content-type': 'text/html; charset=utf-8' }
      })
    : Response.json(awayWords(failure), { status: 503, headers });
}

export const handleError: HandleServerError = ({ error, status, message }) => {
  if (status < 500) return { message: status === 404 ? message : plainly(status, message) };
  console.error(error);
  return { message: t('app.failed.text') };
};

/** What SvelteKit refuses by itself, in words that say what to do. */
function plainly(status: number, otherwise: string): string {
  if (status === 405) return t('app.wrongMethod');
  if (status === 413) return t('app.tooMuch');
  if (status === 415) return t('errors.sendForm');
  return otherwise;
}
