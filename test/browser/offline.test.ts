import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { chromium, type BrowserContext, type Page } from 'playwright-core';
import postgres from 'postgres';
import { PHONE, setStage, toMore, type Stage } from '../support/browser.ts';
import { until } from '../support/started.ts';
import { SHOWN_MS } from '../support/patience.ts';

describe('without a network', () => {
  let stage: Stage;
  let sql: postgres.Sql;
  const folder = mkdtempSync(join(tmpdir(), 'brote-phone-'));
  let phone: BrowserContext;

  /** The same phone, its browser opened anew. */
  const unlock = async (): Promise<Page> => {
    phone = await chromium.launchPersistentContext(folder, {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
      locale: 'en-GB',
      reducedMotion: 'reduce',
      permissions: ['notifications'],
      ...PHONE
    });
    const page = phone.pages()[0] ?? (await phone.newPage());
    page.setDefaultTimeout(SHOWN_MS);
    return page;
  };
  const ready = (page: Page) =>
    page.evaluate(async () => {
      await navigator.serviceWorker.ready;
      const pages = await caches.open('pages');
      for (;;) {
        const kept = (await pages.keys()).map(({ url }) => new URL(url).pathname);
        // Each as a page, and as what a page that is open already asks for.
        const views = ['/round', '/bench', '/shelf'].flatMap((path) => [path, `${path}/__data.json`]);
        if (views.every((path) => kept.includes(path))) return kept;
        await new Promise((resolve) => requestAnimationFrame(resolve));
      }
    });
  const kept = (page: Page, path: string) =>
    page.evaluate(async (wanted) => {
      const pages = await caches.open('pages');
      while (!(await pages.match(`${wanted}/__data.json`)))
        await new Promise((resolve) => requestAnimationFrame(resolve));
    }, path);
  const events = async (): Promise<number> => Number((await sql`select count(*) from events`)[0]!.count);

  before(async () => {
    stage = await setStage(true);
    sql = postgres(process.env.BROTE_TEST_ADMIN_URL + new URL(process.env.BROTE_APP_URL!).pathname, {
      max: 1
    });
  });
  after(async () => {
    await phone?.close();
    await sql.end();
    await stage.close();
    rmSync(folder, { recursive: true, force: true });
  });

  it('shows the round that was loaded, keeps what is touched through a closed browser, and sends it once', async () => {
    let page = await unlock();
    await page.goto(`${stage.url}round`);
    // The first visit is enough, for its trays as well.
    await ready(page);
    const tray = page.locator('article.stop h3 a').first();
    const trayName = await tray.innerText();
    await kept(page, `${await tray.getAttribute('href')}/look`);
    const before = await events();
    await stage.away();
    await page.reload();
    await page.getByRole('status').filter({ hasText: 'Offline. Showing data' }).waitFor();
    const tick = page.locator('button.tick').first();
    await tick.click();
    await page.getByText(/Offline: 1 change is waiting/).waitFor();
    await page.goto(`${stage.url}${(await tray.getAttribute('href'))!.slice(1)}`);
    await page.getByRole('heading', { level: 1, name: trayName }).waitFor();
    await page.goto(`${page.url()}/look`);
    await page.getByRole('heading', { level: 1, name: 'What do you see?' }).waitFor();

    await phone.close();
    page = await unlock();
    await page.goto(`${stage.url}round`);
    await page.getByText(/Offline: 1 change is waiting/).waitFor();
    // Other views as well, from the bar below.
    await toMore(page, 'Bench');
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.getByRole('link', { name: 'Shelf' }).click();
    await page.getByRole('heading', { name: 'Shelf', level: 1 }).waitFor();

    await stage.back();
    await page.getByRole('button', { name: 'Try now' }).click();
    expect(await until(events, (many) => many > before)).to.be.greaterThan(before);
    const sent = await events();
    await page.getByText(/waiting to be sent/).waitFor({ state: 'detached' });
    await phone.close();
    page = await unlock();
    await page.goto(`${stage.url}round`, { waitUntil: 'networkidle' });
    expect(await events()).to.equal(sent);
  });

  it('says of a page that was never opened what there is instead', async () => {
    const page = phone.pages()[0]!;
    await ready(page);
    await stage.away();
    await page.goto(`${stage.url}tray/00000000-0000-4000-8000-000000000000`);
    await page.getByRole('heading', { name: 'You’re offline' }).waitFor();
    await page.getByRole('link', { name: 'Open the round' }).click();
    await page.getByRole('heading', { name: /round, \d/ }).waitFor();
    await stage.back();
  });

  it('shows what is pushed, and a second one of the same in its place', async () => {
    const page = phone.pages()[0]!;
    await page.goto(`${stage.url}round`);
    const cdp = await phone.newCDPSession(page);
    const registered = new Promise<string>((resolve) =>
      cdp.on('ServiceWorker.workerRegistrationUpdated', ({ registrations }) => {
        const [one] = registrations;
        if (one) resolve(one.registrationId);
      })
    );
    await cdp.send('ServiceWorker.enable');
    const registrationId = await registered;
    // What is pushed before a worker is at work is lost, and a browser under load takes its time.
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    const shown = () =>
      page.evaluate(async () => {
        const registration = await navigator.serviceWorker.ready;
        const all = await registration.getNotifications();
        return all.map(({ title, body, tag }) => ({ title, body, tag }));
      });
    const payload = {
      id: 'one',
      title: 'Round of 07:30',
      body: '1 tray needs you: mist kale',
      path: '/round'
    };
    const push = () =>
      cdp.send('ServiceWorker.deliverPushMessage', {
        origin: new URL(stage.url).origin,
        registrationId,
        data: JSON.stringify(payload)
      });
    await push();
    const found = await until(
      async () => {
        await push();
        return shown();
      },
      (all) => all.length > 0
    );
    expect(found).to.deep.equal([{ title: payload.title, body: payload.body, tag: 'one' }]);
  });

  it('leaves nothing of the household on a device that was signed out', async () => {
    const page = phone.pages()[0]!;
    await page.goto(`${stage.url}round`);
    await ready(page);
    const status = await page.evaluate(async () => {
      const answer = await fetch('/sign-out', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: '{}'
      });
      return answer.status;
    });
    expect(status).to.equal(200);
    const left = await until(
      () => page.evaluate(async () => (await (await caches.open('pages')).keys()).length),
      (many) => many === 0
    );
    expect(left).to.equal(0);
  });
});
