// A process that answers requests (`web`) or judges households and sends reminders (`worker`). The command that started it
// starts it again where it ends or is stuck, and ends it.
import { closeDb } from '../../src/server/db/connection.ts';
import { isLost } from '../../src/server/db/unavailable.ts';
import '../../src/server/language/reader.ts';
import { Worker } from '../../src/server/jobs/worker.ts';
import { Plain } from './say.ts';
import { serve } from './web.ts';

export type Role = 'web' | 'worker';
/** What it tells the command; an answer only says that it still listens. */
export type FromService =
  { kind: 'serving'; url: string } | { kind: 'failed'; say: string } | { kind: 'answer' };

const tell = (message: FromService): void => void process.send?.(message);
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
  const [, , role, ...args] = process.argv;
  const served =
    role === 'web' ? await serve(args[0] ?? '127.0.0.1', Number(args[1]), { tellsHolds: true }) : null;
  const worker = role === 'worker' ? new Worker(args[0] ?? '').start() : null;
  const end = () => {
    const { server } = served ?? {};
    server?.close();
    // Those who are being answered have a moment to be; those who keep a line open have not. A message that is under way
    // for longer is sent again by another, under the same id.
    setTimeout(() => server?.closeAllConnections(), 1000).unref();
    server?.closeIdleConnections();
    worker?.stop().catch(log('stopping'));
    setTimeout(() => {
      closeDb();
      process.exit(0);
    }, 1200);
  };
  process.on('message', (message) => {
    if (message === 'end') end();
    else tell({ kind: 'answer' });
  });
  process.on('disconnect', end);
  process.on('SIGTERM', end);
  tell({ kind: 'serving', url: served?.url ?? '' });
} catch (error) {
  if (!(error instanceof Plain)) throw error;
  tell({ kind: 'failed', say: error.message });
  process.disconnect();
}
