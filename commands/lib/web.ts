import { createServer, type RequestListener, type Server } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { MOST_FILE_BYTES } from '../../src/server/requests/body.ts';
import { atTheDoor } from './door.ts';
import { Plain } from './say.ts';

const DEFAULT_PORT = 4180;
/** Whoever takes longer to say what they want is hung up on: slow lines hold nothing up for the others. */
const LIMITS = {
  headersTimeout: 15_000,
  requestTimeout: 60_000,
  keepAliveTimeout: 20_000,
  connectionsCheckingInterval: 2000,
  maxHeaderSize: 16_384
};

/** Where the web server listens: `HOST` and `PORT`, by default loopback alone. */
export function webAddress(): { host: string; port: number } {
  const host = process.env.HOST || '127.0.0.1';
  const port = Number(process.env.PORT || DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Plain(`PORT must be a number up to 65535, not “${process.env.PORT}”.`);
  return { host, port };
}

/** What a process does: `BROTE_ROLE` splits what is one by default over several machines. */
export function roleOf(): 'both' | 'web' | 'worker' {
  const role = process.env.BROTE_ROLE || 'both';
  if (role !== 'both' && role !== 'web' && role !== 'worker')
    throw new Plain(`BROTE_ROLE is “web”, “worker”, or left out for both; not “${role}”.`);
  return role;
}

/** Serves the built application. @throws Plain where the port is taken */
export async function serve(host: string, port: number): Promise<{ url: string; server: Server }> {
  // SvelteKit tells a form of its own from a foreign one by the origin, which over plain HTTP it must be told.
  process.env.PROTOCOL_HEADER ||= 'x-forwarded-proto';
  process.env.HOST_HEADER ||= 'host';
  process.env.BODY_SIZE_LIMIT ||= String(MOST_FILE_BYTES);
  const { handler } = (await import(pathToFileURL(join(process.cwd(), 'build/handler.js')).href)) as {
    handler: RequestListener;
  };
  const server = createServer(LIMITS, (request, response) => {
    if (atTheDoor(request, response)) handler(request, response);
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
  const actual = (server.address() as { port: number }).port;
  const shown = host.includes(':') ? `[${host}]` : host === '0.0.0.0' ? '127.0.0.1' : host;
  return { url: `http://${shown}:${actual}/`, server };
}
