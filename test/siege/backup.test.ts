import { spawn, spawnSync } from 'node:child_process';
import { existsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import { freePort } from '../../commands/lib/freePort.ts';
import { ask } from './ask.ts';
import { own, pitch } from './camp.ts';
import { blocksOf } from '../support/operations.ts';
import { Ground, Started } from '../support/started.ts';

describe('what operators are told', () => {
  let ground: Ground;
  let fresh: Ground;
  before(async () => {
    ground = new Ground(await freePort());
    fresh = new Ground(await freePort());
  });
  after(async () => {
    await ground.clear();
    await fresh.clear();
  });

  const run = async (data: string, ...words: string[]) => {
    const command = new Started(
      spawn('node', ['commands/run.mjs', ...words], {
        env: { ...process.env, BROTE_DATA: data, INIT_CWD: process.cwd() },
        stdio: ['ignore', 'pipe', 'pipe']
      })
    );
    return { code: await command.exit, output: command.output };
  };

  const taken = async (base: URL, cookie: string): Promise<string> => {
    const came = await ask(base, {
      method: 'GET',
      path: '/household/data/package.zip',
      headers: own(base, cookie)
    });
    expect(came.status).to.equal(200);
    return came.text;
  };

  it('has a unit that systemd has nothing against', () => {
    const file = join(ground.data, 'brote.service');
    // The clone and the data are where the operator puts them; here they are nowhere.
    writeFileSync(file, blocksOf('ini')[0]!.replace('WorkingDirectory=/opt/brote', 'WorkingDirectory=/'));
    const checked = spawnSync(process.env.SYSTEMD_ANALYZE ?? 'systemd-analyze', ['verify', file], {
      encoding: 'utf8'
    });
    expect(checked.stderr.split('\n').filter((line) => line.includes('brote.service'))).to.deep.equal([]);
    expect(checked.status).to.equal(0);
  });

  it('backs a household up while it runs, and brings it back elsewhere with everybody still let in', async () => {
    const started = ground.start();
    const base = new URL(await started.ready());
    const camp = await pitch(base, 'Alder');
    const file = join(ground.data, 'brote.dump');
    expect(await run(ground.data, 'backup', file)).to.deep.include({ code: 0 });
    expect(existsSync(file)).to.equal(true);
    const package_ = await taken(base, camp.cookie);
    // It runs on, and a file that is there is not written over.
    expect((await ask(base, { method: 'GET', path: '/api/health', headers: {} })).text).to.equal('brote');
    expect((await run(ground.data, 'backup', file)).output).to.include('is there already');
    expect((await run(ground.data, 'restore', file)).output).to.match(/running already/);
    expect(await ground.stop(started)).to.equal(0);
    expect((await run(ground.data, 'restore', file)).output).to.include(
      'is here already, and is not replaced'
    );
    // Forced, what is here is kept aside first; what is no backup changes nothing.
    const broken = join(ground.data, 'broken.dump');
    writeFileSync(broken, 'no dump at all');
    expect((await run(ground.data, 'restore', broken, '--force')).output).to.include('nothing was changed');
    const forced = await run(ground.data, 'restore', file, '--force');
    expect(forced.code).to.equal(0);
    const aside = /kept in (.*aside-.*\.dump)/.exec(forced.output)![1]!;
    expect(existsSync(aside)).to.equal(true);

    const nonsense = join(fresh.data, 'nonsense.dump');
    writeFileSync(nonsense, 'no dump at all');
    expect((await run(fresh.data, 'restore', nonsense)).output).to.include('This is no backup');
    expect(await run(fresh.data, 'restore', file)).to.deep.include({ code: 0 });
    const back = fresh.start();
    const there = new URL(await back.ready());
    const tray = await ask(there, {
      method: 'GET',
      path: `/tray/${camp.ids.sowing}/__data.json`,
      headers: own(there, camp.cookie)
    });
    expect(tray.status).to.equal(200);
    expect(tray.text).to.include('canary-alder-note');
    const cupboard = await ask(there, {
      method: 'GET',
      path: '/bench/cupboard',
      headers: own(there, camp.cookie)
    });
    expect(cupboard.text).to.include('canary-alder-lot');
    // All that was written down, to the byte, by the open package that knows nothing of backups.
    expect(await taken(there, camp.cookie)).to.equal(package_);
    expect(await fresh.stop(back)).to.equal(0);
  });
});
