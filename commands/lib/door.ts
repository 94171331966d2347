import type { IncomingMessage, ServerResponse } from 'node:http';
import { hostname, networkInterfaces } from 'node:os';

/** What every answer carries, whatever it is; a page replaces the policy by one of its own. */
const HEADERS: Record<string, string> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'content-security-policy':
    "default-src 'none'; style-src 'self'; img-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'"
};

/**
 * Checks who a request is for before anything else looks at it, and puts on what every answer carries.
 * @returns false where it was answered here already
 */
export function atTheDoor(request: IncomingMessage, response: ServerResponse): boolean {
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  // What keeps pages for when the network is away has to fetch them.
  if (request.url === '/service-worker.js')
    response.setHeader('content-security-policy', "default-src 'none'; connect-src 'self'");
  if (request.url?.startsWith('/_app/immutable/workers/'))
    response.setHeader(
      'content-security-policy',
      "default-src 'none'; script-src 'self'; connect-src 'self'"
    );
  // The origin is made of both: the one by itself must be a name, the other one of two words.
  const protocol = String(request.headers['x-forwarded-proto'] ?? 'http').split(',', 1)[0]!;
  request.headers['x-forwarded-proto'] = protocol.trim().toLowerCase() === 'https' ? 'https' : 'http';
  const refuse = (status: number, say: string): false => {
    response.writeHead(status, { 'content-type': 'text/plain; charset=utf-8', connection: 'close' });
    response.end(`${say}\n`);
    return false;
  };
  if (!isOurs(request.headers.host))
    return refuse(
      421,
      `Brote is not known by this name here. Whoever runs it can add it: BROTE_HOSTS=${nameOf(request.headers.host) ?? 'name'} npm start`
    );
  // SvelteKit (2.70) rejects such an address where nothing catches it, and the process ends.
  if (!isReadable(request.url ?? '/')) return refuse(400, 'This address cannot be read: check it.');
  return true;
}

/** Whether the path of an address is text: every % begins a byte, and the bytes are UTF-8. */
function isReadable(url: string): boolean {
  if (!url.startsWith('/') || url.startsWith('//')) return false;
  try {
    return !decodeURIComponent(url.split('?', 1)[0]!).includes('\0');
  } catch {
    return false;
  }
}

/** The name in a Host header, without its port; null where it is none. */
function nameOf(host: string | undefined): string | null {
  const name = /^(\[[0-9a-f:.]+\]|[a-z0-9](?:[a-z0-9._-]*[a-z0-9])?\.?)(?::\d{1,5})?$/i.exec(host ?? '')?.[1];
  return name ? name.toLowerCase().replace(/\.$/, '') : null;
}

/**
 * Whether a request is meant for this Brote: by a name or address of this machine, of `ORIGIN`, or of
 * `BROTE_HOSTS`. A page elsewhere can have its own name lead here; it is refused by that name.
 */
export function isOurs(host: string | undefined): boolean {
  const name = nameOf(host);
  if (name === null) return false;
  if (name === 'localhost' || /^127\.\d+\.\d+\.\d+$/.test(name) || name === '[::1]') return true;
  return namesOfOurs().has(name);
}

/** What routers at home put behind a machine's name; none of them is anybody's to register. */
const HOME_ENDINGS = ['local', 'lan', 'home', 'home.arpa', 'internal', 'localdomain'];

let known: { at: number; names: Set<string> } | null = null;
/** Addresses come and go with the network: looked up again after so long, in ms. */
const KNOWN_FOR = 10_000;

function namesOfOurs(): Set<string> {
  if (known && performance.now() - known.at < KNOWN_FOR) return known.names;
  const machine = hostname().toLowerCase();
  const short = machine.split('.', 1)[0]!;
  const addresses = Object.values(networkInterfaces()).flatMap((all) =>
    (all ?? []).map(({ address, family }) => (family === 'IPv6' ? `[${address.split('%', 1)[0]}]` : address))
  );
  const given = (process.env.BROTE_HOSTS ?? '')
    .split(/[\s,]+/)
    .flatMap((one) => nameOf(one.replace(/^https?:\/\//, '').replace(/\/.*$/, '')) ?? []);
  const origin = URL.canParse(process.env.ORIGIN ?? '') ? [new URL(process.env.ORIGIN!).hostname] : [];
  const local = HOME_ENDINGS.map((ending) => `${short}.${ending}`);
  const names = new Set([machine, short, ...local, ...addresses, ...given, ...origin]);
  known = { at: performance.now(), names };
  return names;
}
