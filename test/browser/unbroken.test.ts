import { expect } from 'chai';
import type { Page, Route } from 'playwright-core';
import {
  chooseCrop,
  expectAccessible,
  expectFitsThumb,
  open,
  PHONE,
  recorded,
  reload,
  scripted,
  setStage,
  shows,
  type Stage
} from '../support/browser.ts';

const PASSPHRASE = 'three wet spoons';

async function begin(page: Page, stage: Stage, name: string): Promise<void> {
  await open(page, stage, '/welcome');
  await page.getByLabel('Household').fill(name);
  await page.getByLabel('Your name').fill('Ilo');
  await page.getByText(/^Guessed from this device: Europe\/Madrid, metric units/).click();
  await page.getByLabel('Time zone').selectOption('Europe/Madrid');
  await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Plan your first sowing' }).click();
  await page.waitForURL('**/sow');
  await scripted(page);
}

async function sowRadish(page: Page, stage: Stage): Promise<string> {
  await open(page, stage, '/sow');
  await chooseCrop(page, 'Radish');
  await page.getByRole('button', { name: /Plan this sowing/ }).click();
  await page.waitForURL('**/round');
  return (await page.locator('article.stop h3 a').first().getAttribute('href'))!;
}

/** The way from a page to where its events are taken, which can be cut, and answer for the server. */
class Way {
  private cut = false;
  private constructor(private readonly page: Page) {}

  /** @param answer what comes back for an event; null to let it through */
  static async of(
    page: Page,
    answer: (body: string) => Parameters<Route['fulfill']>[0] | null
  ): Promise<Way> {
    const way = new Way(page);
    await page.route('**/api/events', async (route) => {
      if (way.cut) return route.abort('internetdisconnected');
      const made = answer(route.request().postData() ?? '');
      await (made ? route.fulfill(made) : route.continue());
    });
    return way;
  }

  lost(): void {
    this.cut = true;
  }

  async back(): Promise<void> {
    this.cut = false;
    await this.page.evaluate(() => window.dispatchEvent(new Event('online')));
  }
}

const write = async (page: Page, text: string) => {
  await page.getByLabel('What you see').fill(text);
  await page.getByRole('button', { name: 'Save note' }).click();
};

