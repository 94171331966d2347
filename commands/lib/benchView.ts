import { chromium, type Browser } from 'playwright-core';
import { seedDemo } from '../../src/server/demo/seedDemo.ts';
import { closeDb } from '../../src/server/db/connection.ts';
import { startCluster } from './cluster.ts';
import { dataFolder } from './dataFolder.ts';
import { ensureDatabase } from './database.ts';
import { ensureChromium, ensurePostgres } from './packages.ts';
import { say } from './say.ts';
import { serverSecrets } from './serverSecrets.ts';
import { serve } from './web.ts';

const VIEWS = ['round', 'sow', 'shelf', 'ahead', 'bench', 'crops'];
const PHONE = { width: 390, height: 844 };
/** A phone at the edge of its network: 400 kbit/s each way, 400 ms there and back, a processor four times slower. */
const SLOW = { latency: 400, downloadThroughput: 50_000, uploadThroughput: 50_000, offline: false };
const SLOWER = 4;

interface FirstView {
  /** Bytes over the wire, headers included, by what they are. */
  bytes: Record<string, number>;
  requests: number;
  /** Until the page answers a touch, ms. */
  usableMs: number;
  /** Cumulative layout shift. */
  shift: number;
}

/** Opens a view as somebody does who was never here before. */
async function open(browser: Browser, address: string, slow: boolean): Promise<FirstView> {
  const context = await browser.newContext({ viewport: PHONE, isMobile: true, serviceWorkers: 'block' });
  try {
    const page = await context.newPage();
    const devtools = await context.newCDPSession(page);
    await devtools.send('Network.enable');
    if (slow) {
      await devtools.send('Network.emulateNetworkConditions', SLOW);
      await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    }
    const kinds = new Map<string, string>();
    const bytes: Record<string, number> = {};
    devtools.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type));
    devtools.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      const kind = kinds.get(requestId) ?? 'Other';
      bytes[kind] = (bytes[kind] ?? 0) + encodedDataLength;
    });
    await page.addInitScript(() => {
      const seen = window as unknown as { shift: number };
      seen.shift = 0;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) seen.shift += (entry as unknown as { value: number }).value;
      }).observe({ type: 'layout-shift', buffered: true });
    });
    const start = performance.now();
    await page.goto(address, { waitUntil: 'commit' });
    await page.locator('html[data-hydrated]').waitFor({ state: 'attached', timeout: 120_000 });
    const usableMs = performance.now() - start;
    await page.waitForLoadState('networkidle');
    const shift = await page.evaluate(() => (window as unknown as { shift: number }).shift);
    return { bytes, requests: kinds.size, usableMs, shift };
  } finally {
    await context.close();
  }
}

/** What the first view of each page brings over the wire, and when it answers a touch on a slow phone. */
export async function firstViews(): Promise<void> {
  const folder = dataFolder('test');
  const cluster = await startCluster(ensurePostgres(), folder, false);
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-gpu']
  });
  try {
    const { appUrl, ownerUrl } = await ensureDatabase(cluster.adminUrl, 'brote_bench', folder, true);
    process.env.BROTE_APP_URL = appUrl;
    Object.assign(process.env, await serverSecrets(ownerUrl));
    process.env.BROTE_DEMO = '1';
    await seedDemo(Date.now(), ownerUrl);
    const { url, server } = await serve('127.0.0.1', 0);
    say('First view on a phone, nothing stored yet; slow: 400 kbit/s, 400 ms, processor slowed four times:');
    // The first answer of a new process is slower than any that follow.
    await open(browser, `${url}round`, false);
    for (const view of VIEWS) {
      const { bytes, requests } = await open(browser, url + view, false);
      const { usableMs, shift } = await open(browser, url + view, true);
      const kB = (count = 0) => Math.round(count / 1000);
      const all = Object.values(bytes).reduce((sum, one) => sum + one, 0);
      say(
        `  ${view}: ${kB(all)} kB in ${requests} requests (page ${kB(bytes.Document)}, scripts ${kB(bytes.Script)}, styles ${kB(bytes.Stylesheet)}, typeface ${kB(bytes.Font)}); slow: usable after ${(usableMs / 1000).toFixed(1)} s, layout shift ${shift.toFixed(3)}`
      );
    }
    server.close();
    server.closeAllConnections();
  } finally {
    await browser.close();
    closeDb();
    cluster.stop();
  }
}
