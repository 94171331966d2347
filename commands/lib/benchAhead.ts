import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { chromium } from 'playwright-core';
import { compare } from '../../test/support/halfYear.ts';
import { largeHousehold } from '../../test/support/households.ts';
import { columnsOf, modelOf, planOf } from '../../test/support/model.ts';
import { smallCase } from '../../test/support/smallCases.ts';
import { SMALL_OPTIMA } from '../../test/support/smallOptima.ts';
import { solve } from '../../test/support/solver.ts';
import { twelveCrops } from '../../test/support/ahead.ts';
import { buildProblem } from '../../src/core/ahead/build.ts';
import { eat } from '../../src/core/ahead/eat.ts';
import { greedy, planAtOnce } from '../../src/core/ahead/greedy.ts';
import { standsNow } from '../../src/core/ahead/problem.ts';
import { reworked } from '../../src/core/ahead/reworked.ts';
import { NO_WISH } from '../../src/core/ahead/variety.ts';
import { saveAppetite } from '../../src/server/ahead/appetite.ts';
import { closeDb, inHousehold } from '../../src/server/db/connection.ts';
import { seedDemo } from '../../src/server/demo/seedDemo.ts';
import type { PlannerMessage } from '../../src/ui/ahead/planning.ts';
import { median } from './benchCore.ts';
import { startCluster } from './cluster.ts';
import { dataFolder } from './dataFolder.ts';
import { ensureDatabase } from './database.ts';
import { ensureChromium, ensurePostgres } from './packages.ts';
import { say } from './say.ts';
import { serve } from './web.ts';

/** So long a solver looks for the best, s. */
const BOUND_S = 10;

/** The weeks ahead: how soon there is a plan, how near it is to the best, and what half a year comes to by it. */
export async function weeksAhead(): Promise<void> {
  const input = twelveCrops();
  const times: { build: number; atOnce: number }[] = [];
  for (let n = 0; n < 7; n += 1) {
    const began = performance.now();
    const { problem } = buildProblem(input);
    const built = performance.now();
    planAtOnce(problem);
    times.push({ build: built - began, atOnce: performance.now() - began });
  }
  const mid = (of: 'build' | 'atOnce') => median(times.map((one) => one[of]));
  const { problem } = buildProblem(input);
  say(
    `Eight weeks, ${problem.crops.length} crops, 3 places, 12 containers, ${problem.starts.length} starts: first plan in ${mid('atOnce').toFixed(0)} ms, ${mid('build').toFixed(0)} of them forecasts (at most 150)`
  );
  await smallHouseholds();
  await largeHouseholds();
  const half = compare(20, 100);
  for (const [policy, { shortDays, thrownG, trays, hours }] of Object.entries(half))
    say(
      `  26 weeks of 20 households by ${policy}: ${shortDays.toFixed(1)} short days, ${thrownG.toFixed(0)} g thrown, ${trays.toFixed(0)} trays, ${hours.toFixed(0)} hours`
    );
  const fewer = (of: 'shortDays' | 'thrownG') => (1 - half.ahead[of] / half.sundays[of]) * 100;
  say(
    `  By the plan ${fewer('shortDays').toFixed(0)} % fewer short days than on Sundays by the book (at least 60), ${fewer('thrownG').toFixed(0)} % less thrown (at least 50)`
  );
}

const share = (costG: number, boundG: number, standsG: number): number =>
  (costG - boundG) / Math.max(1, standsG - boundG);
const percent = (of: number): string => `${(of * 100).toFixed(2)} %`;

/** A hundred small households, each solved to the end. */
async function smallHouseholds(): Promise<void> {
  const left: number[] = [];
  for (const seed of Object.keys(SMALL_OPTIMA).map(Number)) {
    const problem = smallCase(seed);
    const { progress } = await solve(modelOf(problem));
    if (Math.abs(progress.boundG - SMALL_OPTIMA[seed]!) > 0.02)
      throw new Error(`The best of small case ${seed} is ${progress.boundG}.`);
    const standsG = eat(problem, standsNow(problem)).costG;
    left.push(share(reworked(problem, greedy(problem)).outcome.costG, progress.boundG, standsG));
  }
  say(
    `  ${left.length} small households: of what could be mended the plan leaves ${percent(median(left))} in the middle, ${percent(Math.max(...left))} at most (1 and 5 % are meant)`
  );
}

