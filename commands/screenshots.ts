import { mkdirSync } from 'node:fs';
import { chromium, type Page } from 'playwright-core';
import { seedDemo } from '../src/server/demo/seedDemo.ts';
import { closeDb, inHousehold } from '../src/server/db/connection.ts';
import { moveClock } from '../src/server/households/household.ts';
import { ensureBuild } from './lib/build.ts';
import { startCluster } from './lib/cluster.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureDatabase } from './lib/database.ts';
import { ensureChromium, ensurePostgres } from './lib/packages.ts';
import { runCommand, say } from './lib/say.ts';
import { serverSecrets } from './lib/serverSecrets.ts';
import { Worker } from '../src/server/jobs/worker.ts';
import { serve } from './lib/web.ts';
import { outsideSettings, startOutside } from './standIns/outside.ts';

/** The demo's clock in the pictures: always the same winter morning. */
const MORNING = Date.parse('2027-01-12T09:40Z');
const FOLDER = 'docs/screenshots';

// Draws the pictures that the README links, from the demo's data.
await runCommand(async () => {
  ensureBuild();
  mkdirSync(FOLDER, { recursive: true });
  const folder = dataFolder('test');
  const cluster = await startCluster(ensurePostgres(), folder, false);
  const { appUrl, ownerUrl } = await ensureDatabase(cluster.adminUrl, 'brote_pictures', folder, true);
  process.env.BROTE_APP_URL = appUrl;
  Object.assign(process.env, await serverSecrets(ownerUrl));
  process.env.BROTE_DEMO = '1';
  const id = await seedDemo(MORNING, ownerUrl);
  await inHousehold(id, (tx) => moveClock(tx, MORNING - Date.now()));
  const outside = await startOutside();
  Object.assign(process.env, outsideSettings(outside));
  const { url } = await serve('127.0.0.1', 0);
  const worker = new Worker(url).start();
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-gpu']
  });

  const shoot = async (
    name: string,
    path: string,
    options: { phone?: boolean; dark?: boolean; before?: (page: Page) => Promise<void> } = {}
  ) => {
    const page = await browser.newPage({
      viewport: options.phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
      colorScheme: options.dark ? 'dark' : 'light',
      locale: 'en-GB'
    });
    await page.goto(url + path, { waitUntil: 'networkidle' });
    await options.before?.(page);
    // What is fixed to the screen is drawn where it belongs once a scroll has come to rest.
    await page.evaluate(
      () =>
        new Promise((resolve) =>
          requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(resolve, 100)))
        )
    );
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    await page.close();
    say(`${FOLDER}/${name}.png`);
  };

  const page = await browser.newPage();
  await page.goto(`${url}round`);
  const tray = async (crop: string) =>
    (await page.locator('article.stop h3 a', { hasText: crop }).first().getAttribute('href'))!.slice(1);
  const [radish, broccoli] = [await tray('Radish'), await tray('Broccoli')];
  await page.close();

  await shoot('round', 'round');
  await shoot('round-phone', 'round', { phone: true });
  await shoot('sow', 'sow?crop=pea');
  await shoot('ahead', 'ahead', {
    before: async (open) => {
      await open.getByRole('button', { name: 'Propose eight weeks' }).click();
      await open.getByRole('button', { name: /^Add |^Make / }).waitFor();
      await open.locator('.weeks').evaluate((weeks) => weeks.scrollIntoView());
    }
  });
  await shoot('bench', 'bench');
  await shoot('cupboard', 'bench/cupboard');
  await shoot('methods', 'methods');
  await shoot('tray', broccoli, {
    before: async (open) => {
      await open.getByText('How this was calculated: checks, warmth, water').click();
      await open.locator('canvas').nth(2).waitFor();
      await open
        .getByText('How this was calculated: checks, warmth, water')
        .evaluate((summary) => summary.scrollIntoView());
    }
  });
  await shoot('harvest-phone', `${radish}/harvest`, {
    phone: true,
    before: (open) => open.getByLabel('Full bowl on the scale (g)').fill('104')
  });
  await shoot('crops', 'crops');
  await shoot('notebook', 'notebook?outcome=cut');
  await shoot('pantry-phone', 'pantry', { phone: true });
  const pair = await browser.newPage();
  await pair.goto(`${url}notebook?crop=radish&outcome=cut`);
  const radishes = await pair
    .locator('th[scope=row] a')
    .evaluateAll((links) => links.map((link) => link.getAttribute('href')!.split('/').at(-1)!));
  await pair.close();
  await shoot(
    'compare',
    `notebook/compare?${radishes
      .slice(1)
      .map((one) => `id=${one}`)
      .join('&')}`,
    {
      before: (open) => open.locator('canvas').waitFor()
    }
  );
  await shoot('shelf', 'shelf', {
    before: async (open) => {
      await open.getByRole('button', { name: /^Broccoli/ }).click();
    }
  });
  await shoot('look-phone', `${broccoli}/look`, {
    phone: true,
    before: async (open) => {
      await open
        .getByText(/^White fuzz/)
        .first()
        .scrollIntoViewIfNeeded();
    }
  });
  await shoot('place', 'shelf/00000002-0000-4000-a000-000000000000', {
    before: async (open) => {
      await open.locator('canvas').waitFor();
      await open.getByText('Warmth, as measured').evaluate((title) => title.scrollIntoView());
    }
  });
  const wait = (of: () => boolean) =>
    new Promise<void>((resolve) => {
      const look = setInterval(() => of() && (clearInterval(look), resolve()), 50);
    });
  await shoot('reminders', 'household/reminders', {
    before: async (open) => {
      await open.getByLabel('Mail to').fill('nela@balcony.example');
      await open.getByRole('button', { name: 'Add mail' }).click();
      await wait(() => outside.mail.mails.length > 0);
      const [, token] = /\/confirm\/(\S+)/.exec(outside.mail.mails[0]!.text)!;
      const reader = await browser.newPage();
      await reader.goto(`${url}confirm/${token}`, { waitUntil: 'networkidle' });
      await reader.getByRole('button', { name: /^Confirm/ }).click();
      await reader.getByRole('heading', { name: 'Address confirmed' }).waitFor();
      await reader.close();
      await open.reload({ waitUntil: 'networkidle' });
      await open.getByRole('button', { name: /^Send a test/ }).click();
      await wait(() => outside.mail.mails.length > 1);
      await open.getByText(/Last sent/).waitFor();
    }
  });
  await shoot('away', 'household/away?from=2027-01-16&until=2027-01-21', {
    before: async (open) => {
      await open.getByRole('button', { name: 'Save these days' }).click();
      await open.getByRole('heading', { name: /^Away/ }).waitFor();
    }
  });
  const later = (days: number) => inHousehold(id, (tx) => moveClock(tx, days * 86_400_000));
  await later(4);
  await shoot('catch-up-phone', 'round', {
    phone: true,
    before: async (open) => {
      const dark = open.locator('article.stop', { hasText: /Still (rooting|stretching)/ }).first();
      await dark.getByRole('button', { name: 'In the light' }).click();
      await dark.evaluate((stop) => stop.scrollIntoView());
    }
  });
  await worker.stop();
  await outside.close();
  await browser.close();
  closeDb();
  cluster.stop();
  process.exit(0);
});