describe('what a phone has waiting', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(false);
  });
  after(() => stage.close({ allowed: /status of 5\d\d|ERR_INTERNET_DISCONNECTED/ }));

  it('is not held up by one that the server cannot take: that is set aside with what was typed', async () => {
    const page = await stage.page(PHONE);
    await begin(page, stage, 'Queue one');
    const tray = await sowRadish(page, stage);
    await open(page, stage, tray);
    let breaks = true;
    const way = await Way.of(page, (body) =>
      breaks && body.includes('one that breaks') ? { status: 500, body: '<html>oh</html>' } : null
    );
    way.lost();
    await write(page, 'one that breaks');
    await write(page, 'one that is well');
    await page.getByText('Offline: 2 changes are waiting').waitFor();
    await way.back();
    const aside = page.getByRole('region', { name: '1 change was not saved' });
    await aside.waitFor();
    await aside.locator('strong', { hasText: 'one that breaks' }).waitFor();
    await page.locator('.log li', { hasText: 'one that is well' }).waitFor();
    await page.getByText('Offline: ').waitFor({ state: 'detached' });
    await expectFitsThumb(page);
    await expectAccessible(page);
    // It is still there after a reload, and once the server can take it, it is taken.
    await reload(page);
    await aside.locator('strong', { hasText: 'one that breaks' }).waitFor();
    breaks = false;
    await aside.getByRole('button', { name: 'Try again' }).tap();
    await aside.waitFor({ state: 'detached' });
    await page.locator('.log li', { hasText: 'one that breaks' }).waitFor();
    await reload(page);
    await shows(page.locator('.log li', { hasText: 'one that' }), 2);
  });

  it('goes where somebody pressed, though the page loads its data again meanwhile', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Queue and go');
    await open(page, stage, '/round');
    let deliver = () => {};
    const slow = new Promise<void>((resolve) => (deliver = resolve));
    await page.route('**/notebook/__data.json*', async (route) => {
      await slow;
      await route.continue();
    });
    const asked = page.waitForRequest('**/notebook/__data.json*');
    await page.getByRole('link', { name: 'Notebook' }).first().click();
    await asked;
    const pinged = page.waitForResponse('**/api/ping');
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await (await pinged).finished();
    await page.evaluate(
      () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)))
    );
    const again = page.waitForResponse('**/notebook/__data.json*');
    deliver();
    await page.waitForURL('**/notebook');
    await page.getByRole('heading', { level: 1, name: 'Notebook' }).waitFor();
    await again;
  });

  it('keeps as a note, or lets go, what the server refused meanwhile', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Queue two');
    const tray = await sowRadish(page, stage);
    await open(page, stage, tray);
    const way = await Way.of(page, (body) =>
      body.includes('"noted"')
        ? null
        : { status: 422, json: { message: 'This tray has ended meanwhile.', code: 'wrong' } }
    );
    // Whatever the hour, a tray can be given up.
    const giveUp = async () => {
      if (!(await page.getByRole('button', { name: 'Discard it' }).isVisible()))
        await page.getByText('Discard this tray').click();
      await page.getByRole('button', { name: 'Discard it' }).click();
    };
    way.lost();
    await giveUp();
    await page.getByText('Offline: 1 change is waiting').waitFor();
    await way.back();
    const aside = page.getByRole('region', { name: '1 change was not saved' });
    await aside.getByText('This tray has ended meanwhile.').waitFor();
    // The server has it before the way is cut again: else it is the note that waits.
    await recorded(page, () => aside.getByRole('button', { name: 'Keep it as a note' }).click());
    await aside.waitFor({ state: 'detached' });
    await page.locator('.log li', { hasText: 'Radish: discarded' }).waitFor();
    way.lost();
    await giveUp();
    await page.getByText('Offline: 1 change is waiting').waitFor();
    await way.back();
    await aside.getByRole('button', { name: 'Discard it' }).click();
    await aside.waitFor({ state: 'detached' });
    await reload(page);
    await shows(aside, 0);
    await page.getByText('Discard this tray').waitFor();
  });

  it('waits where the server says that it may be tried again, and says that it is not the connection', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Queue three');
    await open(page, stage, await sowRadish(page, stage));
    let away = true;
    await page.route('**/api/events', (route) =>
      away ? route.fulfill({ status: 503, json: { message: 'away', code: 'away' } }) : route.continue()
    );
    await write(page, 'kept while it was away');
    await page.getByText('Brote cannot save right now: 1 change is waiting to be sent.').waitFor();
    away = false;
    await page.getByRole('button', { name: 'Try now' }).click();
    await page.getByText('Brote cannot save right now').waitFor({ state: 'detached' });
    await reload(page);
    await page.locator('.log li', { hasText: 'kept while it was away' }).waitFor();
  });
});

