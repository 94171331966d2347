import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import { expect } from 'chai';
import { freePort } from '../../commands/lib/freePort.ts';
import { isRunning, markOf, workingIn } from '../../commands/lib/process.ts';
import { Ground, until } from '../support/started.ts';

describe('what is started', () => {
  let ground: Ground;
  beforeEach(async () => {
    ground = new Ground(await freePort());
  });
  afterEach(() => ground.clear());

  const home = () => join(ground.data, 'home');
  const cluster = () => join(home(), 'cluster');
  const postmaster = () => Number(readFileSync(join(cluster(), 'postmaster.pid'), 'utf8').split('\n')[0]);
  const health = (url: string) =>
    fetch(`${url}api/health`, { signal: AbortSignal.timeout(5000) }).then(
      async (answer) => `${answer.status} ${await answer.text()}`,
      () => 'no answer'
    );
  const isWell = (answer: string) => answer === '200 brote';
  const well = (url: string) => until(() => health(url), isWell);

  it('tells the truth as long as its database is dead, and has it back without help', async () => {
    const started = ground.start();
    const url = await started.ready();
    const web = started.pidOf('web');
    for (let turn = 0; turn < 2; turn += 1) {
      // Nobody starts it again while the command stands still.
      started.child.kill('SIGSTOP');
      process.kill(postmaster(), 'SIGKILL');
      // A backend that has not seen its postmaster's end yet still answers, and truly.
      const told = await until(
        () => health(url),
        (answer) => answer !== '200 brote'
      );
      expect(told).to.match(/^503 /);
      expect(await health(url)).to.match(/^503 /);
      started.child.kill('SIGCONT');
      // A page that was asked for meanwhile says what is the matter and may be asked for again.
      const page = await fetch(`${url}welcome`);
      if (page.status !== 200) {
        expect(page.status).to.equal(503);
        expect(page.headers.get('retry-after')).to.equal('2');
      }
      expect(await well(url)).to.equal('200 brote');
    }
    expect(started.pidOf('web'), 'the same web server all the while').to.equal(web);
    await started.says(/The database had ended and was started again/);
    expect(await ground.stop(started)).to.equal(0);
    expect(workingIn(cluster())).to.deep.equal([]);
  });

  it('has its web server back, and leaves none behind when it is killed itself', async () => {
    const started = ground.start();
    const url = await started.ready();
    const first = started.pidOf('web');
    process.kill(first, 'SIGKILL');
    expect(await well(url)).to.equal('200 brote');
    await started.says(/The web server ended \(SIGKILL\) and is started again/);
    const second = started.pidOf('web');
    expect(second).not.to.equal(first);
    started.child.kill('SIGKILL');
    await started.exit;
    await until(
      () => Promise.resolve(isRunning(second)),
      (runs) => !runs
    );
    expect(isRunning(second)).to.equal(false);
  });

  it('starts a web server again that is stuck, and its worker goes on meanwhile', async () => {
    const started = ground.start();
    const url = await started.ready();
    const [web, worker] = [started.pidOf('web'), started.pidOf('worker')];
    expect(worker).to.be.above(0);
    process.kill(web, 'SIGSTOP');
    await started.says(/The web server has not answered for 15 s/);
    expect(await well(url)).to.equal('200 brote');
    expect(started.pidOf('web')).not.to.equal(web);
    expect(started.pidOf('worker')).to.equal(worker);
    process.kill(worker, 'SIGKILL');
    await started.says(/The worker ended \(SIGKILL\) and is started again/);
    await until(
      () => Promise.resolve(started.pidOf('worker')),
      (pid) => pid > 0 && pid !== worker
    );
    expect(await health(url)).to.equal('200 brote');
  });

  it('comes up after being killed at any moment of a start, its first one among them', async () => {
    // From the first thing it does to the last; the first of them falls into the making of the database.
    for (const ms of [600, 1100, 1700, 250]) {
      const killed = ground.start();
      await new Promise((resolve) => setTimeout(resolve, ms));
      killed.child.kill('SIGKILL');
      await killed.exit;
      const again = ground.start();
      const url = await again
        .ready()
        .catch((error: Error) => expect.fail(`after ${ms} ms: ${error.message}`));
      expect(await health(url), `after ${ms} ms`).to.equal('200 brote');
      expect(again.output).not.to.match(/ECONN|    at /);
      if (ms % 200 === 100) again.child.kill('SIGKILL');
      else await ground.stop(again);
      await again.exit;
    }
  });

  describe('where a file names somebody else’s process', () => {
    let stranger: ChildProcess;
    beforeEach(() => {
      stranger = spawn('sleep', ['600'], { stdio: 'ignore' });
    });
    afterEach(() => void stranger.kill('SIGKILL'));

    it('leaves that process alone and starts', async () => {
      const first = ground.start();
      await first.ready();
      await ground.stop(first);
      const files = { pid: stranger.pid!, startedAt: '1', boot: markOf()!.boot, url: 'http://127.0.0.1:1/' };
      writeFileSync(join(home(), 'running.json'), JSON.stringify(files));
      writeFileSync(
        join(cluster(), 'postmaster.pid'),
        [stranger.pid, cluster(), 1, 5432, '', '127.0.0.1', '', 'ready   ', ''].join('\n')
      );
      const again = ground.start();
      const url = await again.ready();
      expect(await health(url)).to.equal('200 brote');
      expect(isRunning(stranger.pid!)).to.equal(true);
      expect(await ground.stop(again)).to.equal(0);
      expect(isRunning(stranger.pid!)).to.equal(true);
    });

    it('starts while a dead server waits to be reaped', async () => {
      const first = ground.start();
      await first.ready();
      await ground.stop(first);
      // A child that its parent never asks about stays in the table, dead. It ends once its parent is no shell any more.
      const parent = spawn('sh', ['-c', 'head -c 1 <&3 >/dev/null & echo $!; exec sleep 600'], {
        stdio: ['ignore', 'pipe', 'ignore', 'pipe']
      });
      const zombie = Number(
        await new Promise((resolve) => parent.stdout!.once('data', (chunk) => resolve(String(chunk))))
      );
      await until(
        () => Promise.resolve(readFileSync(`/proc/${parent.pid}/comm`, 'utf8').trim()),
        (name) => name === 'sleep'
      );
      (parent.stdio[3] as Writable).end('x');
      await until(
        () => Promise.resolve(isRunning(zombie)),
        (runs) => !runs
      );
      expect(existsSync(`/proc/${zombie}`)).to.equal(true);
      writeFileSync(
        join(cluster(), 'postmaster.pid'),
        [zombie, cluster(), 1, await freePort(), '', '127.0.0.1', '', 'ready   ', ''].join('\n')
      );
      const again = ground.start();
      expect(await health(await again.ready())).to.equal('200 brote');
      await ground.stop(again);
      parent.kill('SIGKILL');
    });
  });

  it('is waited for by a second start, which then says where it runs', async () => {
    const [one, two] = [ground.start(), ground.start()];
    const codes = await Promise.race([one.exit, two.exit]);
    expect(codes).to.equal(1);
    const [late, up] = one.child.exitCode === 1 ? [one, two] : [two, one];
    const url = await up.ready();
    // A busy machine may take longer than this start waits: then the next start gets the answer.
    if (late.output.includes('has not come up yet')) {
      const next = ground.start();
      await next.exit;
      expect(next.output).to.include(`running already, at ${url}`);
    } else expect(late.output).to.include(`running already, at ${url}`);
  });

  it('makes nothing of a half-written claim or secret', async () => {
    mkdirSync(home(), { recursive: true });
    writeFileSync(join(home(), 'running.json'), '{"pid": 1');
    writeFileSync(join(home(), 'admin-secret'), '');
    const started = ground.start();
    expect(await health(await started.ready())).to.equal('200 brote');
  });
});
