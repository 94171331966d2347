import { fork } from 'node:child_process';
import type { Server, ServerResponse } from 'node:http';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import postgres from 'postgres';
import { study, type Told } from '../../test/world/study.ts';
import { closeDb, inHousehold } from '../../src/server/db/connection.ts';
import { rebuild } from '../../src/server/app/rebuild.ts';
import { seedDemo } from '../../src/server/demo/seedDemo.ts';
import { SESSION_COOKIE, startSession } from '../../src/server/sessions/sessions.ts';
import { planInPage, weeksAhead } from './benchAhead.ts';
import { coreFigures, median } from './benchCore.ts';
import { backupFigures, fillNotebook, packageFigures } from './benchNotebook.ts';
import { reminderFigures } from './benchReminders.ts';
import { firstViews } from './benchView.ts';
import { startCluster } from './cluster.ts';
import { dataFolder } from './dataFolder.ts';
import { ensureDatabase } from './database.ts';
import { ensurePostgres } from './packages.ts';
import { say } from './say.ts';
import { serve } from './web.ts';

/** One request, and how long the server was at it, from its first byte in to its last byte out, in ms. */
async function serverTime(
  server: Server,
  url: string,
  init: RequestInit & { headers: Record<string, string> }
): Promise<number> {
  const taken = new Promise<number>((resolve) => {
    server.prependOnceListener('request', (_request, response: ServerResponse) => {
      const start = performance.now();
      response.once('finish', () => resolve(performance.now() - start));
    });
  });
  const answer = await fetch(url, init);
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${url} answered ${answer.status}`);
  return taken;
}

async function serverTimes(): Promise<void> {
  const folder = dataFolder('test');
  const cluster = await startCluster(ensurePostgres(), folder, false);
  try {
    const database = await ensureDatabase(cluster.adminUrl, 'brote_bench', folder, true);
    process.env.BROTE_APP_URL = database.appUrl;
    const id = await seedDemo(Date.now(), database.ownerUrl);
    await fillToTwelve(id);
    const cookie = `${SESSION_COOKIE}=${await startSession(id, 'Nela')}`;
    const { url, server } = await serve('127.0.0.1', 0);
    const trays = await inHousehold(
      id,
      (tx) =>
        tx<{ id: string }[]>`select id from sowings where ended_at is null and sow_at < now() order by id`
    );
    const gets = { least: `${url}api/ping`, data: `${url}round/__data.json`, page: `${url}round` };
    const times = {
      least: [] as number[],
      data: [] as number[],
      page: [] as number[],
      touch: [] as number[]
    };
    /** A touch at the shelf: how damp it is. */
    const touch = (run: number) =>
      serverTime(server, `${url}api/events`, {
        method: 'POST',
        headers: { cookie, origin: new URL(url).origin, 'content-type': 'application/json' },
        body: JSON.stringify({
          events: [
            {
              id: randomUUID(),
              sowingId: trays[run % trays.length]!.id,
              at: Date.now(),
              body: { type: 'felt', moisture: 'right' }
            }
          ]
        })
      });
    // In turn, so that a slow moment of the machine falls on all alike; the first hundred warm it up.
    for (let run = 0; run < 400; run += 1)
      for (const name of ['least', 'data', 'page'] as const) {
        const ms = await serverTime(server, gets[name], { headers: { cookie } });
        if (run >= 100) times[name].push(ms);
      }
    // Afterwards, for it makes the logs longer than a household does.
    for (let run = 0; run < 240; run += 1) {
      const ms = await touch(run);
      if (run >= 60) times.touch.push(ms);
    }
    server.close();
    server.closeAllConnections();
    const [least, data, page, touched] = [times.least, times.data, times.page, times.touch].map(median) as [
      number,
      number,
      number,
      number
    ];
    say(
      `Round, 12 trays, medians of 300: select 1 ${least.toFixed(2)} ms; round's data ${data.toFixed(2)} ms, ${(data / least).toFixed(2)} times; whole page drawn ${page.toFixed(2)} ms, ${(page / least).toFixed(2)} times (at most 2.5)`
    );
    say(
      `A touch to settled, in one request: ${touched.toFixed(2)} ms, ${(touched / least).toFixed(2)} times select 1 (at most 4)`
    );
  } finally {
    closeDb();
    cluster.stop();
  }
}

