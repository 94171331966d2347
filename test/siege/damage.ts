import { get } from 'node:http';
import type postgres from 'postgres';
import { ask, type Came } from './ask.ts';
import { own, type Camp } from './camp.ts';
import { Dice } from './mutate.ts';

/** What became of packages of which one bit was turned over. */
export interface Flips {
  sent: number;
  /** Taken: what was turned over says nothing of what the package holds. */
  taken: number;
  refused: number;
  errors: string[];
}

const exported = (base: URL, camp: Camp): Promise<Came> =>
  ask(base, { method: 'GET', path: '/household/data/package.zip', headers: own(base, camp.cookie) });

/** Sends a household its own package, again and again, each time with another bit turned over. */
export async function bitFlips(base: URL, camp: Camp, times: number, seed: number): Promise<Flips> {
  const { bytes } = await exported(base, camp);
  const dice = new Dice(seed);
  const found: Flips = { sent: 0, taken: 0, refused: 0, errors: [] };
  while (found.sent < times) {
    const flipped = Buffer.from(bytes);
    const at = dice.upTo(bytes.length);
    flipped[at] = flipped[at]! ^ (1 << dice.upTo(8));
    const came = await ask(base, {
      method: 'POST',
      path: '/api/data/import',
      headers: own(base, camp.cookie, { 'content-type': 'application/zip' }),
      body: flipped
    });
    found.sent += 1;
    if (came.status === 200) found.taken += 1;
    else if (came.status === 422) found.refused += 1;
    else found.errors.push(`bit at ${at}: ${came.status} ${came.text.slice(0, 150)}`);
  }
  return found;
}

/** What became of exports whose database connection or whose client went away in the middle. */
export interface CutExports {
  cut: number;
  whole: number;
  refused: number;
  /** Packages that were not whole, and were not to be told from one that is. */
  errors: string[];
  /** Times that the web server was another one afterwards. */
  deaths: number;
}

/** An export that nobody waits for any more is made to its end: a few of them are enough. */
const HANG_UP_EVERY = 5;

/** Takes the database's connections, or the client, away from exports while they run. */
export async function cutExports(
  base: URL,
  camp: Camp,
  admin: postgres.Sql,
  pid: () => number,
  times: number
): Promise<CutExports> {
  const found: CutExports = { cut: 0, whole: 0, refused: 0, errors: [], deaths: 0 };
  const before = pid();
  for (let n = 0; n < times; n += 1) {
    const going = exported(base, camp);
    // As soon as its connection is at work on the export, which is a transaction that reads by a cursor.
    for (let gone = 0; gone === 0;) {
      const answered = await Promise.race([going, null]);
      if (answered) break;
      const ended = await admin<{ gone: boolean }[]>`select pg_terminate_backend(pid) as gone
        from pg_stat_activity where application_name = 'brote' and query ~ '^(declare|fetch) '`;
      gone = ended.length;
      found.cut += gone;
    }
    const came = await going;
    if (came.status === 503) found.refused += 1;
    else if (came.status === 200 && came.bytes.length === Number(came.headers['content-length']))
      found.whole += 1;
    else found.errors.push(`export: ${came.status}, ${came.bytes.length} bytes`);
    if (n % HANG_UP_EVERY === 0) await hangUp(base, camp);
    const health = await ask(base, { method: 'GET', path: '/api/health', headers: {} });
    if (health.status !== 200 && health.status !== 503) found.errors.push(`health: ${health.status}`);
    if (pid() !== before) found.deaths += 1;
  }
  return found;
}

/** Asks for an export and hangs up as its first bytes come. */
const hangUp = (base: URL, camp: Camp): Promise<void> =>
  new Promise((resolve) => {
    const going = get(
      new URL('/household/data/package.zip', base),
      { headers: { host: base.host, ...own(base, camp.cookie) } },
      (answer) => {
        answer.on('error', () => {});
        answer.once('data', () => going.destroy());
        answer.once('close', () => resolve());
      }
    );
    going.on('error', () => resolve());
  });