/** Twenty large households: what a solver would gain on their plans, and how near the first five are to its bound. */
async function largeHouseholds(): Promise<void> {
  const gains: number[] = [];
  const left: number[] = [];
  let seconds = 0;
  for (let seed = 1; seed <= 20; seed += 1) {
    const { problem } = buildProblem(largeHousehold(seed));
    const began = performance.now();
    const plan = reworked(problem, greedy(problem));
    seconds += (performance.now() - began) / 1000;
    const solved = await solve(modelOf(problem), { seconds: BOUND_S, from: columnsOf(problem, plan) });
    const bestG = Math.min(plan.outcome.costG, planOf(problem, solved.columns).outcome.costG);
    const standsG = eat(problem, standsNow(problem)).costG;
    gains.push(share(plan.outcome.costG, bestG, standsG));
    left.push(share(plan.outcome.costG, solved.progress.boundG, standsG));
  }
  const mean = gains.reduce((sum, one) => sum + one, 0) / gains.length;
  say(
    `  20 large households, ${(seconds / 20).toFixed(1)} s each: a solver gains ${percent(mean)} of what could be mended on average in ${BOUND_S} s, ${percent(Math.max(...gains))} at most (under 2 % it is not worth its 3.5 MB in a page); over its bound are ${left.slice(0, 5).map(percent).join(', ')} (6 % are meant), in the middle of all ${percent(median(left))}`
  );
}

/** In the page: notes when the planner tells something, how long keys took, and how long its tasks are. As text, for what compiles it here is not there. */
const LISTENS = `
  window.heard = [];
  window.inputs = [];
  window.tasks = [];
  let asked = 0;
  window.Worker = class extends Worker {
    constructor(at, options) {
      super(at, options);
      this.addEventListener('message', ({ data }) => heard.push({ at: performance.now() - asked, kind: data.kind }));
    }
    postMessage(message) {
      asked = performance.now();
      super.postMessage(message);
    }
  };
  new PerformanceObserver((list) => {
    for (const { name, duration } of list.getEntries()) if (name === 'keydown') inputs.push(duration);
  }).observe({ type: 'event', durationThreshold: 16, buffered: true });
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) tasks.push(duration);
  }).observe({ type: 'longtask', buffered: true });
`;

/** What of it is asked for there. */
interface Listening {
  heard: { at: number; kind: PlannerMessage['kind'] }[];
  inputs: number[];
  tasks: number[];
}

/** The processor of a page is slowed so many times, as of a cheap phone. */
const SLOWED = 4;
const KEYS = 8;

/** The demo's weeks planned in a browser whose processor is slowed: how soon, and whether the page answers keys meanwhile. */
export async function planInPage(): Promise<void> {
  const cluster = await startCluster(ensurePostgres(), dataFolder('test'), false);
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run']
  });
  try {
    const database = await ensureDatabase(cluster.adminUrl, 'brote_bench', dataFolder('test'), true);
    process.env.BROTE_APP_URL = database.appUrl;
    process.env.BROTE_DEMO = '1';
    const id = await seedDemo(Date.now(), database.ownerUrl);
    const eaters = [
      {
        id: randomUUID(),
        name: 'All of us',
        gByWeekday: Array.from({ length: 7 }, () => 60),
        liked: [],
        disliked: []
      }
    ];
    await inHousehold(id, (tx) =>
      saveAppetite(tx, id, { eaters, tastes: [], variety: NO_WISH, daysOff: [] })
    );
    const { url, server } = await serve('127.0.0.1', 0);
    const page = await browser.newPage();
    await page.addInitScript(LISTENS);
    await page.goto(`${url}round`);
    await page.goto(`${url}ahead`);
    await page.locator('html[data-hydrated]').waitFor({ state: 'attached' });
    const devtools = await page.context().newCDPSession(page);
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    // What mends what stands comes first, as it does for whoever looks before they ask.
    await page.waitForFunction(() => (window as unknown as Listening).heard.length > 0);
    const listening = () =>
      page.evaluate(() => {
        const { heard, inputs, tasks } = window as unknown as Listening;
        return { heard, inputs, tasks };
      });
    const afresh = () =>
      page.evaluate(() => {
        const { heard, inputs, tasks } = window as unknown as Listening;
        for (const list of [heard, inputs, tasks]) list.length = 0;
      });
    await afresh();
    await page.getByRole('button', { name: 'Propose eight weeks' }).click();
    while (!(await listening()).heard.some(({ kind }) => kind === 'done')) {
      await page.keyboard.press('Tab');
      await pause(200);
    }
    const planned = await listening();
    await page.getByRole('button', { name: 'Put it away' }).click();
    await page
      .getByRole('button', { name: /on the list: begins.*arrows move/ })
      .first()
      .focus();
    await afresh();
    for (let key = 0; key < KEYS; key += 1) {
      await page.keyboard.press(key % 2 === 0 ? 'ArrowRight' : 'ArrowLeft');
      await pause(300);
    }
    const { inputs } = await listening();
    server.close();
    server.closeAllConnections();
    const most = (all: readonly number[]): string => Math.max(16, ...all).toFixed(0);
    const done = planned.heard.find(({ kind }) => kind === 'done')!;
    say(
      `The demo's weeks planned in a page whose processor is slowed ${SLOWED} times: first plan ${planned.heard[0]!.at.toFixed(0)} ms after it was asked, the last after ${(done.at / 1000).toFixed(1)} s; the longest task of the page meanwhile ${most(planned.tasks)} ms (at most 200); an arrow key that moves a sowing is drawn within ${most(inputs)} ms (at most 100)`
    );
  } finally {
    await browser.close();
    closeDb();
    cluster.stop();
  }
}
