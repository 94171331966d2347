import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { connect } from 'node:net';
import { ask, type Came } from './ask.ts';
import { own, JSON_TYPE, type Camp } from './camp.ts';
import { Dice, mutated } from './mutate.ts';
import { targets } from './routes.ts';
import { HANG_MS } from '../support/patience.ts';
import { until } from '../support/started.ts';

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Runs work on many things, so many at a time. */
async function inParallel<T>(
  things: readonly T[],
  atOnce: number,
  work: (thing: T) => Promise<void>
): Promise<void> {
  let next = 0;
  await Promise.all(
    Array.from({ length: atOnce }, async () => {
      while (next < things.length) await work(things[next++]!);
    })
  );
}

export interface Leaks {
  asked: number;
  leaks: string[];
  errors: string[];
  /** Which of the other household's ids were answered as though they were there. */
  reached: string[];
}

/**
 * Asks for everything of one household as everybody else: the other household, its device, a stranger, and one whose
 * session was made up. Nothing that names the household's things may come back.
 */
export async function leaks(base: URL, camps: readonly [Camp, Camp]): Promise<Leaks> {
  const found: Leaks = { asked: 0, leaks: [], errors: [], reached: [] };
  for (const [of, other] of [camps, [camps[1], camps[0]] as const]) {
    const roles = {
      'the other household': { cookie: other.cookie, token: other.token },
      'a stranger': { cookie: '', token: '' },
      'a made-up session': { cookie: 'brote_session=made-up; brote_known=made-up', token: 'brote_made-up' },
      'the other household’s device as a session': {
        cookie: `brote_session=${other.token}`,
        token: other.cookie
      }
    };
    for (const [role, by] of Object.entries(roles))
      await inParallel(targets(base, of, by), 8, async ({ name, sent, spares }) => {
        // What would end the other's own session, or rename it, says nothing of this one's things.
        if (spares || name === 'POST /household?/save') return;
        const came = await ask(base, sent);
        found.asked += 1;
        const leaked = of.canaries.find((canary) => came.text.toLowerCase().includes(canary));
        if (leaked) found.leaks.push(`${name} as ${role}: ${leaked}`);
        if (came.status >= 500 || came.hung) found.errors.push(`${name} as ${role}: ${came.status}`);
        const named = /\[(id|key)\]/.test(name) && sent.method === 'GET';
        if (
          named &&
          came.status === 200 &&
          role === 'the other household' &&
          !/calculators/.test(name) &&
          !isMiss(came)
        )
          found.reached.push(`${name} as ${role}`);
      });
  }
  return found;
}

/** Data of a page that is not there comes with a 200 around it. */
const isMiss = ({ text }: Came): boolean => /"type":"error"|"type":"redirect"/.test(text);

export interface Mutations {
  asked: number;
  /** By status. */
  statuses: Record<string, number>;
  /** Requests that came back as a mistake of ours, one of each kind. */
  errors: string[];
  hung: string[];
  leaks: string[];
  /** Not answered at all, though the server was there; a request that node itself cannot parse is hung up on. */
  unanswered: number;
}

/** Sends requests that were changed by chance, over every route and action. */
export async function mutations(
  base: URL,
  camps: readonly [Camp, Camp],
  count: number,
  seed: number
): Promise<Mutations> {
  const dice = new Dice(seed);
  const [by, other] = camps;
  const all = targets(base, by, by).map((target) =>
    target.spares
      ? { ...target, sent: { ...target.sent, headers: { ...target.sent.headers, cookie: '' } } }
      : target
  );
  const sent = Array.from({ length: count }, (_, n) => {
    const target = all[n % all.length]!;
    return { name: target.name, sent: mutated(target, dice) };
  });
  const found: Mutations = { asked: 0, statuses: {}, errors: [], hung: [], leaks: [], unanswered: 0 };
  const kinds = new Set<string>();
  await inParallel(sent, 8, async (one) => {
    const came = await ask(base, one.sent);
    found.asked += 1;
    found.statuses[came.status] = (found.statuses[came.status] ?? 0) + 1;
    if (came.status === 0 && !came.hung) found.unanswered += 1;
    if (came.hung) found.hung.push(one.name);
    const inside = /"type":"error"[^}]*"status":5\d\d/.test(came.text) || /"status":500/.test(came.text);
    if (came.status >= 500 || inside) {
      const kind = `${one.name} ${came.status}`;
      if (!kinds.has(kind))
        found.errors.push(
          `${kind}: ${one.sent.method} ${one.sent.path} ${JSON.stringify(one.sent.headers['content-type'])} ${String(one.sent.body ?? '').slice(0, 400)}`
        );
      kinds.add(kind);
    }
    const leaked = other.canaries.find((canary) => came.text.toLowerCase().includes(canary));
    if (leaked) found.leaks.push(`${one.name}: ${leaked}`);
  });
  return found;
}

export interface Kills {
  kills: number;
  acknowledged: number;
  /** Acknowledged, and not there afterwards. */
  missing: number;
  /** There more than once. */
  doubled: number;
  /** Answers that were neither taken, nor a 503, nor no answer. */
  odd: string[];
  repeated: number;
  /** The slowest answer of `/api/health` while something was dead, ms. */
  slowestHealthMs: number;
  /** The longest time until it was well again, ms. */
  slowestBackMs: number;
}

/** Writes a note to a household's tray. */
export const noted = (base: URL, camp: Camp, text: string, id: string = randomUUID()): Promise<Came> => {
  const event = { id, sowingId: camp.ids.sowing, at: Date.now(), body: { type: 'noted', text } };
  return ask(base, {
    method: 'POST',
    path: '/api/events',
    headers: own(base, camp.cookie, JSON_TYPE),
    body: JSON.stringify({ events: [event] })
  });
};

