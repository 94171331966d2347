import { building } from '$app/environment';
import { redirect, type Handle, type HandleServerError } from '@sveltejs/kit';
import { demoHousehold, openSession, SESSION_COOKIE, startSession } from '$server/sessions/sessions.ts';
import { keepSession } from '$server/sessions/cookie.ts';

const DEVICE_PATH = '/api/readings';
const isDemo = (): boolean => process.env.BROTE_DEMO === '1';
/** Open to anyone; a device shows a token of its own. */
const OPEN_PATHS = ['/welcome', '/sign-in', '/api/sign-in', '/api/health', DEVICE_PATH];

/**
 * Refuses a form that another site sent, as SvelteKit would by itself; but a device may send plain text, which
 * to a browser is a form as well.
 */
function isForeignForm({ request, url }: Parameters<Handle>[0]['event']): boolean {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method) || url.pathname === DEVICE_PATH) return false;
  const type = request.headers.get('content-type')?.split(';', 1)[0]?.trim().toLowerCase() ?? '';
  const isForm = ['application/x-www-form-urlencoded', 'multipart/form-data', 'text/plain'].includes(type);
  return isForm && request.headers.get('origin') !== url.origin;
}

export const handle: Handle = async ({ event, resolve }) => {
  event.locals.session = null;
  if (building) return resolve(event);
  if (isForeignForm(event)) return new Response('A form of another site is not taken.', { status: 403 });
  const token = event.cookies.get(SESSION_COOKIE);
  if (token) event.locals.session = await openSession(token);
  if (!event.locals.session && isDemo() && event.request.method === 'GET') await enterDemo(event);
  const { pathname } = event.url;
  if (!event.locals.session && !OPEN_PATHS.includes(pathname)) {
    if (pathname.startsWith('/api/'))
      return Response.json(
        { message: 'Sign in again to continue; what you entered is kept.' },
        { status: 401 }
      );
    redirect(
      303,
      pathname === '/' ? '/sign-in' : `/sign-in?to=${encodeURIComponent(pathname + event.url.search)}`
    );
  }
  const theme = event.cookies.get('brote_theme');
  const attribute = theme === 'dark' || theme === 'light' ? `data-theme="${theme}"` : '';
  const response = await resolve(event, {
    transformPageChunk: ({ html }) => html.replace('%brote.theme%', attribute)
  });
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=()');
  return response;
};

/** The demo lets anyone in as one of the flat's members. */
async function enterDemo(event: Parameters<Handle>[0]['event']): Promise<void> {
  const household = await demoHousehold();
  if (!household) return;
  const token = await startSession(household, 'Nela');
  keepSession(event, token);
  event.locals.session = await openSession(token);
}

export const handleError: HandleServerError = ({ error, status, message }) => {
  if (status === 404) return { message };
  console.error(error);
  const full = (error as { code?: string } | null)?.code === '53100';
  return {
    message: full
      ? 'The disk of the machine that Brote runs on is full. Nothing saved is lost; free some space and try again.'
      : 'Something went wrong here. Nothing you saved is lost; try again in a moment.'
  };
};
