import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Server } from 'node:http';
import { chromium, type Browser, type BrowserContext, type Locator, type Page } from 'playwright-core';
import { expect } from 'chai';
import { serve } from '../../commands/lib/web.ts';
import { seedDemo } from '../../src/server/demo/seedDemo.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { moveClock } from '../../src/server/households/household.ts';
import { filledDatabase, freshDatabase, type TestDatabase } from './database.ts';
import { SHOWN_MS } from './patience.ts';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** The demo's clock in tests, whatever the hour they run at: a winter morning, 10:40 in its household. */
const MORNING = Date.parse('2027-01-12T09:40Z');

async function demoDatabase(now: number): Promise<TestDatabase> {
  const database = await filledDatabase('demo', (ownerUrl) => seedDemo(now, ownerUrl));
  await inHousehold(database.told, (tx) => moveClock(tx, now - Date.now()));
  return database;
}

/** The built application with a browser before it. */
export interface Stage {
  url: string;
  browser: Browser;
  /** A page of its own session, which fails the test on any script error, refused style or foreign request. */
  page(options?: Parameters<Browser['newContext']>[0]): Promise<Page>;
  /** Takes the server away, and brings it back at the same address: as for a phone that walks out of reach. */
  away(): Promise<void>;
  back(): Promise<void>;
  /** @param allowed what the browser may complain of besides: what a test answered itself */
  close(options?: { allowed?: RegExp }): Promise<void>;
}

export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
export const DESK = { viewport: { width: 1280, height: 800 } };

/** @param demo whether the server lets anyone into its demo, as `npm run demo` does */
export async function setStage(demo: boolean): Promise<Stage> {
  const database = demo ? await demoDatabase(MORNING) : await freshDatabase();
  process.env.BROTE_DEMO = demo ? '1' : '';
  process.env.BROTE_OPEN = '1';
  const served = await serve('127.0.0.1', 0);
  const { url } = served;
  let { server } = served;
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-component-update',
      '--no-first-run'
    ]
  });
  const contexts: BrowserContext[] = [];
  const troubles: string[] = [];
  return {
    url,
    browser,
    async page(options = DESK) {
      const context = await browser.newContext({
        locale: 'en-GB',
        timezoneId: 'Europe/Madrid',
        reducedMotion: 'reduce',
        // What it keeps for a day without a network is tried by itself; every other test is spared its start.
        serviceWorkers: 'block',
        ...options
      });
      contexts.push(context);
      const page = await context.newPage();
      page.setDefaultTimeout(SHOWN_MS);
      page.on('pageerror', (error) => troubles.push(`script: ${error.message}`));
      page.on('console', (message) => {
        if (message.type() === 'error' && !/status of 4\d\d|ERR_INTERNET_DISCONNECTED/.test(message.text()))
          troubles.push(`console: ${message.text()}`);
      });
      page.on('request', (request) => {
        if (!request.url().startsWith(url) && !request.url().startsWith('data:'))
          troubles.push(`left the machine: ${request.url()}`);
      });
      return page;
    },
    away: () => stop(server),
    async back() {
      ({ server } = await serve('127.0.0.1', Number(new URL(url).port)));
    },
    async close({ allowed } = {}) {
      for (const context of contexts) await context.close();
      await browser.close();
      await stop(server);
      await database.drop();
      expect(troubles.filter((one) => !allowed?.test(one))).to.deep.equal([]);
    }
  };
}

function stop(server: Server): Promise<void> {
  return new Promise((resolve) => {
    server.close(() => resolve());
    server.closeAllConnections();
  });
}

/** Goes to a page and waits until its scripts have taken over. */
export async function open(page: Page, stage: Stage, path: string): Promise<void> {
  await page.goto(stage.url + path.slice(1), { waitUntil: 'domcontentloaded' });
  await scripted(page);
}

/** Waits until the page that was last loaded answers to its scripts: before, a press is a form sent the plain way. */
export async function scripted(page: Page): Promise<void> {
  await page.locator('html[data-hydrated]').waitFor({ state: 'attached' });
}

