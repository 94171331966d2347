import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import ICAL from 'ical.js';
import { startApp, type App } from '../support/app.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { displayDay } from '../../src/server/app/displayDay.ts';
import { addEvents } from '../../src/server/app/addEvents.ts';
import { addFeed, removeFeed } from '../../src/server/reminders/feeds.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { event } from '../support/household.ts';
import { Reminded } from '../support/reminded.ts';

/** 10:00 in Madrid, the day before its clocks go back. */
const NOW = Date.parse('2026-10-24T08:00Z');

describe('the calendar', () => {
  let app: App;
  let home: Reminded;
  let token: string;
  let feed: string;
  before(async () => {
    app = await startApp();
    home = await Reminded.begin(app.database.ownerUrl, 'Calendar', NOW);
    feed = randomUUID();
    token = (await inHousehold(home.id, (tx) => addFeed(tx, home.id, home.memberId, feed, 'calendar')))!;
  });
  after(() => app.close());

  const read = async (which = token) => app.send({ path: `/calendar/${which}/brote.ics` });
  /** Its events as a parser finds them that is not ours, by what they are. */
  async function events(): Promise<Map<string, ICAL.Event>> {
    const { status, text } = await read();
    expect(status).to.equal(200);
    const calendar = new ICAL.Component(ICAL.parse(text) as never);
    expect(calendar.getFirstPropertyValue('version')).to.equal('2.0');
    const all = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    const ids = all.map(({ uid }) => uid);
    expect(new Set(ids).size).to.equal(ids.length);
    return new Map(all.map((one) => [one.uid.replace(`@${home.id}`, ''), one]));
  }
  const at = (time: ICAL.Time) => time.toJSDate().getTime();
  const alarms = (one: ICAL.Event) => one.component.getAllSubcomponents('valarm');

  it('has rounds with what they ask for at their own minute, over a clock change too', async () => {
    await home.sow({ sowAt: NOW - 4 * DAY }, [
      event(0, { type: 'sown', waterG: 300 }, { at: NOW - 4 * DAY }),
      event(0, { type: 'lit' }, { at: NOW - 2 * DAY })
    ]);
    const rounds = [...(await events())].filter(([uid]) => uid.startsWith('round-'));
    expect(rounds.length).to.be.within(5, 14);
    for (const [uid, one] of rounds) {
      const there = new Intl.DateTimeFormat('en-GB', {
        timeZone: 'Europe/Madrid',
        hour: '2-digit',
        minute: '2-digit'
      });
      expect(there.format(at(one.startDate))).to.equal(uid.endsWith('.0') ? '07:30' : '20:30');
      expect(one.summary).to.match(/^\d+ trays? needs? you: /);
      expect(one.description).to.match(/^Radish \(/);
      expect(alarms(one)).to.have.length(1);
    }
    expect(rounds.map(([, { summary }]) => summary).join()).to.match(/mL (under|over) radish/);
  });

  it('has a window as whole days and a soak from in to out, each with its alarm', async () => {
    const sown = [...(await events())].find(([uid]) => uid.startsWith('window-'))![1];
    expect(sown.startDate.isDate).to.equal(true);
    expect(sown.summary).to.equal('Cut radish');
    expect(sown.duration.toSeconds()).to.be.at.least(86_400);
    const start = Date.parse('2026-10-25T19:30Z');
    const pea = await home.sow(
      { cropKey: 'pea', soakStartAt: start, soakEndAt: start + 10 * HOUR, sowAt: start + 10 * HOUR },
      []
    );
    const soak = (await events()).get(`soak-${pea}`)!;
    expect([at(soak.startDate), at(soak.endDate)]).to.deep.equal([start, start + 10 * HOUR]);
    expect(at(alarms(soak)[0]!.getFirstPropertyValue('trigger') as ICAL.Time)).to.equal(start + 10 * HOUR);
  });

  it('moves what has moved instead of doubling it, and leaves alone what has not', async () => {
    const tray = await home.sow({ sowAt: NOW - 8 * DAY }, [
      event(0, { type: 'sown', waterG: 300 }, { at: NOW - 8 * DAY }),
      event(0, { type: 'lit' }, { at: NOW - 5 * DAY })
    ]);
    const first = await events();
    const again = await events();
    for (const [uid, one] of again) expect(one.sequence, uid).to.equal(first.get(uid)!.sequence);
    // Not open yet, though it should be: it is a slow one.
    await inHousehold(home.id, (tx) =>
      addEvents(tx, home.id, tray, [
        event(0, { type: 'looked', cue: 'windowOpen', reached: false }, { at: NOW - HOUR, id: randomUUID() })
      ])
    );
    const after = await events();
    const [before_, moved] = [first.get(`window-${tray}`)!, after.get(`window-${tray}`)!];
    expect(at(moved.startDate)).to.be.greaterThan(at(before_.startDate));
    expect(moved.sequence).to.equal(before_.sequence + 1);
    const changed = (one: ICAL.Event) =>
      at(one.component.getFirstPropertyValue('last-modified') as ICAL.Time);
    expect(changed(moved)).to.be.at.least(changed(before_));
    expect([...after.keys()].filter((uid) => uid === `window-${tray}`)).to.have.length(1);
  });

  it('is the same again to a calendar that has it already', async () => {
    const { headers } = await read();
    const same = await app.send({
      path: `/calendar/${token}/brote.ics`,
      headers: { 'if-none-match': String(headers.etag) }
    });
    expect(same.status).to.equal(304);
  });

  it('shows nothing at an address that is wrong or was taken away, and lets nobody guess for long', async () => {
    await inHousehold(home.id, (tx) => removeFeed(tx, home.memberId, feed));
    const gone = await read();
    expect(gone.status).to.equal(404);
    expect(gone.text).to.equal((await read('x'.repeat(43))).text);
    expect(gone.text).not.to.contain('radish');
    const rows = await inHousehold(home.id, (tx) => tx`select token_hash from feeds`);
    expect(rows).to.have.length(0);
    let last = 404;
    for (let tries = 0; tries < 30 && last === 404; tries += 1) last = (await read(`guess${tries}`)).status;
    expect(last).to.equal(429);
  });
});

describe('a display on the wall', () => {
  let app: App;
  let home: Reminded;
  const feed = randomUUID();
  let token: string;
  before(async () => {
    app = await startApp();
    home = await Reminded.begin(app.database.ownerUrl, 'Wall', NOW);
    token = (await inHousehold(home.id, (tx) => addFeed(tx, home.id, home.memberId, feed, 'display')))!;
  });
  after(() => app.close());

  it('shows this round and the rounds until the end of tomorrow to anyone who has its address', async () => {
    await home.sow({ sowAt: NOW - 4 * DAY }, [
      event(0, { type: 'sown', waterG: 300 }, { at: NOW - 4 * DAY }),
      event(0, { type: 'lit' }, { at: NOW - 2 * DAY })
    ]);
    const day = await displayDay((work) => inHousehold(home.id, work));
    expect(day.household).to.equal('Wall');
    expect(day.stops.map(({ steps }) => steps.length > 0)).to.deep.equal([true]);
    const days = new Set(day.ahead.map(({ when }) => when.split(' ')[0]));
    expect([...days].every((one) => ['Today', 'Tomorrow'].includes(one!))).to.equal(true);
    const page = await app.send({ path: `/display/${token}` });
    expect(page.status).to.equal(200);
    for (const step of day.stops[0]!.steps) expect(page.text).to.contain(step);
    const [row] = await inHousehold(home.id, (tx) => tx`select read_at from feeds where id = ${feed}`);
    expect(row!.read_at).to.be.a('date');
  });

  it('opens nothing but its own page, and nothing once it is removed', async () => {
    expect((await app.send({ path: `/calendar/${token}/brote.ics` })).status).to.equal(404);
    expect((await app.send({ path: '/round', headers: { accept: 'text/html' } })).status).to.equal(303);
    await inHousehold(home.id, (tx) => removeFeed(tx, home.memberId, feed));
    const gone = await app.send({ path: `/display/${token}`, headers: { accept: 'text/html' } });
    expect(gone.status).to.equal(404);
    expect(gone.text).to.contain('Make a new one');
  });
});
