import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { request } from 'node:https';
import { join } from 'node:path';
import { expect } from 'chai';
import { chromium, type Browser, type Page } from 'playwright-core';
import { freePort } from '../../commands/lib/freePort.ts';
import { blocksOf } from '../support/operations.ts';
import { chooseCrop, scripted } from '../support/browser.ts';
import { Ground, until, type Started } from '../support/started.ts';
import { SHOWN_MS } from '../support/patience.ts';

const NAME = 'greens.example.test';
const VIEWS = [
  'round',
  'shelf',
  'bench',
  'bench/cupboard',
  'bench/calculators',
  'sow',
  'crops',
  'methods',
  'notebook',
  'household'
];

describe('behind Debian’s nginx with its defaults and HTTPS', () => {
  let ground: Ground;
  let brote: Started;
  let nginx: ChildProcess;
  let browser: Browser;
  let page: Page;
  let url: string;
  let port: number;
  const troubles: string[] = [];

  before(async () => {
    port = await freePort();
    url = `https://${NAME}:${port}/`;
    const inside = await freePort();
    ground = new Ground(inside);
    brote = ground.start({ ORIGIN: url.slice(0, -1), ADDRESS_HEADER: 'x-forwarded-for' });
    await brote.ready();
    const folder = join(ground.data, 'proxy');
    mkdirSync(folder);
    const made = spawnSync(
      'openssl',
      `req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=${NAME} -keyout ${folder}/key.pem -out ${folder}/cert.pem`.split(
        ' '
      )
    );
    expect(made.status, String(made.stderr)).to.equal(0);
    // As it is told to operators, but for the places and ports that a test may use.
    const server = blocksOf('nginx')[0]!
      .replace('listen 443', `listen 127.0.0.1:${port}`)
      .replace('127.0.0.1:4180', `127.0.0.1:${inside}`)
      .replace(/ssl_certificate .*;/, `ssl_certificate ${folder}/cert.pem;`)
      .replace(/ssl_certificate_key .*;/, `ssl_certificate_key ${folder}/key.pem;`);
    const places = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi']
      .map((one) => `${one}_temp_path ${folder}/${one};`)
      .join('\n');
    const config = join(folder, 'nginx.conf');
    writeFileSync(
      config,
      `daemon off;\npid ${folder}/nginx.pid;\nerror_log ${folder}/error.log;\nevents {}\nhttp {\naccess_log off;\n${places}\n${server}\n}\n`
    );
    const nginxProgram = process.env.NGINX ?? '/usr/sbin/nginx';
    const checked = spawnSync(nginxProgram, ['-t', '-c', config], { encoding: 'utf8' });
    expect(checked.status, checked.stderr).to.equal(0);
    nginx = spawn(nginxProgram, ['-c', config], { stdio: 'ignore' });
    const answers = () =>
      new Promise<boolean>((resolve) => {
        const socket = connect(port, '127.0.0.1', () => (socket.destroy(), resolve(true)));
        socket.on('error', () => resolve(false));
      });
    expect(await until(answers, Boolean)).to.equal(true);
    browser = await chromium.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        `--host-resolver-rules=MAP ${NAME} 127.0.0.1`
      ]
    });
    // A certificate that the browser was told to overlook is not good enough for a service worker.
    const context = await browser.newContext({
      ignoreHTTPSErrors: true,
      locale: 'en-GB',
      serviceWorkers: 'block'
    });
    page = await context.newPage();
    page.setDefaultTimeout(SHOWN_MS);
    page.on('pageerror', (error) => troubles.push(error.message));
    page.on('response', (response) => {
      if (response.status() >= 500) troubles.push(`${response.status()} ${response.url()}`);
    });
  });
  after(async () => {
    await browser?.close();
    nginx?.kill('SIGTERM');
    await ground.clear();
    expect(troubles).to.deep.equal([]);
  });

  /** Over the proxy, but not by a browser. */
  const ask = (
    path: string,
    options: { method?: string; headers?: Record<string, string>; body?: string } = {}
  ) =>
    new Promise<{ status: number; headers: Record<string, unknown>; rawHeaders: string[]; text: string }>(
      (resolve, reject) => {
        const sent = request(
          {
            host: '127.0.0.1',
            port,
            path,
            method: options.method ?? 'GET',
            rejectUnauthorized: false,
            headers: { host: `${NAME}:${port}`, ...options.headers }
          },
          (answer) => {
            let text = '';
            answer.setEncoding('utf8');
            answer.on('data', (chunk) => (text += chunk));
            answer.on('end', () =>
              resolve({
                status: answer.statusCode!,
                headers: answer.headers,
                rawHeaders: answer.rawHeaders,
                text
              })
            );
          }
        );
        sent.on('error', reject);
        sent.end(options.body);
      }
    );

  it('begins a household and shows every main view, each with under 2 kB of headers', async () => {
    await page.goto(url);
    await page.getByLabel('Household').fill('Proxied');
    await page.getByLabel('Your name').fill('Ilo');
    await page.getByLabel('Time zone').selectOption('Europe/Madrid');
    await page.getByLabel('Passphrase', { exact: true }).fill('three wet spoons');
    await page.getByRole('button', { name: 'Plan your first sowing' }).click();
    await page.waitForURL('**/sow');
    // Its scripts have taken over: a form that is sent before is one that a slow machine sends.
    await scripted(page);
    await chooseCrop(page, 'Radish');
    await page.getByRole('button', { name: /Plan this sowing/ }).click();
    await page.waitForURL('**/round');
    const cookies = await page.context().cookies();
    expect(cookies.find(({ name }) => name === 'brote_session')).to.include({ secure: true, httpOnly: true });
    const cookie = cookies.map(({ name, value }) => `${name}=${value}`).join('; ');
    for (const view of VIEWS) {
      const answer = await ask(`/${view}`, { headers: { cookie } });
      expect(answer.status, view).to.equal(200);
      expect(answer.rawHeaders.join('\r\n').length, `headers of ${view}`).to.be.below(2000);
      expect(answer.headers.link, view).to.equal(undefined);
      await page.goto(url + view);
      await scripted(page);
      await page.getByRole('navigation', { name: 'Views' }).waitFor();
    }
  });

  it('takes a file through it, and as many readings in one go as it says it takes', async () => {
    await page.goto(`${url}shelf`);
    await page.getByRole('link', { name: 'Kitchen sill' }).click();
    const now = Date.now();
    const rows = Array.from(
      { length: 3000 },
      (_, n) => `${new Date(now - n * 60_000).toISOString()},19.5,55`
    );
    await page.locator('input[type=file]').setInputFiles({
      name: 'air.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(`time,temperature,humidity\n${rows.join('\n')}`)
    });
    await page.getByRole('button', { name: 'Import 3000' }).click();
    await page.getByText('3,000 new readings imported.').waitFor();
    await page.getByLabel('Name of the new sensor').fill('Probe');
    await page.getByRole('button', { name: 'Create a token' }).click();
    const token = /brote_[\w-]{32}/.exec(await page.locator('code.token').innerText())![0];
    const lines = Array.from(
      { length: 5000 },
      (_, n) =>
        `air,place=kitchen_shelf,device=probe_by_the_window,room=kitchen,kind=combined,unit=metric temperature=19.5,humidity=55.25 ${(now - n * 60_000) * 1_000_000}`
    ).join('\n');
    expect(lines.length).to.be.above(650_000);
    const answer = await ask('/api/readings', {
      method: 'POST',
      headers: { authorization: `Bearer ${token}`, 'content-type': 'text/plain' },
      body: lines
    });
    expect([answer.status, JSON.parse(answer.text)]).to.deep.equal([
      200,
      { taken: 5000, added: 5000, refused: [] }
    ]);
  });

  it('refuses by name, and by origin, what was not sent by its own pages', async () => {
    expect((await ask('/round', { headers: { host: 'elsewhere.example' } })).status).to.equal(421);
    const forged = await ask('/sign-out', {
      method: 'POST',
      headers: { origin: 'https://elsewhere.example' }
    });
    expect(forged.status).to.equal(403);
  });

  it('shows nothing of the household by Back after signing out', async () => {
    for (const view of ['round', 'household']) {
      await page.goto(url + view);
      await scripted(page);
    }
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await page.waitForURL('**/sign-in');
    await page.goBack();
    await page.waitForURL('**/sign-in**');
    expect(await page.locator('article.stop').count()).to.equal(0);
  });
});
