import type { Server } from 'node:http';
import { serve } from '../../commands/lib/web.ts';
import { pitch, type Camp } from '../siege/camp.ts';
import { ask, type Came, type Sent } from '../siege/ask.ts';
import { freshDatabase, type TestDatabase } from './database.ts';

/** The built application on a database of its own, without a browser before it. */
export interface App {
  base: URL;
  database: TestDatabase;
  /** Sends a request as it is; headers of nobody in particular. */
  send(sent: Partial<Sent> & { path: string }): Promise<Came>;
  /** A household with one of everything. */
  household(name: string): Promise<Camp>;
  close(): Promise<void>;
}

/** @param open whether anyone may begin a household */
export async function startApp(open = true): Promise<App> {
  const database = await freshDatabase();
  process.env.BROTE_DEMO = '';
  process.env.BROTE_OPEN = open ? '1' : '';
  const { url, server } = await serve('127.0.0.1', 0);
  const base = new URL(url);
  return {
    base,
    database,
    send: ({ method = 'GET', headers = {}, ...rest }) => ask(base, { method, headers, ...rest }),
    household: (name) => pitch(base, name),
    async close() {
      await stop(server);
      await database.drop();
    }
  };
}

const stop = (server: Server): Promise<void> =>
  new Promise((resolve) => {
    server.close(() => resolve());
    server.closeAllConnections();
  });
