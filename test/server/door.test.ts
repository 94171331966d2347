import { networkInterfaces, hostname } from 'node:os';
import { expect } from 'chai';
import { isOurs } from '../../commands/lib/door.ts';
import { isForeign, ownPath } from '../../src/server/door/origin.ts';
import { FORM, formBody, own, type Camp } from '../siege/camp.ts';
import type { Came } from '../siege/ask.ts';
import { startApp, type App } from '../support/app.ts';

describe('the way in', () => {
  let app: App;
  let camp: Camp;
  before(async () => {
    app = await startApp(false);
    camp = await app.household('Alder');
  });
  after(() => app.close());

  const form = (path: string, fields: Record<string, string>, headers: Record<string, string> = {}) =>
    app.send({
      method: 'POST',
      path,
      headers: own(app.base, '', { ...FORM, accept: 'text/html', ...headers }),
      body: formBody(fields)
    });
  const begin = (name: string) =>
    form('/welcome', {
      name,
      memberName: 'Mar',
      zone: 'Europe/Madrid',
      units: 'metric',
      passphrase: 'three wet spoons'
    });

  it('closes behind the first household, unless the operator opens it', async () => {
    const second = await begin('Second');
    expect(second.status).to.equal(403);
    expect(second.text).to.include('already has a household');
    expect((await app.send({ path: '/welcome' })).text).to.include('This Brote already has a household');
    expect((await app.send({ path: '/sign-in' })).text).not.to.include('Start a new household');
    process.env.BROTE_OPEN = '1';
    expect((await begin('Second')).status).to.equal(303);
    process.env.BROTE_OPEN = '';
    expect((await begin('Third')).status).to.equal(403);
  });

  it('leads nowhere but to its own pages', async () => {
    for (const to of [
      '/\t/evil.example',
      '//evil.example',
      '/\\evil.example',
      '\\\\evil.example',
      '/\n/evil.example',
      'https://evil.example/',
      'javascript:alert(1)',
      '/%09/evil.example/..//evil.example',
      '/..//evil.example',
      '/.//evil.example',
      '',
      'round'
    ]) {
      const found = ownPath(to, app.base);
      expect(new URL(found, app.base).origin, JSON.stringify(to)).to.equal(app.base.origin);
      expect(found, JSON.stringify(to)).to.match(/^\/(?![/\\])/);
      const answer = await form(`/sign-in?to=${encodeURIComponent(to)}`, {
        name: 'canary-alder-household',
        memberName: 'Ilo',
        passphrase: camp.passphrase
      });
      expect(answer.status).to.equal(303);
      expect(new URL(String(answer.headers.location), app.base).origin, JSON.stringify(to)).to.equal(
        app.base.origin
      );
    }
    expect(ownPath('/tray/1?from=x#note', app.base)).to.equal('/tray/1?from=x#note');
  });

  it('is known by its own names alone', async () => {
    const address = Object.values(networkInterfaces())
      .flat()
      .find((one) => one?.family === 'IPv4' && !one.internal)?.address;
    const name = hostname().split('.', 1)[0]!;
    for (const host of [
      'localhost',
      '127.0.0.1:4180',
      '127.8.9.1',
      '[::1]:80',
      `${name}.local:4180`,
      hostname(),
      ...(address ? [`${address}:4180`] : [])
    ])
      expect(isOurs(host), host).to.equal(true);
    for (const host of [
      'evil.example',
      'localhost.evil.example',
      '127.0.0.1.evil.example',
      '',
      undefined,
      '???',
      'a b',
      '1.2.3.4',
      'x@localhost'
    ])
      expect(isOurs(host), host).to.equal(false);
    for (const path of ['/round', '/api/health', '/brote.svg', '/nowhere']) {
      const answer = await app.send({ path, headers: { host: 'evil.example' } });
      expect(answer.status, path).to.equal(421);
      expect(answer.text).to.include('BROTE_HOSTS=evil.example');
    }
  });

  it('takes nothing that another site had a browser send', async () => {
    const post = (path: string, headers: Record<string, string>, body = '') =>
      app.send({ method: 'POST', path, headers: { cookie: camp.cookie, ...headers }, body });
    const evil = { origin: 'https://evil.example' };
    expect((await post('/sign-out', evil)).status, 'no body').to.equal(403);
    expect((await post(`/api/places/${camp.ids.place}/rating`, evil)).status, 'no body').to.equal(403);
    expect(
      (await post('/api/events', { ...evil, 'content-type': 'application/json' }, '{}')).status
    ).to.equal(403);
    expect((await post('/household?/save', { ...FORM }, 'name=x')).status, 'a form of nobody').to.equal(403);
    expect((await post('/sign-out', { 'sec-fetch-site': 'cross-site' })).status).to.equal(403);
    expect((await post('/sign-out', { 'sec-fetch-site': 'same-site' })).status).to.equal(403);
    expect((await post('/sign-out', { origin: 'null' })).status).to.equal(403);
    const still = await app.send({ path: '/round', headers: { cookie: camp.cookie } });
    expect(still.status, 'nobody was signed out by it').to.equal(200);
  });

  it('knows a foreign request by what browsers say', () => {
    const own_ = new URL('https://greens.example.test/sign-out');
    const sent = (headers: Record<string, string>, method = 'POST') => new Request(own_, { method, headers });
    expect(isForeign(sent({}, 'GET'), own_)).to.equal(false);
    expect(isForeign(sent({ origin: own_.origin }), own_)).to.equal(false);
    expect(isForeign(sent({ 'content-type': 'application/json' }), own_)).to.equal(false);
    expect(isForeign(sent({ 'sec-fetch-site': 'same-origin' }), own_)).to.equal(false);
    expect(isForeign(sent({ origin: 'http://greens.example.test' }), own_)).to.equal(true);
    expect(isForeign(sent({ origin: 'https://greens.example.test:8443' }), own_)).to.equal(true);
  });

  it('puts its headers on every answer, whatever it is', async () => {
    const answers: Record<string, Came> = {
      page: await app.send({ path: '/sign-in' }),
      'signed-in page': await app.send({ path: '/round', headers: { cookie: camp.cookie } }),
      redirect: await app.send({ path: '/round' }),
      'refused API': await app.send({ path: '/api/ping' }),
      health: await app.send({ path: '/api/health' }),
      file: await app.send({ path: '/brote.svg' }),
      'not there': await app.send({ path: '/nowhere.png' }),
      'another host': await app.send({ path: '/', headers: { host: 'evil.example' } }),
      'another site': await app.send({
        method: 'POST',
        path: '/sign-out',
        headers: { origin: 'https://evil.example' }
      }),
      unreadable: await app.send({ path: '/%' }),
      'wrong method': await app.send({ method: 'DELETE', path: '/round', headers: { cookie: camp.cookie } }),
      'too much': await app.send({
        method: 'POST',
        path: '/api/sign-in',
        headers: own(app.base, '', { 'content-type': 'application/json' }),
        body: 'x'.repeat(3_000_000)
      })
    };
    for (const [what, { headers }] of Object.entries(answers)) {
      expect(headers['x-content-type-options'], what).to.equal('nosniff');
      expect(headers['x-frame-options'], what).to.equal('DENY');
      expect(headers['referrer-policy'], what).to.equal('same-origin');
      expect(headers['content-security-policy'], what).to.match(/default-src 'none'.*frame-ancestors 'none'/);
      expect(headers['permissions-policy'], what).to.include('camera=()');
      expect(JSON.stringify(headers).length, what).to.be.below(2000);
    }
    expect(answers['signed-in page']!.headers['cache-control']).to.equal('private, no-store');
  });

  it('hands out cookies that plain HTTP can take back, and HTTPS keeps to itself', async () => {
    const signIn = (proto: string) =>
      form(
        '/sign-in',
        { name: 'canary-alder-household', memberName: 'Ilo', passphrase: camp.passphrase },
        { 'x-forwarded-proto': proto, origin: `${proto === 'https' ? 'https' : 'http'}://${app.base.host}` }
      );
    const cookies = (came: Came) =>
      (came.headers['set-cookie'] as string[]).filter((one) => one.startsWith('brote_'));
    const plain = cookies(await signIn('http'));
    expect(plain).to.have.length(2);
    for (const cookie of plain)
      expect(cookie)
        .to.match(/HttpOnly/)
        .and.not.match(/Secure/);
    for (const cookie of cookies(await signIn('https')))
      expect(cookie)
        .to.match(/HttpOnly/)
        .and.match(/Secure/);
    // What a client makes up of the scheme is taken for plain HTTP.
    for (const cookie of cookies(await signIn('javascript'))) expect(cookie).not.to.match(/Secure/);
    const out = await app.send({
      method: 'POST',
      path: '/sign-out',
      headers: own(app.base, plain.map((one) => one.split(';')[0]!).join('; '))
    });
    const [cleared] = cookies(out);
    expect(cleared)
      .to.match(/^brote_session=;.*Max-Age=0/)
      .and.not.match(/Secure/);
    expect(out.headers['clear-site-data']).to.equal('"cache"');
  });

  it('changes the passphrase, signs every other device out, and tells nobody else', async () => {
    const signIn = async (passphrase: string) => {
      const came = await form('/sign-in', { name: 'canary-alder-household', memberName: 'Mar', passphrase });
      return {
        status: came.status,
        cookie: ((came.headers['set-cookie'] as string[] | undefined) ?? [])
          .map((one) => one.split(';')[0]!)
          .join('; ')
      };
    };
    const [mine, theirs] = [await signIn(camp.passphrase), await signIn(camp.passphrase)];
    const change = (passphraseNow: string, passphraseNew: string) =>
      app.send({
        method: 'POST',
        path: '/household?/passphrase',
        headers: own(app.base, mine.cookie, { ...FORM, accept: 'text/html' }),
        body: formBody({ passphraseNow, passphraseNew })
      });
    const wrong = await change('not this one', 'four dry spoons');
    expect(wrong.status).to.equal(403);
    expect(wrong.text).to.include('This is not the current passphrase.').and.not.include('four dry spoons');
    expect((await change(camp.passphrase, 'short')).status).to.equal(422);
    const changed = await change(camp.passphrase, 'four dry spoons');
    expect(changed.status).to.equal(200);
    expect(changed.text).to.include('Changed. Every other device was signed out.');
    const status = async (cookie: string) => (await app.send({ path: '/round', headers: { cookie } })).status;
    expect([await status(mine.cookie), await status(theirs.cookie)]).to.deep.equal([200, 303]);
    expect((await signIn(camp.passphrase)).status).to.equal(403);
    expect((await signIn('four dry spoons')).status).to.equal(303);
  });
});
