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
import { serve } from './lib/web.ts';

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
  const { url } = await serve('127.0.0.1', 0);
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
  await shoot('sow-phone', 'sow?crop=pea', { phone: true });
  await shoot('bench', 'bench');
  await shoot('calculator', 'bench/calculators/seed?crop=pea&area=25+x+18&count=2');
  await shoot('cupboard', 'bench/cupboard');
  await shoot('methods', 'methods');
  await shoot('tray', broccoli, {
    before: async (open) => {
      await open.getByText('How it was worked out').click();
      await open.locator('canvas').nth(2).waitFor();
      await open.getByText('How it was worked out').evaluate((summary) => summary.scrollIntoView());
    }
  });
  await shoot('tray-phone', broccoli, { phone: true });
  await shoot('harvest-phone', `${radish}/harvest`, {
    phone: true,
    before: (open) => open.getByLabel('Full bowl on the scale (g)').fill('104')
  });
  await shoot('crops', 'crops');
  await shoot('crop', 'crops/sunflower');
  await shoot('notebook', 'notebook');
  await shoot('shelf', 'shelf', {
    before: async (open) => {
      await open.getByRole('button', { name: /^Broccoli/ }).click();
    }
  });
  await shoot('look-phone', `${broccoli}/look`, {
    phone: true,
    before: async (open) => {
      await open.getByText('White fuzz').scrollIntoViewIfNeeded();
    }
  });
  await shoot('place', 'shelf/00000002-0000-4000-a000-000000000000', {
    before: async (open) => {
      await open.locator('canvas').waitFor();
      await open.getByText('Warmth, as measured').evaluate((title) => title.scrollIntoView());
    }
  });
  await shoot('bench-phone', 'bench', {
    phone: true,
    before: async (open) => {
      await open.getByRole('button', { name: /^Disinfect Sunflower/ }).click();
      await open.getByText('Contact time').waitFor();
    }
  });
  await browser.close();
  closeDb();
  cluster.stop();
  process.exit(0);
});