/** Loads the page again, as somebody does who mistrusts it. */
export async function reload(page: Page): Promise<void> {
  await page.reload({ waitUntil: 'domcontentloaded' });
  await scripted(page);
}

/** Chooses by its name what to sow, in place of what was chosen before. */
export async function chooseCrop(page: Page, name: string): Promise<void> {
  const other = page.getByRole('button', { name: 'Another crop' });
  if (await other.isVisible()) await other.click();
  await page.getByRole('searchbox', { name: 'Find a crop' }).fill(name);
  await page
    .getByRole('link', { name: new RegExp(`^${name}\\b`) })
    .first()
    .click();
  await other.waitFor();
}

/** Unfolds the size of a container that is not among those to choose from. */
export async function typeSize(page: Page): Promise<void> {
  const folded = page.locator('details:not([open]) > summary', { hasText: 'Another size or shape' });
  if (await folded.isVisible()) await folded.click();
}

/** Presses a button that moves the demo's clock, which a phone keeps folded. */
export async function moveOn(page: Page, by: '+6 h' | '+1 day' | 'Next round'): Promise<void> {
  const clock = page.getByLabel('The demo’s clock');
  const folded = clock.getByRole('button', { name: 'Move on', expanded: false });
  if (await folded.isVisible()) await folded.click();
  await clock.getByRole('button', { name: by, exact: true }).click();
}

/** Goes to a view that a phone keeps behind “More”. */
export async function toMore(page: Page, view: string): Promise<void> {
  const views = page.getByRole('navigation', { name: 'Views' });
  await views.getByRole('button', { name: 'More' }).click();
  await views.getByRole('link', { name: view }).click();
}

/** Does what records something, and waits until the server has answered and the page shows what it said. */
export async function recorded(page: Page, touch: () => Promise<void>): Promise<void> {
  const answer = page.waitForResponse('**/api/events');
  await touch();
  await answer;
  await settled(page);
}

/** Waits until the page shows what the server said of all that was touched. */
export async function settled(page: Page): Promise<void> {
  await page.locator('[aria-busy="true"]').waitFor({ state: 'detached' });
}

/** Waits until so many of these are there, no more and no fewer: for what comes and goes by an answer under way. */
export async function shows(these: Locator, many: number): Promise<void> {
  if (many > 0) await these.nth(many - 1).waitFor({ state: 'attached' });
  await these.nth(many).waitFor({ state: 'detached' });
}

/** Fails on what axe finds moderate, serious or critical on the page as it stands. */
export async function expectAccessible(page: Page): Promise<void> {
  // Run in the page's own world would be refused by its policy; an isolated evaluation is not.
  await page.evaluate(axeSource);
  const found = await page.evaluate(async () => {
    const axe = (
      globalThis as unknown as {
        axe: {
          run(
            options: object
          ): Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }>;
        };
      }
    ).axe;
    const { violations } = await axe.run({ resultTypes: ['violations'] });
    return violations
      .filter(({ impact }) => impact !== 'minor')
      .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`);
  });
  expect(found).to.deep.equal([]);
}

/** Fails where the page is wider than the screen, or a thing to touch is smaller than 44 px. */
export async function expectFitsThumb(page: Page): Promise<void> {
  const { over, small } = await page.evaluate(() => ({
    over: document.documentElement.scrollWidth - window.innerWidth,
    small: [
      ...document.querySelectorAll<HTMLElement>('main button, main .tick, nav a, main input, main select')
    ]
      .filter(
        (element) =>
          element.offsetParent !== null &&
          element.getAttribute('type') !== 'radio' &&
          !element.closest('label') &&
          // Of a file field its button is what is pressed.
          !element.matches('[type=file].bx--visually-hidden')
      )
      .map((element) => ({ box: element.getBoundingClientRect(), html: element.outerHTML.slice(0, 90) }))
      .filter(({ box }) => box.height < 43.5)
      .map(({ html, box }) => `${Math.round(box.height)} px: ${html}`)
  }));
  expect(over, 'wider than the screen').to.be.at.most(0);
  expect(small).to.deep.equal([]);
}