describe('who is signed in', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(false);
  });
  after(() => stage.close());

  it('is shown device by device, signed out from afar, and out with a changed passphrase', async () => {
    const desk = await stage.page();
    await begin(desk, stage, 'Doors');
    const others = [await stage.page(PHONE), await stage.page()];
    for (const page of others) {
      await open(page, stage, '/sign-in');
      await page.getByLabel('Household').fill('doors');
      await page.getByLabel('Your name').fill('Mar');
      await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
      await page.getByRole('button', { name: 'Sign in' }).click();
      await page.waitForURL('**/round');
    }
    await open(desk, stage, '/household');
    await expectAccessible(desk);
    await desk.getByText('This device', { exact: true }).waitFor();
    await shows(
      desk.getByRole('button', { name: /^Sign out.*(Chrome|Firefox|Safari|Edge|browser|program)/ }),
      2
    );
    await desk
      .getByRole('button', { name: /Sign out.*Mar/ })
      .first()
      .click();
    await desk.getByText('Signed out there.').waitFor();
    await shows(
      desk.getByRole('button', { name: /^Sign out.*(Chrome|Firefox|Safari|Edge|browser|program)/ }),
      1
    );
    await desk.getByLabel('Current passphrase').fill('not this one');
    await desk.getByLabel('New passphrase').fill('four dry spoons');
    await desk.getByRole('button', { name: 'Change' }).click();
    await desk.getByText('This is not the current passphrase.').waitFor();
    await desk.getByLabel('Current passphrase').fill(PASSPHRASE);
    await desk.getByLabel('New passphrase').fill('four dry spoons');
    await desk.getByRole('button', { name: 'Change' }).click();
    await desk.getByText('Changed. Every other device was signed out.').waitFor();
    for (const page of others) {
      await open(page, stage, '/round');
      expect(page.url()).to.include('/sign-in');
    }
    await open(desk, stage, '/household');
    await shows(
      desk.getByRole('button', { name: /^Sign out.*(Chrome|Firefox|Safari|Edge|browser|program)/ }),
      0
    );
    const phone = await stage.page(PHONE);
    await open(phone, stage, '/sign-in');
    await phone.getByLabel('Household').fill('doors');
    await phone.getByLabel('Your name').fill('Mar');
    await phone.getByLabel('Passphrase', { exact: true }).fill('four dry spoons');
    await phone.getByRole('button', { name: 'Sign in' }).click();
    await phone.waitForURL('**/round');
    await open(phone, stage, '/household');
    await expectFitsThumb(phone);
  });
});

describe('nobody is hurt', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(false);
  });
  after(() => stage.close());

  it('by a plant that Brote does not know: the person has to say that it is food', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Doubt');
    await open(page, stage, '/crops/new/edit?from=radish');
    await page.getByLabel('Name', { exact: true }).fill('Stardust');
    await page.getByLabel('Botanical name').fill('Stella pulvis');
    await page.getByText('Brote does not know this plant.').waitFor();
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByText('Tick this to confirm it, or change the name.').waitFor();
    await page.locator('input[name="sure"]:focus').waitFor();
    expect(await page.getByLabel('Botanical name').inputValue()).to.equal('Stella pulvis');
    await expectAccessible(page);
    await page.getByLabel('I know that its young leaves are eaten').check();
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL(/\/crops\/own-/);
  });

  it('by a poisonous plant with a letter wrong: another name takes the confirmation back', async () => {
    const page = await stage.page(PHONE);
    await begin(page, stage, 'Clumsy');
    await open(page, stage, '/crops/new/edit?from=mung');
    const name = page.getByLabel('Name', { exact: true });
    await name.fill('moon bean');
    const sure = page.locator('input[name="sure"]');
    await sure.check();
    await name.fill('kidny beans');
    await page.getByText('Did you mean kidney bean? That plant is poisonous as a seedling.').waitFor();
    expect(await sure.isChecked()).to.equal(false);
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByText('Tick this to confirm it, or change the name.').waitFor();
    await expectAccessible(page);
    await name.fill('kidney beans');
    await page.getByText(/Raw kidney beans and their relatives/).waitFor();
    expect(await page.getByRole('button', { name: 'Save' }).isDisabled()).to.equal(true);
    await shows(sure, 0);
    await name.fill('purple kohlrabi');
    await shows(page.getByText('Brote does not know this plant.'), 0);
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL(/\/crops\/own-/);
  });

  it('by warmth that a crop does not bear: it is said when the tray is planned', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Warm');
    await chooseCrop(page, 'Coriander');
    const warm = page.getByText(/Too warm for coriander/);
    await shows(warm, 0);
    await page.getByLabel(/^Warmth by day|^By day/).fill('31');
    await page.getByLabel(/^Warmth at night|^At night/).fill('27');
    await warm.first().waitFor();
  });

  it('by a weight: chia is never pressed with a bottle', async () => {
    const page = await stage.page();
    await begin(page, stage, 'Weight');
    await chooseCrop(page, 'Chia');
    const words = await page.locator('main').innerText();
    expect(words).not.to.match(/bottle/);
    await chooseCrop(page, 'Radish');
    await page
      .getByText(/pressed with 2.02 kg/)
      .first()
      .waitFor();
  });
});
