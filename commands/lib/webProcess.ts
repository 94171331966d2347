// The process that answers requests and sends reminders, or one of both where `BROTE_ROLE` says `web` or `worker`. The
// command that started it starts it again where it ends, and ends it.
import { closeDb } from '../../src/server/db/connection.ts';
import { isLost } from '../../src/server/db/unavailable.ts';
import { Worker } from '../../src/server/jobs/worker.ts';
import { Plain } from './say.ts';
import { roleOf, serve } from './web.ts';

/** What it tells the command. */
export type FromWeb = { kind: 'serving'; url: string } | { kind: 'failed'; say: string };

const tell = (message: FromWeb): void => void process.send?.(message);
const log = (what: string) => (error: unknown) => {
  // A program that went wrong in a way nobody foresaw is not to be trusted with the next request.
  console.error(new Date().toISOString(), what, error);
  process.exit(1);
};

process.on('uncaughtException', log('uncaught'));
// Postgres.js (3.4.9) asks each new connection for the database's types, by a query that nobody waits for: where the
// connection is lost just then it says so here, and to whoever opened it.
process.on('unhandledRejection', (error) => {
  if (isLost(error)) console.error(new Date().toISOString(), (error as Error).message);
  else log('unhandled')(error);
});
// Ctrl-C reaches every process of a terminal: the command ends this one in order.
process.on('SIGINT', () => {});
process.on('SIGHUP', () => {});

try {
  const role = roleOf();
  const served =
    role === 'worker' ? null : await serve(process.argv[2] ?? '127.0.0.1', Number(process.argv[3]));
  // Where people reach it: what reminders lead to.
  const base = process.env.ORIGIN ? `${process.env.ORIGIN.replace(/\/+$/, '')}/` : served?.url;
  if (!base)
    throw new Plain(
      'A worker by itself must know where people reach Brote: set ORIGIN, such as ORIGIN=https://brote.home.arpa.'
    );
  const worker = role === 'web' ? null : new Worker(base).start();
  const end = () => {
    const { server } = served ?? {};
    server?.close();
    // Those who are being answered have a moment to be; those who keep a line open have not. A message that is under way
    // for longer is sent again by another, under the same id.
    setTimeout(() => server?.closeAllConnections(), 1000).unref();
    server?.closeIdleConnections();
    void worker?.stop();
    setTimeout(() => {
      closeDb();
      process.exit(0);
    }, 1200);
  };
  process.on('message', (message) => message === 'end' && end());
  process.on('disconnect', end);
  process.on('SIGTERM', end);
  tell({ kind: 'serving', url: served?.url ?? base });
} catch (error) {
  if (!(error instanceof Plain)) throw error;
  tell({ kind: 'failed', say: error.message });
  process.disconnect();
}
