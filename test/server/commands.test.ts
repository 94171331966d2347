import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { expect } from 'chai';
import { freePort } from '../../commands/lib/freePort.ts';
import { Ground, type Started } from '../support/started.ts';

describe('the start command', () => {
  let ground: Ground;
  let data: string;
  let port: number;
  const start = (more?: Record<string, string>) => ground.start(more);
  const stop = async (started: Started) => expect(await ground.stop(started)).to.equal(0);
  const ready = (started: Started) => started.ready();

  before(async () => {
    port = await freePort();
    ground = new Ground(port);
    data = ground.data;
  });
  after(() => ground.clear());

  it('serves an empty Brote on its own database and keeps its secrets to itself', async () => {
    const first = start();
    const url = await ready(first);
    expect(await (await fetch(`${url}api/health`)).text()).to.equal('brote');
    expect(await (await fetch(url)).text()).to.include('Welcome to Brote');
    const folder = join(data, 'home');
    const secrets = readdirSync(folder).filter((name) => name.endsWith('-secret'));
    expect(secrets).to.have.length(3);
    for (const name of secrets) expect(statSync(join(folder, name)).mode & 0o077, name).to.equal(0);
    expect(statSync(join(folder, 'cluster')).mode & 0o077).to.equal(0);
    expect(readFileSync(join(folder, 'cluster/pg_hba.conf'), 'utf8')).not.to.match(
      /^\s*(local|host)\s.*\btrust\b/m
    );

    const second = start();
    expect(await second.exit).to.equal(1);
    expect(second.output).to.include(`running already, at ${url}`);
    expect(second.output).not.to.include('    at ');
    await stop(first);
    expect(await fetch(url).catch(() => 'gone')).to.equal('gone');
  });

  it('recovers from being killed hard, database and all', async () => {
    const killed = start();
    await ready(killed);
    killed.child.kill('SIGKILL');
    await killed.exit;
    const again = start();
    const url = await ready(again);
    expect(await (await fetch(`${url}api/health`)).text()).to.equal('brote');
    await stop(again);
    const once = start();
    await ready(once);
    await stop(once);
  });

  it('says so in a sentence where the port is taken or is none', async () => {
    const taken = createServer().listen(port, '127.0.0.1');
    await new Promise((resolve) => taken.once('listening', resolve));
    const blocked = start();
    expect(await blocked.exit).to.equal(1);
    expect(blocked.output).to.match(/Port \d+ of 127\.0\.0\.1 is in use by another program\. Choose another/);
    await new Promise((resolve) => taken.close(resolve));
    const nonsense = start({ PORT: 'eighty' });
    expect(await nonsense.exit).to.equal(1);
    expect(nonsense.output).to.include('PORT must be a number');
  });

  it('says so where the data was written by another PostgreSQL, and leaves it alone', async () => {
    const file = join(data, 'home/cluster/PG_VERSION');
    const version = readFileSync(file, 'utf8');
    writeFileSync(file, '9\n');
    const old = start();
    expect(await old.exit).to.equal(1);
    expect(old.output).to.match(/was written by PostgreSQL 9; this machine runs \d+/);
    expect(old.output).to.include('BROTE_DATA');
    writeFileSync(file, version);
    const again = start();
    await ready(again);
    await stop(again);
  });
});
