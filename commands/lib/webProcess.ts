// The process that answers requests. The command that started it starts it again where it ends, and ends it.
import { closeDb } from '../../src/server/db/connection.ts';
import { Plain } from './say.ts';
import { serve } from './web.ts';

/** What it tells the command. */
export type FromWeb = { kind: 'serving'; url: string } | { kind: 'failed'; say: string };

const tell = (message: FromWeb): void => void process.send?.(message);
const log = (what: string) => (error: unknown) => {
  // A program that went wrong in a way nobody foresaw is not to be trusted with the next request.
  console.error(new Date().toISOString(), what, error);
  process.exit(1);
};

process.on('uncaughtException', log('uncaught'));
process.on('unhandledRejection', log('unhandled'));
// Ctrl-C reaches every process of a terminal: the command ends this one in order.
process.on('SIGINT', () => {});
process.on('SIGHUP', () => {});

try {
  const { url, server } = await serve(process.argv[2] ?? '127.0.0.1', Number(process.argv[3]));
  const end = () => {
    server.close();
    // Those who are being answered have a moment to be; those who keep a line open have not.
    setTimeout(() => server.closeAllConnections(), 1000).unref();
    server.closeIdleConnections();
    setTimeout(() => {
      closeDb();
      process.exit(0);
    }, 1200);
  };
  process.on('message', (message) => message === 'end' && end());
  process.on('disconnect', end);
  process.on('SIGTERM', end);
  tell({ kind: 'serving', url });
} catch (error) {
  if (!(error instanceof Plain)) throw error;
  tell({ kind: 'failed', say: error.message });
  process.disconnect();
}
