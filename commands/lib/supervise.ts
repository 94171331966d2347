import { fork, type ChildProcess } from 'node:child_process';
import { SERVICE_FILE } from './build.ts';
import type { Cluster } from './cluster.ts';
import { Plain, say } from './say.ts';
import type { FromService, Role } from './serviceProcess.ts';

const NAMES: Readonly<Record<Role, string>> = { web: 'web server', worker: 'worker' };

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

/** A process that answers nothing for so long is stuck: it is ended and started again, s. */
const STUCK_S = 15;

/** Where the web server listens. */
export interface Listening {
  host: string;
  port: number;
}

/** The web server or the worker, in a process of its own, started again whenever it ends or is stuck, until it is ended. */
export class Service {
  private child: ChildProcess | null = null;
  private ending = false;
  private ran = false;
  private readonly backoff = new Backoff();
  /** Seconds since it last answered, as far as this process could listen; null while it starts. */
  private silentS: number | null = null;
  private readonly watch = setInterval(() => this.look(), 1000);

  private constructor(
    private readonly role: Role,
    private readonly args: string[]
  ) {}

  /** @throws Plain where it cannot listen there */
  static async web({ host, port }: Listening): Promise<{ web: Service; url: string }> {
    const web = new Service('web', [host, String(port)]);
    const url = await web.first();
    // Where any free port was asked for, it comes back on the one it was given.
    web.args[1] = new URL(url).port || '80';
    return { web, url };
  }

  /**
   * @param base where people reach Brote
   * @throws Plain where it cannot start
   */
  static async worker(base: string): Promise<Service> {
    const worker = new Service('worker', [base]);
    await worker.first();
    return worker;
  }

  /** Starts it again, as where the database has moved. */
  renew(): void {
    this.child?.kill('SIGTERM');
  }

  /** Ends it, and waits for that. */
  async end(): Promise<void> {
    this.ending = true;
    clearInterval(this.watch);
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
    if (child.connected) child.send('end');
    else child.kill('SIGTERM');
    const late = setTimeout(() => child.kill('SIGKILL'), 8000);
    await ended;
    clearTimeout(late);
  }

  private async first(): Promise<string> {
    try {
      return await this.begin();
    } catch (error) {
      clearInterval(this.watch);
      throw error;
    }
  }

  private begin(): Promise<string> {
    const child = fork(SERVICE_FILE, [this.role, ...this.args], {
      execArgv: ['--enable-source-maps'],
      stdio: ['ignore', 'inherit', 'inherit', 'ipc']
    });
    this.child = child;
    this.silentS = null;
    return new Promise((resolve, reject) => {
      child.on('message', (message: FromService) => {
        this.silentS = 0;
        if (message.kind === 'answer') return;
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
        reject(new Error(`The ${NAMES[this.role]} ended before it had started (${signal ?? code}).`));
        this.ended(signal ?? `code ${code}`).catch(() => {});
      });
    });
  }

  /** Asks whether it still listens. Seconds in which this process stood still itself count as one. */
  private look(): void {
    const { child } = this;
    if (this.silentS === null || !child?.connected) return;
    this.silentS += 1;
    if (this.silentS > STUCK_S) {
      say(`${new Date().toISOString()} The ${NAMES[this.role]} has not answered for ${STUCK_S} s.`);
      this.silentS = null;
      child.kill('SIGKILL');
    } else child.send('ask');
  }

  private async ended(how: string): Promise<void> {
    this.silentS = null;
    if (this.ending) return;
    say(`${new Date().toISOString()} The ${NAMES[this.role]} ended (${how}) and is started again.`);
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
  watch().catch((error: unknown) => console.error(new Date().toISOString(), error));
  return () => (watching = false);
}
