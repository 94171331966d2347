import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { PHONE, setStage, type Stage } from '../support/browser.ts';
import { until } from '../support/started.ts';

/** What somebody leaves on a device: offline, and to whoever uses it next. */
describe('a device that is handed on', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(false);
  });
  after(() => stage.close({ allowed: /ERR_FAILED|ERR_CONNECTION|503|Failed to fetch/ }));

  const begin = async (page: Page, name: string, member: string) => {
    await page.goto(`${stage.url}welcome`);
    await page.getByLabel('Household').fill(name);
    await page.getByLabel('Your name').fill(member);
    await page.getByLabel('Passphrase', { exact: false }).first().fill('three wet spoons');
    await page.getByRole('button', { name: 'Plan your first sowing' }).click();
    await page.waitForURL('**/sow');
  };
  const device = (): Promise<Page> => stage.page({ ...PHONE, serviceWorkers: 'allow' });
  /** What its worker holds of pages. */
  const copies = (page: Page): Promise<string[]> =>
    page.evaluate(async () =>
      (await (await caches.open('pages')).keys()).map(({ url }) => new URL(url).pathname)
    );
  /** Opened, its views are made ready for a day without a network. */
  const ready = async (page: Page) => {
    await page.goto(`${stage.url}round`);
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    await page.reload();
    await until(
      () => copies(page),
      (all) => ['/round', '/bench', '/shelf'].every((path) => all.includes(path))
    );
  };
  /** What is waiting to be sent, put there as a touch without a network does. */
  const leaveTouch = (page: Page): Promise<void> =>
    page.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const opening = indexedDB.open('brote', 1);
          opening.onerror = () => reject(new Error('no queue'));
          opening.onupgradeneeded = () =>
            opening.result.createObjectStore('queue', { keyPath: ['key', 'id'] });
          opening.onsuccess = () => {
            const tx = opening.result.transaction('queue', 'readwrite');
            tx.objectStore('queue').put({
              key: 'brote.journal.x',
              id: '1',
              shelf: 'aside',
              order: 1,
              what: {}
            });
            tx.oncomplete = () => {
              opening.result.close();
              resolve();
            };
          };
        })
    );
  const touches = (page: Page): Promise<number> =>
    page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const opening = indexedDB.open('brote');
          opening.onsuccess = () => {
            const db = opening.result;
            if (!db.objectStoreNames.contains('queue')) return resolve(0);
            const counting = db.transaction('queue').objectStore('queue').count();
            counting.onsuccess = () => {
              db.close();
              resolve(counting.result);
            };
          };
        })
    );
  /** Without a network no view of an earlier household is there. */
  const offlineShowsNothing = async (page: Page, of: string) => {
    await stage.away();
    for (const path of ['round', 'shelf', 'bench']) {
      await page.goto(`${stage.url}${path}`);
      expect(await page.content(), path).not.to.include(of);
    }
    await stage.back();
  };

  it('holds nothing of a household that was signed out of', async () => {
    const page = await device();
    await begin(page, 'Alder yard', 'Nela');
    await ready(page);
    await leaveTouch(page);
    await page.goto(`${stage.url}household`);
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await page.waitForURL('**/sign-in*');
    await until(
      () => copies(page),
      (all) => all.length === 0
    );
    expect(await touches(page)).to.equal(0);
    await offlineShowsNothing(page, 'Alder yard');
    await page.context().close();
  });

  it('holds nothing of a household once another one is begun or signed in to', async () => {
    const page = await device();
    await begin(page, 'Birch yard', 'Ivo');
    await ready(page);
    await leaveTouch(page);
    await page.context().clearCookies();
    await begin(page, 'Cedar yard', 'Milla');
    await until(
      () => touches(page),
      (many) => many === 0
    );
    await offlineShowsNothing(page, 'Birch yard');
    await ready(page);
    await page.context().clearCookies();
    await page.goto(`${stage.url}sign-in`);
    await page.getByLabel('Household', { exact: false }).first().fill('Birch yard');
    await page.getByLabel('Your name').fill('Ivo');
    await page.getByLabel('Passphrase', { exact: false }).first().fill('three wet spoons');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL('**/round');
    await offlineShowsNothing(page, 'Cedar yard');
    await page.context().close();
  });

  it('holds nothing of a household that was left, or left for another by an invitation', async () => {
    const page = await device();
    await begin(page, 'Dogwood yard', 'Sana');
    const invitation = async (from: Page): Promise<string> => {
      await from.goto(`${stage.url}household/people`);
      await from.getByRole('button', { name: 'Create an invitation' }).click();
      const shown = from.getByText(/\/join\/[\w-]+/).first();
      await shown.waitFor();
      return /\/join\/[\w-]+/.exec(await shown.innerText())![0].slice(1);
    };
    const join = async (on: Page, address: string, member: string) => {
      await on.goto(`${stage.url}${address}`);
      await on.getByLabel('Your name').fill(member);
      await on
        .getByLabel(/passphrase/i)
        .first()
        .fill('two dry spoons here');
      await on.getByRole('button', { name: /join/i }).click();
      await on.waitForURL('**/round');
    };
    const toDogwood = await invitation(page);
    const guest = await device();
    await begin(guest, 'Elm yard', 'Tobi');
    await ready(guest);
    await leaveTouch(guest);
    await join(guest, toDogwood, 'Tobi');
    await until(
      () => touches(guest),
      (many) => many === 0
    );
    await offlineShowsNothing(guest, 'Elm yard');
    await ready(guest);
    await leaveTouch(guest);
    await guest.goto(`${stage.url}household/people`);
    await guest.getByRole('button', { name: 'Leave', exact: true }).click();
    await guest.waitForURL('**/sign-in*');
    await until(
      () => copies(guest),
      (all) => all.length === 0
    );
    expect(await touches(guest)).to.equal(0);
    await offlineShowsNothing(guest, 'Dogwood yard');
    await guest.context().close();
    await page.context().close();
  });
});
