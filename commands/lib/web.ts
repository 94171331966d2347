import {
  createServer,
  type IncomingMessage,
  type RequestListener,
  type Server,
  type ServerResponse
} from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import compression from 'compression';
import { MOST_FILE_BYTES } from '../../src/server/requests/body.ts';
import { atTheDoor } from './door.ts';
import { watchHolds } from './holds.ts';
import { Plain } from './say.ts';
import type { Role } from './serviceProcess.ts';

const DEFAULT_PORT = 4180;
/** Whoever takes longer to say what they want is hung up on: slow lines hold nothing up for the others. */
const LIMITS = {
  headersTimeout: 15_000,
  requestTimeout: 60_000,
  keepAliveTimeout: 20_000,
  connectionsCheckingInterval: 2000,
  maxHeaderSize: 16_384
};

/** One request that keeps all others waiting for longer is logged, ms. */
const HOLD_MS = 250;
/** A hold is noticed within this of its end, ms. */
const NOTICED_MS = 200;
/** A path whose last part is a secret. */
const SECRET_PART = /^(\/(?:sitter|display|join|calendar|unsubscribe|confirm)\/).*/;

/**
 * Pages are sent compressed, a sixth of their size; files are compressed when they are built. Not what another
 * site asked for: from the length of such answers it could guess, letter by letter, what a page says.
 */
const compress = compression({
  filter: (request, response) =>
    !['cross-site', 'same-site'].includes(String(request.headers['sec-fetch-site'])) &&
    compression.filter(request, response)
}) as unknown as (request: IncomingMessage, response: ServerResponse, next: () => void) => void;

/** Where the web server listens: `HOST` and `PORT`, by default loopback alone. */
export function webAddress(): { host: string; port: number } {
  const host = process.env.HOST || '127.0.0.1';
  const port = Number(process.env.PORT || DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Plain(`PORT must be a number up to 65535, not “${process.env.PORT}”.`);
  return { host, port };
}

/** What a start runs: `BROTE_ROLE` splits over several machines what one machine runs by default. */
export function rolesOf(): Role[] {
  const role = process.env.BROTE_ROLE || 'both';
  if (role === 'both') return ['web', 'worker'];
  if (role === 'web' || role === 'worker') return [role];
  throw new Plain(`BROTE_ROLE is “web”, “worker”, or left out for both; not “${role}”.`);
}

/** Where people reach Brote, as reminders name it, with a slash at its end. @throws Plain where nobody says */
export function baseOf(servedAt: string | null): string {
  const base = process.env.ORIGIN ? `${process.env.ORIGIN.replace(/\/+$/, '')}/` : servedAt;
  if (base) return base;
  throw new Plain(
    'A worker by itself must know where people reach Brote: set ORIGIN, such as ORIGIN=https://brote.home.arpa.'
  );
}

/**
 * Serves the built application.
 * @param tellsHolds logs what keeps everybody else waiting: where nothing but requests is done in this process
 * @throws Plain where the port is taken
 */
export async function serve(
  host: string,
  port: number,
  { tellsHolds = false } = {}
): Promise<{ url: string; server: Server }> {
  // SvelteKit tells a form of its own from a foreign one by the origin, which over plain HTTP it must be told.
  process.env.PROTOCOL_HEADER ||= 'x-forwarded-proto';
  process.env.HOST_HEADER ||= 'host';
  process.env.BODY_SIZE_LIMIT ||= String(MOST_FILE_BYTES);
  const { handler } = (await import(pathToFileURL(join(process.cwd(), 'build/handler.js')).href)) as {
    handler: RequestListener;
  };
  const underWay = new Set<string>();
  const server = createServer(LIMITS, (request, response) => {
    if (!atTheDoor(request, response)) return;
    // Without what follows the path: that may be somebody's words, or a secret.
    const what = `${request.method} ${(request.url ?? '').split(/[?#]/, 1)[0]!.replace(SECRET_PART, '$1...')}`;
    underWay.add(what);
    // A while after its answer: a hold is noticed only once it is over.
    response.once('close', () => setTimeout(() => underWay.delete(what), NOTICED_MS).unref());
    compress(request, response, () => handler(request, response));
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', (error: { code?: string }) => {
      if (error.code === 'EADDRINUSE')
        reject(
          new Plain(
            `Port ${port} of ${host} is in use by another program. Choose another, such as: PORT=${port + 1} npm start`
          )
        );
      else if (error.code === 'EACCES')
        reject(
          new Plain(
            `This user may not listen on port ${port}. Choose one above 1023, such as: PORT=${DEFAULT_PORT} npm start`
          )
        );
      else
        reject(
          new Plain(`The address ${host}:${port} cannot be listened on (${error.code}). Check HOST and PORT.`)
        );
    });
    server.listen(port, host, resolve);
  });
  if (tellsHolds)
    watchHolds(Number(process.env.BROTE_HOLD_MS || HOLD_MS), (heldMs) =>
      console.error(
        `${new Date().toISOString()} Everybody waited for ${Math.round(heldMs)} ms while this was answered: ${[...underWay].join(', ') || 'nothing any more'}`
      )
    );
  const actual = (server.address() as { port: number }).port;
  const shown = host.includes(':') ? `[${host}]` : host === '0.0.0.0' ? '127.0.0.1' : host;
  return { url: `http://${shown}:${actual}/`, server };
}
