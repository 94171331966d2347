import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { outsideSettings, startOutside, type Outside } from '../../commands/standIns/outside.ts';
import { Worker } from '../../src/server/jobs/worker.ts';
import {
  expectAccessible,
  expectFitsThumb,
  moveOn,
  open,
  recorded,
  PHONE,
  reload,
  scripted,
  setStage,
  shows,
  type Stage
} from '../support/browser.ts';
import { until } from '../support/started.ts';

describe('reminders', () => {
  let stage: Stage;
  let outside: Outside;
  let worker: Worker;
  const kept = { ...process.env };
  before(async () => {
    outside = await startOutside();
    Object.assign(process.env, outsideSettings(outside));
    stage = await setStage(true);
    worker = new Worker(stage.url).start();
  });
  after(async () => {
    await worker.stop();
    // Whatever the browser complained of, nothing is left running.
    await outside.close();
    await stage.close();
    for (const name of Object.keys(outsideSettings(outside)))
      if (kept[name] === undefined) delete process.env[name];
      else process.env[name] = kept[name];
  });

  it('reach whoever turns a channel on by keyboard, with what the round asks for, once the clock has moved', async () => {
    const page = await stage.page();
    await open(page, stage, '/household/reminders');
    await page.getByLabel('Mail to').focus();
    await page.keyboard.type('nela@balcony');
    await page.keyboard.press('Enter');
    await page.getByText('This is no mail address').waitFor();
    expect(await page.getByLabel('Mail to').inputValue()).to.equal('nela@balcony');
    await page.getByLabel('Mail to').focus();
    await page.keyboard.press('End');
    await page.keyboard.type('.example');
    await page.keyboard.press('Enter');
    await page.getByText('Not confirmed yet.').waitFor();
    // Whoever reads mail there says that it may be written to, before anything else is.
    const [confirmation] = await until(
      async () => outside.mail.mails,
      (all) => all.length > 0
    );
    const reader = await stage.page();
    await open(reader, stage, new URL(/http\S+\/confirm\/\S+/.exec(confirmation!.text)![0]).pathname);
    await expectAccessible(reader);
    await reader.getByRole('button', { name: 'Confirm this address' }).press('Enter');
    await reader.getByRole('heading', { name: 'Address confirmed' }).waitFor();
    await open(page, stage, '/household/reminders');
    await page.getByRole('button', { name: 'Send a test to nela@balcony.example' }).press('Enter');
    const mails = await until(
      async () => outside.mail.mails.map(({ subject }) => subject),
      (all) => all.length > 1
    );
    expect(mails).to.deep.equal(['Confirm your address for Brote', 'A test from Brote']);

    await page.getByRole('button', { name: 'Use the demo’s stand-in for a browser' }).press('Enter');
    await page.getByRole('button', { name: 'Send a test to The demo’s browser' }).waitFor();
    // Only rounds to this one.
    const group = page.getByRole('form', { name: 'Sent to The demo’s browser' });
    for (const kind of ['Soaks and timers', 'Harvest and pantry', 'Trouble', 'Days away']) {
      await group.getByRole('button', { name: kind, pressed: true }).press('Enter');
      await group.getByRole('button', { name: kind, pressed: false }).waitFor();
    }
    await page.getByRole('button', { name: 'Next round' }).press('Enter');
    const pushed = await until(
      async () => outside.push.pushes,
      (all) => all.length > 0
    );
    const { title, body, path } = JSON.parse(pushed[0]!.text) as Record<string, string>;
    expect(title).to.equal('Evening round, 20:30');
    expect(path).to.equal('/round');
    // The same that the page says of it.
    await open(page, stage, '/round');
    const [, asked] = /^(\d+) trays need you: /.exec(body!)!;
    expect(Number(asked)).to.be.greaterThan(2);
    await page.getByText(`${asked} trays need you`).waitFor();
    for (const [, mL] of body!.matchAll(/(\d+) mL under/g))
      await page.getByText(`Water ${mL} mL from below`).first().waitFor();
    await page.getByRole('link', { name: /\d+ reminders?/ }).click();
    await page.getByRole('heading', { name: 'Notifications' }).waitFor();
    await page.getByText('Why you got this').first().click();
    await page.getByText('It is time for your round').waitFor();
  });

  it('say where notifications are blocked, and what there is instead', async () => {
    const page = await stage.page();
    // As a browser has it in which somebody said no.
    await page.addInitScript({
      content: "Object.defineProperty(Notification, 'permission', { get() { return 'denied'; } });"
    });
    await open(page, stage, '/household/reminders');
    await page.getByText('Notifications from Brote are blocked in this browser').waitFor();
    await page.getByText('Or use mail instead').waitFor();
  });

  it('ask for nothing while everybody is away: a sitter is let in by an address, on a phone', async () => {
    const page = await stage.page();
    await open(page, stage, '/household/away');
    await page.getByLabel('First day away').fill('2027-01-20');
    await page.getByLabel('Last day away').fill('2027-01-14');
    await page.getByRole('button', { name: 'See what needs care' }).click();
    await page.getByText('The last day comes after the first.').waitFor();
    await page.getByLabel('First day away').fill('2027-01-14');
    await page.getByLabel('Last day away').fill('2027-01-19');
    await page.getByRole('button', { name: 'See what needs care' }).click();
    await page.getByRole('heading', { name: 'Needs a sitter' }).waitFor();
    await page.getByRole('button', { name: 'Save these days' }).click();
    await page.getByRole('heading', { name: 'Away Thu 14 Jan to Tue 19 Jan' }).waitFor();
    await page.getByLabel('Who comes by').fill('Aunt Milla');
    await page.getByRole('button', { name: 'Create their link' }).click();
    const address = (await page.locator('code.token a').getAttribute('href'))!;
    await expectAccessible(page);

    // Two days on she comes by.
    for (let day = 0; day < 2; day += 1) {
      const answer = page.waitForResponse((response) => response.url().endsWith('/api/clock'));
      await moveOn(page, '+1 day');
      await answer;
    }
    const phone = await stage.page(PHONE);
    await phone.goto(address);
    await scripted(phone);
    await expectAccessible(phone);
    await expectFitsThumb(phone);
    const ticks = phone.locator('button.tick');
    const many = await ticks.count();
    expect(many).to.be.greaterThan(1);
    await ticks.first().click();
    await phone.getByText(/^Done today/).waitFor();
    await shows(ticks, many - 1);
    await phone.getByRole('button', { name: 'Undo' }).click();
    await phone.getByText(/^Done today/).waitFor({ state: 'detached' });
    await reload(page);
    await page.getByRole('button', { name: /Revoke the link/ }).click();
    await page.getByText('Revoke the link').waitFor({ state: 'detached' });
    await phone.goto(address);
    await phone.getByText('This link has expired').waitFor();
  });

  it('ask after days of silence how each tray stands, and take that for the truth', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/round');
    for (let day = 0; day < 4; day += 1) {
      const answer = page.waitForResponse((response) => response.url().endsWith('/api/clock'));
      await moveOn(page, '+1 day');
      await answer;
    }
    await open(page, stage, '/round');
    await page.getByText('Nothing was recorded for days').waitFor();
    await expectAccessible(page);
    await expectFitsThumb(page);
    const unheard = page.getByRole('heading', { name: /^How are things with your .*\?$/ });
    const many = await unheard.count();
    expect(many).to.be.greaterThan(3);
    const dark = page.locator('article.stop', { hasText: /Still (rooting|stretching)/ }).first();
    await dark.getByRole('button', { name: 'In the light' }).click();
    await dark.getByRole('button', { name: 'yesterday' }).click();
    await dark.getByRole('button', { name: 'Right' }).click();
    await recorded(page, () => dark.getByRole('button', { name: 'That’s how it is' }).click());
    await shows(unheard, many - 1);
    // Still asked of the others, on a page loaded anew.
    await open(page, stage, '/round');
    await shows(unheard, many - 1);
    await page
      .locator('article.stop')
      .filter({ has: unheard.first() })
      .first()
      .getByRole('button', { name: 'Dried out' })
      .click();
    await shows(unheard, many - 2);
  });

  it('have views that are fit for everybody, at a desk and on a phone', async () => {
    for (const options of [undefined, PHONE]) {
      const page: Page = await stage.page(options);
      for (const path of ['/household/reminders', '/household/people', '/household/away', '/reminders']) {
        await open(page, stage, path);
        await expectAccessible(page);
        if (options) await expectFitsThumb(page);
      }
    }
  });

  it('have a display on the wall, which shows the round by an address of its own and follows it by itself', async () => {
    const page = await stage.page();
    await open(page, stage, '/household/reminders');
    await page.getByRole('button', { name: 'Make a display address' }).click();
    const address = (await page.locator('code.token').textContent())!.trim();
    const wall = await stage.page();
    await wall.clock.install();
    await wall.goto(address);
    await scripted(wall);
    await expectAccessible(wall);
    await wall.getByRole('heading', { level: 1, name: /round, / }).waitFor();
    await wall.getByRole('heading', { name: 'Coming up' }).waitFor();
    // Nothing leads anywhere, and nothing can be ticked.
    expect(await wall.getByRole('link').or(wall.getByRole('button')).count()).to.equal(0);
    await wall.context().setOffline(true);
    await wall.clock.fastForward(61_000);
    await wall.getByText(/^No connection to Brote/).waitFor();
    await wall.context().setOffline(false);
    await wall.clock.fastForward(61_000);
    await wall.getByText(/^No connection to Brote/).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: /^Remove address 1/ }).click();
    await page
      .getByText('Not opened yet')
      .or(page.getByText(/^Last read/))
      .waitFor({ state: 'detached' });
    await wall.clock.fastForward(61_000);
    await wall.getByText('This display address has been removed').waitFor();
  });

  it('let a round be taken and handed on', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    await page.getByText('Assigned to: anyone').click();
    await page.getByRole('button', { name: 'I’ll do it' }).click();
    await page.getByText('Assigned to you').waitFor();
    await page.getByRole('button', { name: 'Give it to Tobi' }).click();
    await page.getByText('Assigned to: Tobi').waitFor();
    await page.getByRole('button', { name: 'Anyone can do it' }).click();
    await page.getByText('Assigned to: anyone').waitFor();
  });
});
