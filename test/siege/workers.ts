import { fork, type ChildProcess } from 'node:child_process';
import { outsideSettings, startOutside } from '../../commands/standIns/outside.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import type { Database } from '../../commands/lib/database.ts';
import { Reminded } from '../support/reminded.ts';
import { until } from '../support/started.ts';

/** What came of workers that were killed while they worked. */
export interface WorkersKilled {
  households: number;
  kills: number;
  /** Households that were told nothing. */
  lost: number;
  /** Households that were told the same thing in two messages. */
  doubled: number;
  /** Messages that came again under their own id, as after a crash between sending and noting it; told apart by it. */
  repeated: number;
}

/**
 * Longer than a webhook is waited for, as a worker asks: where a busy machine takes longer than a lease, both workers take
 * the same message, and each try makes it wait longer.
 */
const LEASE_S = 12;
const SECRET = 'whsec_MfKQ9r8GKYqrTwjUPD8ILPZIo2LaLaSw';

/**
 * Two workers share what is due to many households at once; one of them, by chance, is killed again and again. Each
 * household is to be told once.
 */
export async function killWorkers(
  database: Database,
  { households, kills }: { households: number; kills: number }
): Promise<WorkersKilled> {
  const outside = await startOutside();
  outside.hook.trust(SECRET);
  const settings = outsideSettings(outside);
  const homes: string[] = [];
  for (let n = 0; n < households; n += 1)
    homes.push(await dueNow(database.ownerUrl, `Killed ${n}`, outside.url));
  const env = { ...process.env, ...settings };
  const workers: ChildProcess[] = [];
  const start = (index: number): Promise<void> =>
    new Promise((resolve) => {
      const child = fork('test/siege/workerProcess.ts', [outside.url, String(LEASE_S)], {
        execArgv: ['--import', 'tsx'],
        env,
        stdio: ['ignore', 'ignore', 'inherit', 'ipc']
      });
      workers[index] = child;
      child.once('message', () => resolve());
    });
  const [told, ids] = [() => outside.hook.calls.length, new Map<string, Set<string>>()];
  try {
    await Promise.all([start(0), start(1)]);
    for (let kill = 0; kill < kills; kill += 1) {
      const index = Math.floor(Math.random() * 2);
      const child = workers[index]!;
      // At any moment of its work: by how many have been told, and a little by chance.
      const before = told();
      await Promise.race([
        until(
          async () => told(),
          (now) => now > before
        ),
        new Promise((resolve) => setTimeout(resolve, 50 + Math.random() * 200))
      ]);
      const gone = new Promise((resolve) => child.once('exit', resolve));
      child.kill('SIGKILL');
      await gone;
      await start(index);
      // There is always something to be in the middle of.
      if (told() >= homes.length * 0.9 && kill + 1 < kills)
        homes.push(
          ...(await Promise.all(
            [0, 1, 2].map((n) => dueNow(database.ownerUrl, `More ${kill} ${n}`, outside.url))
          ))
        );
    }
    const heard = () =>
      new Set(outside.hook.calls.map(({ body }) => (body as { household: string }).household)).size;
    await until(
      async () => heard(),
      (many) => many >= homes.length
    );
    for (const { id, body } of outside.hook.calls) {
      const { household, reminders } = body as { household: string; reminders: { key: string }[] };
      for (const { key } of reminders) {
        const known = ids.get(`${household} ${key}`) ?? new Set();
        ids.set(`${household} ${key}`, known.add(id));
      }
    }
    return {
      households: homes.length,
      kills,
      lost: homes.length - heard(),
      doubled: [...ids.values()].filter((one) => one.size > 1).length,
      repeated: outside.hook.repeated
    };
  } finally {
    for (const child of workers) child.kill('SIGKILL');
    await outside.close();
  }
}

/** A household whose round is just due, and which a webhook is to be told of it. */
async function dueNow(ownerUrl: string, name: string, outside: string): Promise<string> {
  const now = Date.parse('2026-11-05T06:30:20Z');
  const home = await Reminded.begin(ownerUrl, name, now);
  await home.sow();
  await home.channel('webhook', { url: `${outside}hook`, secret: SECRET });
  await inHousehold(
    home.id,
    (tx) => tx`update judging set judged_until = ${new Date(now - 60_000)}, judge_at = now()`
  );
  return name;
}