/** Copies trays of the demo, with all that happened to them, until twelve are under way. */
async function fillToTwelve(householdId: string): Promise<void> {
  await inHousehold(householdId, async (tx) => {
    const standing = await tx<{ id: string }[]>`select id from sowings where ended_at is null order by id`;
    const rows = standing.slice(0, Math.max(0, 12 - standing.length));
    for (const { id } of rows) {
      const copy = randomUUID();
      await tx`insert into sowings (household_id, id, crop_key, container_id, count, medium, method_key, place_id, seeds_per_cm2,
          germination_pct, seed_g, soak_start_at, soak_end_at, sow_at, created_at, created_by)
        select household_id, ${copy}::uuid, crop_key, container_id, count, medium, method_key, place_id, seeds_per_cm2,
          germination_pct, seed_g, soak_start_at, soak_end_at, sow_at, created_at, created_by from sowings where id = ${id}`;
      await tx`insert into events (household_id, id, sowing_id, member_id, type, at, task_key, body)
        select household_id, gen_random_uuid(), ${copy}::uuid, member_id, type, at, task_key, body from events where sowing_id = ${id}`;
    }
  });
}

/** What a notebook of years costs: its first page, a search, a sort and the weeks ahead, with the demo's sowings and with 2,000; and the whole of it taken out. */
async function notebook(): Promise<void> {
  const folder = dataFolder('test');
  const bin = ensurePostgres();
  const cluster = await startCluster(bin, folder, false);
  try {
    const database = await ensureDatabase(cluster.adminUrl, 'brote', folder, true);
    process.env.BROTE_APP_URL = database.appUrl;
    const id = await seedDemo(Date.now(), database.ownerUrl);
    await backupFigures(bin, cluster.adminUrl);
    closeDb();
    const few = await notebookTimes(id, database.ownerUrl);
    closeDb();
    await fillNotebook(id, 2000);
    await inHousehold(id, (tx) => rebuild(tx), 600_000);
    const many = await notebookTimes(id, database.ownerUrl);
    const of = (name: keyof typeof many) =>
      `${many[name].toFixed(2)} ms, ${(many[name] / few[name]).toFixed(2)} times`;
    say(
      `2000 more sowings, against the demo's alone (each at most 3 times; select 1 ${many.least.toFixed(2)} ms): the notebook's first page ${of('first')}, drawn ${of('page')}; search ${of('search')}; sorted ${of('sort')}; the weeks ahead ${of('ahead')}`
    );
    await packageFigures(id);
  } finally {
    closeDb();
    cluster.stop();
  }
}

const NOTEBOOK_VIEWS = {
  least: 'api/ping',
  first: 'notebook/__data.json',
  page: 'notebook',
  search: 'notebook/__data.json?text=radish+sill',
  sort: 'notebook/__data.json?sort=perArea',
  ahead: 'ahead/__data.json'
};

/** The median time in ms of each view, asked for in turn. */
async function notebookTimes(
  householdId: string,
  ownerUrl: string
): Promise<Record<keyof typeof NOTEBOOK_VIEWS, number>> {
  // As the database does by itself once so much was written.
  const owner = postgres(ownerUrl, { max: 1, onnotice: () => {} });
  await owner`vacuum analyze`;
  await owner.end();
  const cookie = `${SESSION_COOKIE}=${await startSession(householdId, 'Nela')}`;
  const { url, server } = await serve('127.0.0.1', 0);
  const names = Object.keys(NOTEBOOK_VIEWS) as (keyof typeof NOTEBOOK_VIEWS)[];
  const times = Object.fromEntries(names.map((name) => [name, [] as number[]])) as Record<
    keyof typeof NOTEBOOK_VIEWS,
    number[]
  >;
  for (let run = 0; run < 200; run += 1)
    for (const name of names) {
      const ms = await serverTime(server, `${url}${NOTEBOOK_VIEWS[name]}`, { headers: { cookie } });
      if (run >= 40) times[name].push(ms);
    }
  server.close();
  server.closeAllConnections();
  return Object.fromEntries(names.map((name) => [name, median(times[name])])) as Record<
    keyof typeof NOTEBOOK_VIEWS,
    number
  >;
}

