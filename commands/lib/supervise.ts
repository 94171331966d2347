import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import type { Cluster } from './cluster.ts';
import { Plain, say } from './say.ts';
import type { FromWeb } from './webProcess.ts';

/** One that ran for so long had started well: the next wait is the shortest again, ms. */
const WELL_MS = 30_000;
const FIRST_WAIT_MS = 200;
const LONGEST_WAIT_MS = 8000;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Waits twice as long after each failure as after the one before. */
class Backoff {
  private waitMs = 0;
  private since = performance.now();

  /** To be called when the thing is up. */
  started(): void {
    this.since = performance.now();
  }

  async wait(): Promise<void> {
    if (performance.now() - this.since > WELL_MS) this.waitMs = 0;
    await pause(this.waitMs);
    this.waitMs = Math.min(LONGEST_WAIT_MS, Math.max(FIRST_WAIT_MS, this.waitMs * 2));
    this.since = performance.now();
  }
}

/** A web server in a process of its own, started again whenever it ends, until it is told to. */
export class WebServer {
  private child: ChildProcess | null = null;
  private ending = false;
  private ran = false;
  private readonly backoff = new Backoff();

  private constructor(
    private readonly host: string,
    private port: number
  ) {}

  /** @throws Plain where it cannot listen there */
  static async start(host: string, port: number): Promise<{ web: WebServer; url: string }> {
    const web = new WebServer(host, port);
    const url = await web.begin();
    // Wherever a free port was asked for, it comes back on the one it was given.
    web.port = Number(new URL(url).port || 80);
    return { web, url };
  }

  /** Starts it anew, as where the database has moved. */
  renew(): void {
    this.child?.kill('SIGTERM');
  }

  /** Ends it, and waits for that. */
  async end(): Promise<void> {
    this.ending = true;
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
    if (child.connected) child.send('end');
    else child.kill('SIGTERM');
    const late = setTimeout(() => child.kill('SIGKILL'), 8000);
    await ended;
    clearTimeout(late);
  }

  private begin(): Promise<string> {
    const child = fork(join(import.meta.dirname, 'webProcess.ts'), [this.host, String(this.port)], {
      execArgv: ['--import', 'tsx'],
      stdio: ['ignore', 'inherit', 'inherit', 'ipc']
    });
    this.child = child;
    return new Promise((resolve, reject) => {
      child.on('message', (message: FromWeb) => {
        if (message.kind === 'failed') {
          // Where it never ran, a sentence says why, and it is not tried again.
          if (!this.ran) this.ending = true;
          return reject(new Plain(message.say));
        }
        this.ran = true;
        this.backoff.started();
        resolve(message.url);
      });
      child.once('exit', (code, signal) => {
        reject(new Error(`The web server ended before it had started (${signal ?? code}).`));
        void this.ended(signal ?? `code ${code}`);
      });
    });
  }

  private async ended(how: string): Promise<void> {
    if (this.ending) return;
    say(`${new Date().toISOString()} The web server ended (${how}) and is started again.`);
    await this.backoff.wait();
    // What goes wrong is told when it ends, which brings us here again.
    if (!this.ending) await this.begin().catch(() => {});
  }
}

/** How often it is looked whether the database still runs, ms. */
const LOOK_MS = 500;

/**
 * Watches over a private database and starts it again where it has ended.
 * @param onmoved called where it had to come back on another port
 * @returns to be called to stop watching
 */
export function watchOver(cluster: Cluster, onmoved: () => void): () => void {
  let watching = true;
  const backoff = new Backoff();
  const watch = async () => {
    while (watching) {
      await pause(LOOK_MS);
      const before = cluster.adminUrl;
      try {
        if (!watching || !(await cluster.revive())) continue;
        say(`${new Date().toISOString()} The database had ended and was started again.`);
        backoff.started();
        if (cluster.adminUrl !== before) onmoved();
      } catch (error) {
        if (!watching) return;
        console.error(new Date().toISOString(), (error as Error).message);
        await backoff.wait();
      }
    }
  };
  void watch();
  return () => (watching = false);
}
