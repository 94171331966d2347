const FORMS = ['application/x-www-form-urlencoded', 'multipart/form-data', 'text/plain'];

/**
 * Whether another site had a browser send this. A browser names the origin of whatever may change something, and
 * newer ones say as well whether it is another site's; a program that is no browser says neither and carries no
 * cookie it was not given. A form without an origin is taken for a foreign one.
 * @param own the address it was sent to
 */
export function isForeign(request: Request, own: URL): boolean {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return false;
  const origin = request.headers.get('origin');
  if (origin !== null) return origin !== own.origin;
  if (['cross-site', 'same-site'].includes(request.headers.get('sec-fetch-site') ?? '')) return true;
  const type = (request.headers.get('content-type') ?? '').split(';', 1)[0]!.trim().toLowerCase();
  return FORMS.includes(type);
}

/**
 * Where to go after signing in: an address of this application, or the round. Only what parses as one is followed;
 * a blank or a control character within `//` makes another site of it in a browser.
 */
export function ownPath(to: string | null, own: URL): string {
  if (!to?.startsWith('/')) return '/round';
  try {
    const parsed = new URL(to, own);
    const path = parsed.pathname + parsed.search + parsed.hash;
    // What parses anew to the same place, and nowhere else.
    return parsed.origin === own.origin && new URL(path, own).origin === own.origin && !path.startsWith('//')
      ? path
      : '/round';
  } catch {
    return '/round';
  }
}