/** What was said of trays in a world that shares none of the forecast's laws, and what came. */
function studyHouseholds(): void {
  const found = study(300, 3, { ten: 100 });
  const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
  const line = (name: string, told: Told) =>
    say(
      `  ${name}: ${told.trays} trays; median error ${percent(told.error)} of the days, ${percent(told.covered)} within the range, bias ${percent(told.bias)}; dried out ${percent(told.dried)}, drowned ${percent(told.drowned)}; ${told.givenL.toFixed(0)} L given, ${told.lostL.toFixed(0)} L lost; false among cards that said ready ${percent(told.falseReady)} (looked at twice or more ${percent(told.falseReadyLooked)}), late ${percent(told.falseLate)}`
    );
  say(
    `${found.households} households of a world of other laws (Penman and Monteith's evaporation, straight lines of warmth, leaves that spread, mould and clinging shells), four trays each. By habit of tapping, from the second tray on:`
  );
  for (const [name, told] of Object.entries(found.byHabit)) line(name, told);
  say('First trays, and those after them:');
  for (const told of [found.first, found.later])
    say(
      `  median error ${percent(told.error)} of the days; by a packet's day count ${percent(told.packetError)}`
    );
  say('By crop group, where nothing was said against it when it was planned:');
  for (const [name, told] of Object.entries(found.byGroup)) line(name, told);
  say('The tenth and eleventh tray of radish, by habit:');
  for (const [name, told] of Object.entries(found.afterTen)) line(name, told);
  say('By the worst that was said of mould before any was seen:');
  for (const [name, { trays, moulded, lostToMould, clung }] of Object.entries(found.byMould))
    say(
      `  ${name}: ${trays} trays; showed mould ${percent(moulded)}, lost to it ${percent(lostToMould)}; shells clung to ${percent(clung)}`
    );
  say('By medium, where nothing was said against it when it was planned:');
  for (const [name, told] of Object.entries(found.byMedium)) line(name, told);
  line('where it was said that it would dry out, and sown all the same', found.refused);
}

/** A morning's reminders among a hundred thousand households. */
async function reminders(): Promise<void> {
  const folder = dataFolder('test');
  const cluster = await startCluster(ensurePostgres(), folder, false);
  try {
    const database = await ensureDatabase(cluster.adminUrl, 'brote_bench', folder, true);
    process.env.BROTE_APP_URL = database.appUrl;
    await reminderFigures(database, () => Promise.all([judgeApart(), judgeApart()]));
  } finally {
    closeDb();
    cluster.stop();
  }
}

/** Another process that judges what is due until nothing is. @returns how many it judged */
const judgeApart = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const child = fork(join(import.meta.dirname, 'benchWorker.js'), {
      stdio: ['ignore', 'inherit', 'inherit', 'ipc']
    });
    child.once('message', (judged) => resolve(Number(judged)));
    child.once('exit', (code) => reject(new Error(`It ended with ${code} and said nothing.`)));
  });

const PARTS = {
  core: coreFigures,
  households: studyHouseholds,
  ahead: weeksAhead,
  page: planInPage,
  round: serverTimes,
  notebook,
  view: firstViews,
  reminders
};

/**
 * Measures parts of Brote and says what it finds.
 * @param named of which; all of them where none is named
 * @throws Error for a name that no part has
 */
export async function bench(named: readonly string[]): Promise<void> {
  for (const name of named)
    if (!(name in PARTS))
      throw new Error(`There is no part "${name}". Name any of: ${Object.keys(PARTS).join(', ')}.`);
  for (const [name, part] of Object.entries(PARTS))
    if (named.length === 0 || named.includes(name)) await part();
}