/** Writes that are acknowledged before each kill, and after the last one. */
const WRITES_BETWEEN = 12;

/** Writes without pause while something is killed again and again, and counts what was acknowledged. */
export async function killing(
  base: URL,
  camp: Camp,
  kill: (n: number) => Promise<void>,
  { times, writers }: { times: number; writers: number }
): Promise<Kills> {
  const found: Kills = {
    kills: 0,
    acknowledged: 0,
    missing: 0,
    doubled: 0,
    odd: [],
    repeated: 0,
    slowestHealthMs: 0,
    slowestBackMs: 0
  };
  let writing = true;
  const taken: string[] = [];
  const write = async (writer: number) => {
    for (let n = 0; writing; n += 1) {
      const text = `written-${writer}-${n}-${randomUUID()}`;
      const id = randomUUID();
      // As a phone does: again and again under one id, until somebody says that it is kept.
      for (let tries = 0; ; tries += 1) {
        const came = await noted(base, camp, text, id);
        if (came.status === 200) {
          taken.push(text);
          break;
        }
        if (came.status !== 503 && came.status !== 0) {
          found.odd.push(`${came.status} ${came.text.slice(0, 200)}`);
          break;
        }
        found.repeated += 1;
        await pause(60);
      }
      await pause(25);
    }
  };
  const writersDone = Promise.all(Array.from({ length: writers }, (_, writer) => write(writer)));
  const moreWritten = async () => {
    const goal = taken.length + WRITES_BETWEEN;
    await until(
      () => Promise.resolve(taken.length),
      (many) => many >= goal || found.odd.length > 0
    );
  };
  for (let n = 0; n < times; n += 1) {
    await moreWritten();
    // At any moment of what is under way.
    await pause((n * 97) % 200);
    await kill(n);
    found.kills += 1;
    const since = performance.now();
    for (;;) {
      const came = await ask(base, { method: 'GET', path: '/api/health', headers: {} });
      if (came.status === 503 || came.status === 200)
        found.slowestHealthMs = Math.max(found.slowestHealthMs, came.ms);
      if (came.status === 200 && performance.now() - since > 100) break;
      if (performance.now() - since > HANG_MS) {
        found.odd.push(`not back after ${HANG_MS} ms`);
        break;
      }
      await pause(25);
    }
    found.slowestBackMs = Math.max(found.slowestBackMs, performance.now() - since);
  }
  await moreWritten();
  writing = false;
  await writersDone;
  found.acknowledged = taken.length;
  const log = await ask(base, {
    method: 'GET',
    path: `/tray/${camp.ids.sowing}/__data.json`,
    headers: own(base, camp.cookie)
  });
  for (const text of taken) {
    const times = log.text.split(text).length - 1;
    if (times === 0) found.missing += 1;
    if (times > 1) found.doubled += 1;
  }
  return found;
}

export interface Slow {
  clients: number;
  /** Of the others meanwhile: the slowest of a hundred, but for the worst five, ms. */
  othersMs: number;
  /** How many were still held on to when the server should have hung up. */
  left: number;
}

const SLOW_PAUSE_MS = 60;

/** Opens lines that say what they want a letter at a time, and asks beside them as others do, so many times. */
export async function slowClients(base: URL, camp: Camp, clients: number, requests: number): Promise<Slow> {
  let left = clients;
  const sockets = Array.from({ length: clients }, (_, n) => {
    const socket = connect(Number(base.port), base.hostname);
    const words =
      n % 2 === 0
        ? `GET /round HTTP/1.1\r\nHost: ${base.host}\r\nX-Slow: ${'x'.repeat(500)}`
        : `POST /api/events HTTP/1.1\r\nHost: ${base.host}\r\nCookie: ${camp.cookie}\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n{`;
    // Half of them dribble their headers, half their body.
    let at = n % 2 === 0 ? 0 : words.length;
    if (n % 2 === 1) socket.write(words);
    const drip = setInterval(() => socket.write(words[at++] ?? ' '), 500);
    socket.on('error', () => {});
    socket.on('close', () => {
      clearInterval(drip);
      left -= 1;
    });
    socket.resume();
    return socket;
  });
  const times: number[] = [];
  while (times.length < requests) {
    const came = await ask(base, { method: 'GET', path: '/api/bench', headers: own(base, camp.cookie) });
    times.push(came.status === 200 ? came.ms : Infinity);
    await pause(SLOW_PAUSE_MS);
  }
  times.sort((a, b) => a - b);
  const stayed = left;
  for (const socket of sockets) socket.destroy();
  return { clients, othersMs: times[Math.floor(times.length * 0.95)] ?? Infinity, left: stayed };
}

/** What a process holds in memory, MB. */
export const memoryMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? NaN) / 1024;

export interface Memory {
  asked: number;
  /** In the middle of each quarter of the time, MB. */
  quarters: number[];
}

/** Asks for pages and data without pause, so many times, and looks at what the server holds. */
export async function memory(base: URL, camp: Camp, pid: () => number, requests: number): Promise<Memory> {
  const paths = ['/round', '/round/__data.json', '/shelf', '/api/bench', '/sow', `/tray/${camp.ids.sowing}`];
  const held: number[] = [];
  const all = Array.from({ length: requests }, (_, n) => n);
  await inParallel(all, 4, async (n) => {
    await ask(base, { method: 'GET', path: paths[n % paths.length]!, headers: own(base, camp.cookie) });
    if (n % Math.ceil(requests / 60) === 0) held.push(memoryMb(pid()));
  });
  const quarter = Math.floor(held.length / 4);
  const middle = (values: number[]) =>
    [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
  return {
    asked: all.length,
    quarters: [0, 1, 2, 3].map((n) => middle(held.slice(n * quarter, (n + 1) * quarter)))
  };
}
