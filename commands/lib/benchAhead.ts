import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { chromium } from 'playwright-core';
import { compare } from '../../test/simulation/ahead.ts';
import { twelveCrops } from '../../test/support/ahead.ts';
import { buildProblem } from '../../src/core/ahead/build.ts';
import { greedy } from '../../src/core/ahead/greedy.ts';
import { columnsOf, modelOf, planOf } from '../../src/core/ahead/model.ts';
import { reworked } from '../../src/core/ahead/reworked.ts';
import { keepAppetite } from '../../src/server/ahead/appetite.ts';
import { aheadData } from '../../src/server/app/aheadData.ts';
import { closeDb, inHousehold } from '../../src/server/db/connection.ts';
import { seedDemo } from '../../src/server/demo/seedDemo.ts';
import { answer, type Told } from '../../src/ui/ahead/planning.ts';
import { solveModel } from '../../src/ui/ahead/solver.ts';
import { startCluster } from './cluster.ts';
import { dataFolder } from './dataFolder.ts';
import { ensureDatabase } from './database.ts';
import { ensureChromium, ensurePostgres } from './packages.ts';
import { say } from './say.ts';
import { serve } from './web.ts';

/** The weeks ahead: how soon there is a plan, how near it is to the best, and what half a year comes to by it. */
export async function weeksAhead(): Promise<void> {
  const input = twelveCrops();
  const times: { build: number; atOnce: number }[] = [];
  for (let n = 0; n < 7; n += 1) {
    const began = performance.now();
    const { problem } = buildProblem(input);
    const built = performance.now();
    greedy(problem, { improved: false });
    times.push({ build: built - began, atOnce: performance.now() - began });
  }
  const mid = (of: 'build' | 'atOnce') => times.map((one) => one[of]).sort((a, b) => a - b)[3]!;
  const { problem } = buildProblem(input);
  const byRule = greedy(problem);
  const reworks = performance.now();
  const plan = reworked(problem, byRule);
  const reworkedMs = performance.now() - reworks;
  const { default: loadHighs } = await import('highs');
  const model = modelOf(problem);
  const solved = solveModel(await loadHighs(), model, {
    seconds: 10 - reworkedMs / 1000,
    gap: 0.005,
    from: columnsOf(problem, plan)
  });
  const best = Math.min(plan.outcome.costG, planOf(problem, solved.columns).outcome.costG);
  const { boundG } = solved.progress;
  say(
    `Eight weeks, ${problem.crops.length} crops, 3 places, 12 containers: first plan in ${mid('atOnce').toFixed(0)} ms, ${mid('build').toFixed(0)} of them forecasts (at most 150); ${model.cost.length} columns, ${model.rows.length} rows; after 10 s within ${((1 - boundG / best) * 100).toFixed(1)} % of the bound (at most 5), by the rule ${((1 - boundG / byRule.outcome.costG) * 100).toFixed(1)} %, tried on after ${(reworkedMs / 1000).toFixed(1)} s ${((1 - boundG / plan.outcome.costG) * 100).toFixed(1)} %`
  );
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

/** When something was told, ms since it was asked, and what. */
interface Heard {
  at: number;
  kind: Told['kind'];
  bound: number | null;
}

/** From when the last plan before the solver was told to the solver's first bound, ms. */
function firstBoundMs(heard: readonly Heard[]): number {
  const bound = heard.find((one) => one.bound !== null)!;
  const plan = heard.findLast(({ kind, at }) => kind === 'proposal' && at < bound.at)!;
  return bound.at - plan.at;
}

const boundOf = (told: Told): number | null =>
  told.kind === 'progress' && Number.isFinite(told.progress.boundG) ? told.progress.boundG : null;

/** In the page: notes what the planner tells, and how long keys took. As text, for what compiles it here is not there. */
const LISTENS = `
  window.heard = [];
  window.inputs = [];
  let asked = 0;
  window.Worker = class extends Worker {
    constructor(at, options) {
      super(at, options);
      this.addEventListener('message', ({ data }) => {
        const bound = data.kind === 'progress' ? data.progress.boundG : NaN;
        heard.push({ at: performance.now() - asked, kind: data.kind, bound: Number.isFinite(bound) ? bound : null });
      });
    }
    postMessage(message) {
      asked = performance.now();
      super.postMessage(message);
    }
  };
  new PerformanceObserver((list) => {
    for (const { name, duration } of list.getEntries()) if (name === 'keydown') inputs.push(duration);
  }).observe({ type: 'event', durationThreshold: 16, buffered: true });
`;

/** What of it is asked for there. */
type Listening = { heard: Heard[]; inputs: number[] };

/**
 * The demo's weeks planned in a browser: how soon, whether the page answers keys meanwhile, and how much slower than the same
 * in this process, by the same code and the same solver.
 */
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
    const eaters = [{ id: randomUUID(), name: 'All of us', gByWeekday: Array.from({ length: 7 }, () => 60) }];
    await inHousehold(id, (tx) => keepAppetite(tx, id, { eaters, tastes: [], daysOff: [] }));
    const { url, server } = await serve('127.0.0.1', 0);
    const page = await browser.newPage();
    await page.addInitScript(LISTENS);
    await page.goto(`${url}round`);
    await page.goto(`${url}ahead`);
    await page.locator('html[data-hydrated]').waitFor({ state: 'attached' });
    const button = page.getByRole('button', { name: 'Propose eight weeks' });
    const isDone = () => (window as unknown as Listening).heard.some(({ kind }) => kind === 'done');
    // What mends what stands comes first, as it does for whoever looks before they ask.
    await page.waitForFunction(() => (window as unknown as Listening).heard.length > 0);
    /** Asks for a plan and waits for the end of it, doing something or nothing meanwhile. */
    const planned = async (meanwhile: () => Promise<unknown>): Promise<Listening> => {
      await page.evaluate(() => {
        const listening = window as unknown as Listening;
        listening.heard.length = 0;
        listening.inputs.length = 0;
      });
      await button.click();
      while (!(await page.evaluate(isDone))) await meanwhile();
      return page.evaluate(() => {
        const { heard, inputs } = window as unknown as Listening;
        return { heard, inputs };
      });
    };
    const { heard } = await planned(() => pause(1000));
    let keys = 0;
    const { inputs } = await planned(() => {
      keys += 1;
      return page.keyboard.press('Tab');
    });
    server.close();
    server.closeAllConnections();

    const data = await inHousehold(id, aheadData);
    const here = await plannedHere(data);
    const [inPage, apart] = [firstBoundMs(heard), firstBoundMs(here)];
    // The browser tells of no input that was answered within 16 ms.
    const slow = inputs.toSorted((a, b) => b - a);
    say(
      `The demo's weeks planned in a page: first plan ${heard[0]!.at.toFixed(0)} ms after it was asked (here ${here[0]!.at.toFixed(0)}); from the plan by rule to the solver's first bound ${inPage.toFixed(0)} ms, here ${apart.toFixed(0)}: ${(inPage / apart).toFixed(2)} times (at most 1.2)`
    );
    say(
      `  ${keys} keys pressed meanwhile: ${slow.length} took the page over 16 ms to answer and paint, ${slow.filter((ms) => ms > 50).length} over 50, the slowest ${(slow[0] ?? 16).toFixed(0)} ms`
    );
  } finally {
    await browser.close();
    closeDb();
    cluster.stop();
  }
}

/** The same planned in this process: the second time, for a worker that has said what mends is warm too. */
async function plannedHere(data: Awaited<ReturnType<typeof aheadData>>): Promise<Heard[]> {
  const { default: loadHighs } = await import('highs');
  await answer(
    { what: 'mend', question: 0, data },
    () => loadHighs(),
    () => {}
  );
  const asked = performance.now();
  const heard: Heard[] = [];
  await answer(
    { what: 'propose', question: 1, data },
    () => loadHighs(),
    (told) => heard.push({ at: performance.now() - asked, kind: told.kind, bound: boundOf(told) })
  );
  return heard;
}
