import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SERVICE_FILE } from '../../commands/lib/build.ts';
import { HANG_MS } from './patience.ts';

/** A command of the project as a person starts it, with its own data and port. */
export class Started {
  output = '';
  readonly exit: Promise<number | null>;
  constructor(readonly child: ChildProcess) {
    for (const stream of [child.stdout!, child.stderr!])
      stream.on('data', (chunk: Buffer) => (this.output += chunk.toString()));
    this.exit = new Promise((resolve) => child.on('exit', resolve));
  }

  /** Resolves once it has printed that; rejects where it ends without. */
  says(pattern: RegExp): Promise<RegExpExecArray> {
    return new Promise((resolve, reject) => {
      const look = () => {
        const found = pattern.exec(this.output);
        if (found) resolve(found);
      };
      this.child.stdout!.on('data', look);
      this.child.stderr!.on('data', look);
      void this.exit.then(() => {
        look();
        reject(new Error(`Ended without saying ${pattern}:\n${this.output}`));
      });
      look();
    });
  }

  /** The number of one of its processes, as it is now. */
  pidOf(role: 'web' | 'worker'): number {
    const { stdout } = spawnSync('pgrep', ['-P', String(this.child.pid), '-f', `${SERVICE_FILE} ${role}`], {
      encoding: 'utf8'
    });
    return Number(stdout.trim().split('\n')[0]);
  }

  /** Resolves with its address once it is ready. */
  async ready(): Promise<string> {
    return (await this.says(/open (http:\S+)/))[1]!;
  }
}

/** Starts commands on data of their own, and ends whatever still runs at the end. */
export class Ground {
  private readonly running: Started[] = [];

  private readonly isOwn: boolean;
  readonly data: string;

  /** @param data a folder that somebody else takes away; one of its own where not given */
  constructor(
    private readonly port: number,
    data?: string
  ) {
    this.isOwn = data === undefined;
    this.data = data ?? mkdtempSync(join(tmpdir(), 'brote-'));
    // The database's own user must be able to pass through.
    chmodSync(this.data, 0o755);
  }

  start(more: Record<string, string> = {}): Started {
    const env: NodeJS.ProcessEnv = {
      ...process.env,
      BROTE_DATA: this.data,
      PORT: String(this.port),
      ...more
    };
    for (const name of ['BROTE_APP_URL', 'BROTE_DEMO', 'BROTE_OPEN', 'BROTE_PATIENCE'])
      if (!(name in more)) delete env[name];
    const started = new Started(
      spawn('node', ['commands/run.mjs', 'start'], { env, stdio: ['ignore', 'pipe', 'pipe'] })
    );
    this.running.push(started);
    return started;
  }

  /** Ends it as Ctrl-C does. @returns the code it ended with */
  async stop(started: Started): Promise<number | null> {
    started.child.kill('SIGINT');
    return started.exit;
  }

  async clear(): Promise<void> {
    for (const started of this.running)
      if (started.child.exitCode === null && started.child.signalCode === null) await this.stop(started);
    if (this.isOwn) rmSync(this.data, { recursive: true, force: true });
  }
}

/**
 * Brote asks again and again until the answer is as expected. A slow machine only takes longer.
 * @throws Error with the last answer where it never comes
 */
export async function until<T>(what: () => Promise<T>, expected: (answer: T) => boolean): Promise<T> {
  const end = performance.now() + HANG_MS;
  for (;;) {
    const answer = await what();
    if (expected(answer)) return answer;
    if (performance.now() > end) throw new Error(`Waited in vain; the last answer was ${String(answer)}.`);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}
