import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import {
  chooseCrop,
  typeSize,
  expectAccessible,
  open,
  PHONE,
  reload,
  scripted,
  setStage,
  shows,
  type Stage
} from '../support/browser.ts';

const PASSPHRASE = 'three wet spoons';

async function begin(page: Page, stage: Stage, name: string, units = 'metric'): Promise<void> {
  await open(page, stage, '/welcome');
  await page.getByLabel('Household').fill(name);
  await page.getByLabel('Your name').fill('Ilo');
  await page.getByText(/^Guessed from this device: Europe\/Madrid, metric units/).click();
  await page.getByLabel('Time zone').selectOption('Europe/Madrid');
  await page.getByLabel('Units').selectOption(units);
  await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Plan your first sowing' }).click();
  await page.waitForURL('**/sow');
  await scripted(page);
}

/** Puts a sowing on the list; the day is far off, so that it holds at whatever hour this runs. */
async function sowRadish(page: Page, stage: Stage): Promise<void> {
  await open(page, stage, '/sow');
  await chooseCrop(page, 'Radish');
  await page.getByRole('button', { name: /Plan this sowing/ }).click();
  await page.waitForURL('**/round');
}

const firstTray = (page: Page) => page.locator('article.stop h3 a').first().getAttribute('href');

describe('a household of one’s own', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(false);
  });
  after(() => stage.close());

  it('begins with an empty Brote and has a tray on the list', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/');
    expect(page.url()).to.include('/welcome');
    await expectAccessible(page);
    await begin(page, stage, 'Kitchen one');
    await chooseCrop(page, 'Pea shoots');
    await page.getByText('90.6 g').first().waitFor();
    await page
      .getByText(/\d seeds\/cm²/)
      .first()
      .waitFor();
    await page.getByText('how?').first().tap();
    await page.getByText('175 g per 1000 seeds').waitFor();
    await page.getByRole('button', { name: 'Plan this sowing' }).click();
    await page.waitForURL('**/round');
    // Within two hours of its round it is asked for at once; at other hours a phone folds what asks for nothing yet to its line.
    await page.getByText(/not started/).waitFor({ state: 'attached' });
    await page.getByRole('heading', { name: 'Kitchen sill' }).waitFor();
    await page.getByLabel('The demo’s clock').waitFor({ state: 'detached' });
  });

  it('keeps what was filled in before its scripts had come', async () => {
    const page = await stage.page();
    let come = () => {};
    const scripts = new Promise<void>((resolve) => (come = resolve));
    await page.route('**/*.js', async (route) => {
      await scripts;
      await route.continue();
    });
    await page.goto(`${stage.url}welcome`, { waitUntil: 'commit' });
    await page.getByLabel('Household').fill('Slow line');
    await page.getByLabel('Your name').fill('Ilo');
    await page.getByLabel('Time zone').selectOption('Asia/Tokyo');
    await page.getByLabel('Units').selectOption('us');
    await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
    come();
    await scripted(page);
    expect(await page.getByLabel('Household').inputValue()).to.equal('Slow line');
    expect(await page.getByLabel('Time zone').inputValue()).to.equal('Asia/Tokyo');
    expect(await page.getByLabel('Units').inputValue()).to.equal('us');
    expect(await page.getByLabel('Passphrase', { exact: true }).inputValue()).to.equal(PASSPHRASE);
    await page.getByRole('button', { name: 'Plan your first sowing' }).click();
    await page.waitForURL('**/sow');

    // A form that is left is there again, and says so; begun afresh it is empty.
    await chooseCrop(page, 'Garden cress');
    await page.getByLabel('How many').fill('3');
    await open(page, stage, '/crops');
    await open(page, stage, '/sow');
    await page.getByText(/^You started this .*\. It is as you left it\./).waitFor();
    expect(await page.getByLabel('How many').inputValue()).to.equal('3');
    await page.getByRole('button', { name: 'Start over' }).click();
    await shows(page.getByText(/^You started this/), 0);
    await page.getByRole('searchbox', { name: 'Find a crop' }).waitFor();
    await reload(page);
    await page.getByRole('heading', { name: 'New sowing' }).waitFor();
    await shows(page.getByText(/^You started this/), 0);
  });

  it('says of each thing left out what to do, and keeps the rest', async () => {
    const page = await stage.page();
    await open(page, stage, '/welcome');
    await page.getByLabel('Household').fill('Half filled');
    await page.getByLabel('Passphrase', { exact: true }).fill('short');
    await page.getByRole('button', { name: 'Plan your first sowing' }).click();
    await page.getByText('Use at least 8 characters').waitFor();
    await page.getByText('Say who you are').waitFor();
    expect(await page.getByLabel('Household').inputValue()).to.equal('Half filled');
    await page.getByLabel('Household').fill('kitchen ONE');
    await page.getByLabel('Your name').fill('Ilo');
    await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
    await page.getByRole('button', { name: 'Plan your first sowing' }).click();
    await page.getByText('already exists').waitFor();
  });

  it('explains sizes that cannot be, a crop left out and a day too near', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Kitchen two');
    await page.getByRole('radio', { name: 'Two halves' }).check();
    await page.getByRole('button', { name: 'Plan this sowing' }).click();
    await page.getByText('Choose a crop.', { exact: true }).first().waitFor();
    await page.getByRole('radio', { name: 'One crop' }).check();
    await chooseCrop(page, 'Pea shoots');
    await typeSize(page);
    await page.getByLabel('Length (cm)').fill('0');
    await page.getByText('Length must be between 2 and 150 cm').waitFor();
    await page.getByLabel('Length (cm)').fill('twenty');
    await page.getByText('Write a number with its unit').waitFor();
    await page.getByLabel('Length (cm)').fill('10 in');
    await page.locator('strong', { hasText: /^92 g$/ }).waitFor();
    await page.getByRole('radio', { name: 'Ready by a date' }).check();
    const soon = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10);
    await page.getByLabel('Ready by', { exact: true }).fill(soon);
    const offer = page.getByRole('button', { name: /^Choose / });
    await offer.waitFor();
    await page.getByRole('button', { name: 'Plan this sowing' }).click();
    expect(page.url()).to.include('/sow');
    await offer.click();
    await page.getByText(/Chance of being open by that evening: [89]\d in 100/).waitFor();
    await page.getByLabel('Ready by', { exact: true }).fill('2020-02-29');
    await page.getByText('This day has passed').waitFor();
  });

  it('reads and shows US units for a household that wants them', async () => {
    const page = await stage.page({ locale: 'en-US' });
    await begin(page, stage, 'Kitchen three', 'us');
    expect(await page.locator('html').getAttribute('lang')).to.equal('en-US');
    await chooseCrop(page, 'Radish');
    await typeSize(page);
    await page.getByLabel('Length (in)').fill('10');
    await page.getByLabel('Width (in)').fill('20');
    await page.locator('strong', { hasText: /^33\.9 g \(1\.2 oz\)$/ }).waitFor();
    await page
      .getByText(/16\.1 seeds\/in²/)
      .first()
      .waitFor();
    // Every view's scripts find all their words in a language that is written down only where it differs.
    for (const view of [
      'round',
      'shelf',
      'ahead',
      'bench',
      'pantry',
      'crops',
      'methods',
      'notebook',
      'household'
    ])
      await open(page, stage, `/${view}`);
  });

  it('shows a stranger nothing: not a tray, not whether it is there', async () => {
    const mine = await stage.page();
    await begin(mine, stage, 'Kitchen four');
    await sowRadish(mine, stage);
    const tray = (await firstTray(mine))!;
    const theirs = await stage.page();
    await begin(theirs, stage, 'Kitchen five');
    const [foreign, none] = [
      await theirs.request.get(stage.url + tray.slice(1)),
      await theirs.request.get(`${stage.url}tray/${randomUUID()}`)
    ];
    expect([foreign.status(), none.status()]).to.deep.equal([404, 404]);
    const words = async (response: typeof foreign) =>
      (await response.text()).match(/There is no such tray here\./g)?.length;
    expect(await words(foreign)).to.equal(await words(none));
    const event = {
      id: randomUUID(),
      sowingId: tray.split('/').pop(),
      at: Date.now(),
      body: { type: 'noted', text: 'mine now' }
    };
    expect(
      (await theirs.request.post(`${stage.url}api/events`, { data: { events: [event] } })).status()
    ).to.equal(404);
    const signedOut = await stage.page();
    expect(
      (await signedOut.request.post(`${stage.url}api/events`, { data: { events: [event] } })).status()
    ).to.equal(401);
    await open(signedOut, stage, tray);
    expect(signedOut.url()).to.include('/sign-in?to=');
  });

  it('answers an address that is not there, and a clock that only the demo has', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Kitchen six');
    await open(page, stage, '/nowhere');
    await page.getByText('There is no page at this address.').waitFor();
    await open(page, stage, '/crops/tomato');
    await page.getByText('There is no such crop in the library.').waitFor();
    expect((await page.request.post(`${stage.url}api/clock`, { data: { by: 'day' } })).status()).to.equal(
      404
    );
  });

  it('refuses what the form would never send, in words', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Kitchen seven');
    await sowRadish(page, stage);
    const sowingId = (await firstTray(page))!.split('/').pop();
    const send = async (body: unknown, more = {}) => {
      const response = await page.request.post(`${stage.url}api/events`, {
        data: { events: [{ id: randomUUID(), sowingId, at: Date.now(), body, ...more }] }
      });
      return [response.status(), ((await response.json()) as { message?: string }).message ?? 'saved'];
    };
    expect(await send({ type: 'watered', waterG: -5 })).to.deep.equal([422, 'Water cannot be less than 0.']);
    expect(await send({ type: 'noted', text: '  ' })).to.deep.equal([422, 'Write the note first.']);
    expect((await send({ type: 'harvested' }))[0]).to.equal(422);
    expect((await send({ type: 'moved', placeId: randomUUID() }))[0]).to.equal(404);
    expect((await send({ type: 'noted', text: 'long ago' }, { at: 0 }))[0]).to.equal(422);
    expect((await send({ type: 'cut', grossG: 30, tareG: 0, share: 1, last: true }))[1]).to.include(
      'has not been sown yet'
    );
    expect((await send({ type: 'sown', waterG: 300 }))[1]).to.equal('saved');
    expect((await send({ type: 'cut', grossG: 3000, tareG: 0, share: 1, last: true }))[0]).to.equal(422);
    expect(
      (await send({ type: 'cut', grossG: 3000, tareG: 0, share: 1, last: true }, { sure: true }))[1]
    ).to.equal('saved');
    const sowing = await page.request.post(`${stage.url}api/sowings`, { data: { parts: [] } });
    expect(sowing.status()).to.equal(422);
    expect(((await sowing.json()) as { fields: Record<string, string> }).fields.parts).to.equal(
      'Choose a crop.'
    );
    expect(
      (await page.request.post(`${stage.url}api/events`, { data: 'nonsense' })).status(),
      'no JSON'
    ).to.equal(415);
  });

  it('makes one sowing of a form that is sent twice', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Kitchen eight');
    await chooseCrop(page, 'Radish');
    let sent: unknown = null;
    page.on('request', (request) => {
      if (request.url().endsWith('/api/sowings')) sent = request.postDataJSON();
    });
    await page.getByRole('button', { name: /Plan this sowing/ }).dblclick();
    await page.waitForURL('**/round');
    expect((await page.request.post(`${stage.url}api/sowings`, { data: sent })).status()).to.equal(200);
    await open(page, stage, '/round');
    await shows(page.locator('article.stop'), 1);
  });

  it('lets somebody whose session ran out sign in again and go on, with nothing lost', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Kitchen nine');
    await sowRadish(page, stage);
    await open(page, stage, (await firstTray(page))!);
    await page.getByLabel('What you see').fill('Tails on most of them.');
    await page.context().clearCookies();
    await page.getByRole('button', { name: 'Save note' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByText('Sign in again').waitFor();
    await dialog.getByLabel('Passphrase', { exact: true }).fill('not this one');
    await dialog.getByRole('button', { name: 'Sign in and continue' }).click();
    await dialog.getByText('No household with this name').waitFor();
    await dialog.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
    await dialog.getByRole('button', { name: 'Sign in and continue' }).click();
    await dialog.waitFor({ state: 'hidden' });
    await page.locator('.log li', { hasText: 'Tails on most of them.' }).waitFor();
    await reload(page);
    await page.locator('.log li', { hasText: 'Tails on most of them.' }).waitFor();
    await shows(page.locator('.log li'), 1);
  });

  it('keeps what is touched without a connection, and sends it once there is one', async () => {
    const page = await stage.page(PHONE);
    await begin(page, stage, 'Kitchen ten');
    await sowRadish(page, stage);
    await open(page, stage, (await firstTray(page))!);
    await page.getByLabel('What you see').fill('Lid a little up.');
    await page.context().setOffline(true);
    await page.getByRole('button', { name: 'Save note' }).tap();
    await page.getByText('Offline: 1 change is waiting').waitFor();
    await page.locator('.log li', { hasText: 'Lid a little up.' }).waitFor();
    await page.context().setOffline(false);
    await page.getByText('Offline: ').waitFor({ state: 'detached' });
    await reload(page);
    await shows(page.locator('.log li'), 1);
  });

  it('signs in, out, and keeps its settings', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Kitchen eleven');
    await open(page, stage, '/household');
    await page.getByLabel('Second round').fill('06:00');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByText('The round must fall while you are up.').waitFor();
    await page.getByLabel('Second round').fill('19:15');
    await page.getByLabel('Latitude').fill('-33,5');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByText('Saved.').waitFor();
    await reload(page);
    expect(await page.getByLabel('Second round').inputValue()).to.equal('19:15');
    expect(await page.getByLabel('Latitude').inputValue()).to.equal('-33.5');
    await page.getByRole('button', { name: 'Dark' }).click();
    await page.locator('html[data-theme="dark"]').waitFor();
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await page.waitForURL('**/sign-in');
    await expectAccessible(page);
    await page.getByLabel('Household').fill('KITCHEN eleven');
    await page.getByLabel('Your name').fill('Mar');
    await page.getByLabel('Passphrase', { exact: true }).fill('wrong wrong');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByText('No household with this name').waitFor();
    await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL('**/round');
    await page.getByText('No trays growing yet').waitFor();
  });

  it('says where more would open in a week than is eaten, by what is assumed and said, and takes a later day with one touch', async () => {
    const page = await stage.page(PHONE);
    await begin(page, stage, 'Kitchen twelve');
    // Before anybody has said what they eat, a handful is assumed, and said in one touch.
    await chooseCrop(page, 'Radish');
    await page.getByLabel('How many').fill('6');
    await page
      .getByText('You haven’t said how much you eat, so Brote assumes a handful a day, 20 g.')
      .waitFor();
    await page.getByText(/You eat about 20 g a day, 140 g in that time/).waitFor();
    await expectAccessible(page);
    await page
      .getByRole('group', { name: 'How much you eat' })
      .getByRole('button', { name: /^A salad a day/ })
      .tap();
    await page.getByText(/You eat about 60 g a day, 420 g in that time/).waitFor();
    await shows(page.getByText(/so Brote assumes/), 0);
    await page.getByRole('button', { name: /^Start \d now/ }).waitFor();
    await open(page, stage, '/ahead/appetite');
    expect(await page.getByLabel('Mon').first().inputValue()).to.equal('60 g');
    // A slip of the finger is asked back, and what is meant is saved.
    await page.getByLabel('Mon').first().fill('20000 g');
    await page.getByRole('button', { name: 'Save', exact: true }).tap();
    await page
      .getByRole('alert')
      .getByText(/a day for each person\. A handful is 20 g/)
      .waitFor();
    await page.getByLabel('Mon').first().fill('6000 g');
    await page.getByRole('button', { name: 'Save', exact: true }).tap();
    await page.getByRole('button', { name: 'Save it as it is' }).tap();
    await page.waitForURL('**/ahead');
    await open(page, stage, '/household');
    // Somebody who goes to bed past midnight has a round there.
    await page.getByLabel('Bedtime').fill('01:30');
    await page.getByLabel('Second round').fill('00:15');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByText('Saved.').waitFor();
    await reload(page);
    expect(await page.getByLabel('Second round').inputValue()).to.equal('00:15');
    await open(page, stage, '/ahead/appetite');
    for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'])
      await page.getByLabel(day).fill('15 g');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL('**/ahead');
    await sowRadish(page, stage);
    await open(page, stage, '/sow');
    await chooseCrop(page, 'Radish');
    await page.getByText(/With this, about \d+ g will be ready from .* You eat about 15 g a day/).waitFor();
    await expectAccessible(page);
    await page
      .getByRole('status')
      .filter({ hasText: 'With this, about' })
      .getByRole('button', { name: /^Have it ready .* instead$/ })
      .click();
    await shows(page.getByText(/With this, about/), 0);
    await page.getByRole('button', { name: /Plan this sowing/ }).click();
    await page.waitForURL('**/round');
    // What begins today is on the round, what was postponed to another day is a line.
    await shows(page.locator('article.stop'), 1);
    await page.getByRole('link', { name: /^1 more planned\. Next: Radish, / }).waitFor();
  });
});
