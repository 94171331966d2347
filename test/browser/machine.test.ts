import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import { setStage, type Stage } from '../support/browser.ts';

const assets = (kind: RegExp): string[] =>
  readdirSync('build/client', { recursive: true, withFileTypes: true })
    .filter((file) => file.isFile() && kind.test(file.name))
    .map((file) => readFileSync(join(file.parentPath, file.name), 'utf8'));

describe('what leaves the machine', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('is nothing: every page forbids it in its policy', async () => {
    for (const path of ['round', 'sow', 'crops', 'notebook', 'household']) {
      const answer = await fetch(stage.url + path);
      const policy = new Map(
        (answer.headers.get('content-security-policy') ?? '').split('; ').map((rule) => {
          const [name, ...sources] = rule.split(' ');
          return [name!, sources];
        })
      );
      expect(policy.get('default-src'), path).to.deep.equal(["'none'"]);
      expect(policy.get('connect-src'), path).to.deep.equal(["'self'"]);
      expect(policy.get('font-src'), path).to.deep.equal(["'self'"]);
      expect(policy.get('frame-ancestors'), path).to.deep.equal(["'none'"]);
      for (const [name, sources] of policy) {
        expect(sources, `${path} ${name}`).not.to.include("'unsafe-inline'");
        expect(sources, `${path} ${name}`).not.to.include("'unsafe-eval'");
        expect(sources.join(' '), `${path} ${name}`).not.to.match(/https?:|\*/);
      }
      expect(answer.headers.get('x-content-type-options')).to.equal('nosniff');
    }
  });

  it('is nothing: no style names a file of another host', () => {
    const styles = assets(/\.css$/);
    expect(styles.length).to.be.above(0);
    for (const style of styles) expect(style).not.to.match(/url\(\s*["']?(https?:)?\/\//);
    expect(styles.join('')).to.match(/@font-face/);
  });

  it('keeps the session out of reach of scripts and of other sites', async () => {
    const cookie = (await fetch(`${stage.url}round`)).headers.get('set-cookie') ?? '';
    expect(cookie).to.match(/^brote_session=[\w-]{43};/);
    expect(cookie).to.match(/HttpOnly/i);
    expect(cookie).to.match(/SameSite=Lax/i);
  });

  it('refuses a form that another site sends', async () => {
    const answer = await fetch(`${stage.url}sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/x-www-form-urlencoded', origin: 'http://elsewhere.example' },
      body: 'name=a'
    });
    expect(answer.status).to.equal(403);
  });

  it('never sends anyone on to another site after signing in', async () => {
    for (const to of ['//elsewhere.example', 'http://elsewhere.example', '/\\elsewhere.example']) {
      const cookie = ((await fetch(`${stage.url}round`)).headers.get('set-cookie') ?? '').split(';')[0]!;
      const answer = await fetch(`${stage.url}sign-in?to=${encodeURIComponent(to)}`, {
        headers: { cookie },
        redirect: 'manual'
      });
      expect(answer.headers.get('location'), to).to.equal('/round');
    }
  });
});
