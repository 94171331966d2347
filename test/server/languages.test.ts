import { expect } from 'chai';
import { outsideSettings, startOutside, type Outside } from '../../commands/standIns/outside.ts';
import { MINUTE } from '../../src/core/time/zone.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { addFeed } from '../../src/server/reminders/feeds.ts';
import { setLanguage } from '../../src/server/people/members.ts';
import { SESSION_COOKIE, startSession } from '../../src/server/sessions/sessions.ts';
import { FORM, formBody } from '../siege/camp.ts';
import { startApp, type App } from '../support/app.ts';
import { Reminded, sendAll } from '../support/reminded.ts';
import { randomUUID } from 'node:crypto';

/** 07:30 in Madrid, on the third day after sowing. */
const MORNING = Date.parse('2026-11-05T06:30Z');
const BRITISH = 'en-AU,en;q=0.8';
const AMERICAN = 'en-US,en;q=0.9';

describe('the language of whoever reads', () => {
  let app: App;
  let outside: Outside;
  let home: Reminded;
  before(async () => {
    app = await startApp();
    outside = await startOutside();
    Object.assign(process.env, outsideSettings(outside));
    home = await Reminded.begin(app.database.ownerUrl, 'Two languages', MORNING - MINUTE);
    await home.sow({ cropKey: 'arugula' });
  });
  after(async () => {
    await outside.close();
    await app.close();
  });

  const page = async (path: string, headers: Record<string, string>) => {
    const { text } = await app.send({ path, headers: { accept: 'text/html', ...headers } });
    return { lang: /<html lang="([^"]+)"/.exec(text)?.[1], text };
  };
  const signedIn = async (name: string, language: string | null) => ({
    cookie: `${SESSION_COOKIE}=${await startSession(home.id, name, 'Firefox', language)}`
  });

  it('is their browser’s before anybody signs in, the nearest there is', async () => {
    for (const [reads, lang] of [
      [AMERICAN, 'en-US'],
      [BRITISH, 'en'],
      ['xx;q=1, en-US;q=0.1', 'en-US'],
      ['', 'en'],
      ['*', 'en'],
      ['\u00e9,;;q=nonsense', 'en']
    ] as const)
      expect((await page('/sign-in', { 'accept-language': reads })).lang, reads).to.equal(lang);
  });

  it('is each member’s own in one household, whatever browser they use next', async () => {
    const nela = await signedIn('Nela', 'en');
    const tobi = await signedIn('Tobi', 'en-US');
    const hers = await page('/crops/arugula', { ...nela, 'accept-language': AMERICAN });
    const his = await page('/crops/arugula', { ...tobi, 'accept-language': BRITISH });
    expect([hers.lang, his.lang]).to.deep.equal(['en', 'en-US']);
    expect(hers.text).to.match(/<h1[^>]*>Rocket/);
    expect(his.text).to.match(/<h1[^>]*>Arugula/);
    // Signing in elsewhere changes nothing.
    const again = await signedIn('Nela', 'en-US');
    expect((await page('/crops/arugula', again)).lang).to.equal('en');
  });

  it('is the browser’s for a member of whom none is known, and one there is where theirs is gone', async () => {
    const runa = await signedIn('Runa', null);
    expect((await page('/round', { ...runa, 'accept-language': AMERICAN })).lang).to.equal('en-US');
    await inHousehold(home.id, (tx) => tx`update members set language = 'qq' where name = 'Runa'`);
    expect((await page('/round', { ...runa, 'accept-language': AMERICAN })).lang).to.equal('en');
  });

  it('is chosen from those there are', async () => {
    const tobi = await signedIn('Tobi', null);
    const choose = (language: string) =>
      app.send({
        method: 'POST',
        path: '/household/people?/language',
        headers: { ...FORM, ...tobi, origin: app.base.origin, accept: 'text/html' },
        body: formBody({ language })
      });
    const refused = await choose('tlh');
    expect([refused.status, refused.text.includes('Choose a language from the list.')]).to.deep.equal([
      422,
      true
    ]);
    expect((await choose('en')).status).to.equal(303);
    expect((await page('/household/people', tobi)).lang).to.equal('en');
    expect((await choose('en-US')).status).to.equal(303);
    expect((await page('/household/people', tobi)).lang).to.equal('en-US');
  });

  it('goes with their mail and their calendar', async () => {
    await inHousehold(home.id, (tx) => setLanguage(tx, home.memberId, 'en-US'));
    await home.judge();
    await home.channel('mail', { to: 'nela@balcony.example' });
    await home.clock(MORNING + 2000);
    await home.judge();
    expect(await sendAll()).to.deep.equal(['sent']);
    const [mail] = outside.mail.mails.splice(0);
    expect(mail!.text)
      .to.match(/arugula/i)
      .and.not.match(/rocket/i);
    const token = await inHousehold(home.id, (tx) =>
      addFeed(tx, home.id, home.memberId, randomUUID(), 'calendar')
    );
    const calendar = async () =>
      (await app.send({ path: `/calendar/${token}/brote.ics`, headers: { 'accept-language': BRITISH } }))
        .text;
    expect(await calendar()).to.match(/Cut arugula/);
    await inHousehold(home.id, (tx) => setLanguage(tx, home.memberId, 'en'));
    expect(await calendar()).to.match(/Cut rocket/);
  });
});
