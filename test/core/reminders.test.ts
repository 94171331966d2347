import { expect } from 'chai';
import { FORECAST_VERSION } from '../../src/core/growth/forecast.ts';
import { judge } from '../../src/core/reminders/due.ts';
import type { Reminder, Told } from '../../src/core/reminders/reminder.ts';
import { planSowing } from '../../src/core/sowing/planSowing.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { methodOf } from '../../src/core/supplies/methods/ready.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { roundAt, type Rhythm } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR, MINUTE } from '../../src/core/time/zone.ts';
import { roundThatTells } from '../../src/core/reminders/once.ts';
import { bodyOfWalk } from '../../src/core/reminders/rounds.ts';
import { reminderWords } from '../../src/words/reminders.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';
import { remindedKitchen } from '../support/remindedMonth.ts';
import { at, rhythm } from '../support/rhythm.ts';

const locale = { zone: 'Europe/Madrid', units: 'metric' as const };

/** Clock time there by the machine's own tables, which the core does not ask. */
const clock = (ms: number, zone: string) =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit' }).format(ms);
const day = (ms: number, zone: string) => new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(ms);

const facts = (one: Rhythm): HouseholdFacts => ({ ...home, rhythm: one });

function sowing(
  cropKey: string,
  n: number,
  now: number,
  household: HouseholdFacts
): { setup: SowingSetup; events: SowingEvent[] } {
  const [planned] = planSowing(
    {
      kind: 'one',
      parts: [{ crop: cropOf(cropKey), lot: null, share: 1 }],
      shareOf: 'weight',
      staggered: false,
      container: radishTray().container,
      count: 1,
      medium: 'coir',
      mediumId: null,
      method: methodOf('press-and-wait'),
      place: shelf,
      lightPlace: null,
      density: 'usual',
      ownSeedG: null,
      germinationPct: null,
      soakH: null,
      stackOf: null,
      aim: { kind: 'now' }
    },
    { ...household, now }
  );
  const id = `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
  return { setup: { ...planned!.setup, id }, events: [] };
}

const CROPS = ['radish', 'pea', 'kale', 'sunflower', 'cilantro', 'arugula'];

describe('what a household is reminded of', () => {
  for (const [zone, from, change] of [
    ['Europe/Madrid', '2026-10-12T06:00Z', '2026-10-25'],
    ['Europe/Madrid', '2027-03-14T06:00Z', '2027-03-28'],
    ['America/New_York', '2026-10-20T12:00Z', '2026-11-01'],
    ['Australia/Lord_Howe', '2027-03-20T00:00Z', '2027-04-04'],
    ['Asia/Kathmandu', '2028-02-15T03:00Z', null]
  ] as const)
    it(`in a month of ${zone}${change ? ` over the clock change of ${change}` : ' with a leap day'}, each comes at its minute and once`, () => {
      const house = facts(rhythm(zone));
      const start = at(from);
      const kitchen = remindedKitchen(
        house,
        CROPS.map((crop, n) => sowing(crop, n + 1, start + n * 2 * HOUR, house)),
        start,
        { follows: () => true }
      );
      const came = kitchen.until(start + 31 * DAY);
      expect(new Set(came.map(({ key }) => key)).size).to.equal(came.length);
      const rounds = came.filter(({ body }) => body.type === 'round');
      expect(rounds.length).to.be.greaterThan(15);
      for (const { at: moment } of rounds) expect(['07:30', '20:30']).to.include(clock(moment, zone));
      // Each day has at most one of each.
      const stamps = rounds.map(({ at: moment }) => `${day(moment, zone)} ${clock(moment, zone)}`);
      expect(new Set(stamps).size).to.equal(stamps.length);
      for (const { body, at: moment } of came) {
        if (body.type === 'timer') expect(moment).to.be.within(body.timer.endsAt, body.timer.endsAt + MINUTE);
        if (body.type === 'window') expect(['07:30', '20:30']).to.include(clock(moment, zone));
        expect(body.type).not.to.equal('catch-up');
      }
      // Whoever does what is said lets nothing dry out.
      expect(came.filter(({ body }) => body.type === 'dry')).to.deep.equal([]);
      // Every tray that was grown was said to open the evening before, and to be open unless it was cut within minutes of it.
      const said = (state: string) =>
        came.flatMap(({ body }) => (body.type === 'window' && body.state === state ? body.crops : []));
      expect(said('opening').sort()).to.deep.equal(CROPS.map((crop) => cropOf(crop).name).sort());
      expect(said('open').length).to.be.within(CROPS.length - 2, CROPS.length);
      expect(kitchen.judged).to.be.lessThan(31 * 12);
    });

  it('comes once where a clock change doubles the hour of a round, and an hour on where it is skipped', () => {
    const night: Rhythm = { ...rhythm(), wakeMin: 0, sleepMin: 1439, roundsMin: [150] };
    for (const [from, expected] of [
      ['2026-10-24T00:00Z', ['2026-10-24 02:30', '2026-10-25 02:30', '2026-10-26 02:30']],
      ['2027-03-27T00:00Z', ['2027-03-27 02:30', '2027-03-28 03:30', '2027-03-29 02:30']]
    ] as const) {
      const house = facts(night);
      const start = at(from);
      const tray = {
        setup: radishTray(),
        events: [
          event(0, { type: 'sown', waterG: 60 }, { at: start - 9 * DAY }),
          event(0, { type: 'lit' }, { at: start - 6 * DAY })
        ]
      };
      const came = remindedKitchen(house, [tray], start, { follows: () => false }).until(start + 3 * DAY);
      const rounds = came.filter(({ key }) => key.startsWith('round:'));
      expect(
        rounds.map(({ at: moment }) => `${day(moment, 'Europe/Madrid')} ${clock(moment, 'Europe/Madrid')}`)
      ).to.deep.equal(expected);
    }
  });

  it('goes by the new hours of a household that moves to another zone, and tells no round twice', () => {
    const tray = { setup: radishTray(), events: [sown(), event(60, { type: 'lit' })] };
    const start = SOWN + 72 * HOUR;
    const before = remindedKitchen(home, [tray], start, { follows: () => true }).until(start + DAY);
    const moved: HouseholdFacts = { ...home, rhythm: rhythm('America/New_York') };
    const told = before.map(({ key }) => ({ key, opensAt: null }));
    const after: Reminder[] = [];
    let since = start + DAY;
    for (let now = since + HOUR / 4; now < start + 3 * DAY; now += HOUR / 4) {
      const { due } = judge(
        moved,
        [project(moved, tray.setup, tray.events)],
        {
          told: [...told, ...after.map(({ key }) => ({ key, opensAt: null }))],
          lastTouchAt: now,
          lastRead: [],
          since
        },
        now
      );
      since = now;
      after.push(...due);
    }
    const keys = [...told, ...after].map(({ key }) => key);
    expect(new Set(keys).size).to.equal(keys.length);
    const rounds = after.filter(({ body }) => body.type === 'round');
    expect(rounds.length).to.be.greaterThan(1);
    for (const { dueAt } of rounds) expect(['07:30', '20:30']).to.include(clock(dueAt, 'America/New_York'));
  });

  it('says what the round’s page says, and nothing where it asks for nothing', () => {
    const events = [sown(), event(48, { type: 'uncovered' }), event(60, { type: 'lit' })];
    const dry = project(home, radishTray(), events);
    for (let now = SOWN + 3 * DAY; now < SOWN + 8 * DAY; now += 6 * HOUR) {
      const { due } = judge(
        home,
        [dry],
        { told: [], lastTouchAt: now - HOUR, lastRead: [], since: now - 6 * HOUR },
        now
      );
      const said = due.find(({ body }) => body.type === 'round');
      const page = walk([dry], roundAt(home.rhythm, now), now);
      const asked = page.stops.flatMap(({ steps }) => steps.map(({ body }) => body));
      if (said?.body.type === 'round')
        expect(said.body.stops.flatMap(({ steps }) => steps.map(({ body }) => body))).to.deep.equal(asked);
      else if (due.length > 0 || asked.length > 0)
        expect(asked.length === 0 || !due.some(({ kind }) => kind === 'round')).to.equal(true);
    }
    const fresh = project(home, radishTray(), [sown()]);
    const evening = at('2026-11-02T19:30Z');
    expect(
      judge(home, [fresh], { told: [], lastTouchAt: SOWN, lastRead: [], since: evening - HOUR }, evening).due
    ).to.deep.equal([]);
  });

  it('tells of a soak at its end, in its last hour and when it was missed, at each minute and no other', () => {
    const pea = { ...sowing('pea', 7, at('2026-11-02T10:00Z'), home) };
    const soakedAt = pea.setup.soakStartAt!;
    pea.events.push(event(0, { type: 'soaked' }, { at: soakedAt }));
    const came = remindedKitchen(home, [pea], soakedAt + MINUTE, { follows: () => false })
      .until(soakedAt + 40 * HOUR)
      .filter(({ kind }) => kind === 'timer');
    const crop = cropOf('pea');
    expect(came.map(({ body }) => body.type === 'timer' && body.state)).to.deep.equal([
      'due',
      'last-hour',
      'missed'
    ]);
    expect(came.map(({ at: moment }) => Math.round((moment - soakedAt) / MINUTE))).to.deep.equal([
      Math.round((pea.setup.soakEndAt! - soakedAt) / MINUTE),
      (crop.soakMaxH - 1) * 60,
      crop.soakMaxH * 60
    ]);
  });

  it('leaves a soak that is over to the round that tells of it too, and to no other', () => {
    const pea = sowing('pea', 7, at('2026-11-02T10:00Z'), home);
    const soakedAt = pea.setup.soakStartAt!;
    pea.events.push(event(0, { type: 'soaked' }, { at: soakedAt }));
    const came = remindedKitchen(home, [pea], soakedAt + MINUTE, { follows: () => false }).until(
      soakedAt + 40 * HOUR
    );
    const over = came.find(({ body }) => body.type === 'timer' && body.state === 'due')!;
    const missed = came.find(({ body }) => body.type === 'timer' && body.state === 'missed')!;
    const round = came.find(
      ({ body, at: moment }) =>
        body.type === 'round' && moment >= over.at && body.stops.some(({ steps }) => steps.length > 0)
    )!;
    if (round.body.type !== 'round') throw new Error('It is a round.');
    // Told together it is told once, by the round that asks to drain.
    expect(roundThatTells(over, [over, round], home.rhythm, round.at)).to.equal(round.body.roundKey);
    // Shortly before a round it waits for that, if that does no harm; otherwise it is told at its minute.
    const next = roundAt(home.rhythm, round.at);
    const softFrom = (latestAt: number) => {
      if (over.body.type !== 'timer') throw new Error('It is a timer.');
      return { body: { ...over.body, timer: { ...over.body.timer, latestAt } } };
    };
    const before = next.at - 20 * MINUTE;
    expect(roundThatTells(softFrom(next.at + HOUR), [], home.rhythm, before)).to.equal(next.key);
    expect(roundThatTells(softFrom(next.at - MINUTE), [], home.rhythm, before)).to.equal(null);
    expect(roundThatTells(softFrom(next.at + HOUR), [], home.rhythm, next.at - 2 * HOUR)).to.equal(null);
    // What warns of harm never waits.
    expect(roundThatTells(missed, [missed, round], home.rhythm, next.at - 20 * MINUTE)).to.equal(null);
    const other = { body: { ...round.body, stops: [] } };
    expect(roundThatTells(over, [over, other], home.rhythm, next.at - 2 * HOUR)).to.equal(null);
  });

  it('warns of a tray that dries out once, after the round that asked in vain and while it can be mended', () => {
    const thirsty = [
      event(0, { type: 'sown', waterG: 300 }),
      event(48, { type: 'lit' }),
      event(94, { type: 'felt', moisture: 'dry' })
    ];
    const tray = { setup: radishTray(), events: thirsty };
    const came = remindedKitchen(home, [tray], SOWN + 95 * HOUR, { follows: () => false })
      .until(SOWN + 95 * HOUR + 1.8 * DAY)
      .filter(({ body }) => body.type === 'dry');
    expect(came.length).to.equal(1);
    expect(came[0]!.kind).to.equal('trouble');
  });

  it('asks what is true instead of listing what was missed, after days of silence', () => {
    const tray = { setup: radishTray(), events: [sown(), event(48, { type: 'lit' })] };
    const kitchen = remindedKitchen(home, [tray], SOWN + 49 * HOUR, { follows: () => false });
    const came = kitchen.until(SOWN + 49 * HOUR + 7 * DAY);
    const asked = came.filter(({ body }) => body.type === 'catch-up');
    expect(asked.length).to.be.within(4, 6);
    const first = asked[0]!.at;
    expect(came.filter(({ body, at: moment }) => body.type === 'round' && moment > first)).to.deep.equal([]);
  });

  it('tells an opening again only where it has truly moved, and then says so', () => {
    const watered = event(130, { type: 'watered', waterG: 250 });
    const events = [sown(), event(48, { type: 'lit' }), watered];
    const before = project(home, radishTray(), events);
    const open = before.forecast.marks.windowOpen.p50;
    const told = (opensAt: number, forecast: number | null) => [
      { key: `window:opening:${before.setup.id}`, opensAt, forecast }
    ];
    const ask = (
      opensAt: number | null,
      forecast: number | null = null,
      more: readonly Told[] = []
    ): Reminder | undefined => {
      const { due } = judge(
        home,
        [before],
        {
          told: opensAt === null ? [] : [...told(opensAt, forecast), ...more],
          lastTouchAt: open - DAY,
          lastRead: [],
          since: open - 2 * DAY
        },
        open - HOUR
      );
      return due.find(({ body }) => body.type === 'window' && body.state === 'opening');
    };
    expect(ask(null)!.body).to.include({ wasAt: null });
    expect(ask(open - DAY)).to.equal(undefined);
    const again = ask(open - 2 * DAY)!;
    expect(reminderWords(again.body, open - HOUR, locale).summary).to.contain('The date has moved');
    // Where an update moved it, that is said, whichever way it moved; where it left it on its day, nothing is.
    for (const wasAt of [open - DAY, open + DAY]) {
      const updated = ask(wasAt, FORECAST_VERSION - 1)!;
      expect(reminderWords(updated.body, open - HOUR, locale).summary).to.contain('Brote was updated');
    }
    expect(ask(open + HOUR, FORECAST_VERSION - 1)).to.equal(undefined);
    expect(ask(open + DAY, FORECAST_VERSION)).to.equal(undefined);
    // Once said, it is not said again.
    const since = { key: `window:opening:${before.setup.id}:1`, opensAt: open, forecast: FORECAST_VERSION };
    expect(ask(open + DAY, FORECAST_VERSION - 1, [since])).to.equal(undefined);
  });

  it('tells nobody in an empty household, and asks again when something is sown', () => {
    expect(judge(home, [], { told: [], lastTouchAt: 0, lastRead: [], since: 0 }, SOWN)).to.deep.equal({
      due: [],
      nextAt: Infinity
    });
  });
});

describe('the words of a reminder', () => {
  it('name the sink to whoever walks anyway, and call nobody for it alone', () => {
    const grown = [sown(), event(48, { type: 'uncovered' }), event(60, { type: 'lit' })];
    const dry = project(home, radishTray(), grown);
    const emptied = project(home, { ...radishTray(), id: '00000000-0000-4000-8000-000000000009' }, [
      ...grown,
      event(70, { type: 'ended', reason: 'other' })
    ]);
    const now = SOWN + 6 * DAY;
    const told = (standing: readonly (typeof dry)[]) =>
      judge(
        home,
        standing,
        { told: [], lastTouchAt: now - HOUR, lastRead: [], since: now - 14 * HOUR, emptied: [emptied] },
        now
      ).due.filter(({ body }) => body.type === 'round');
    const { summary, lines } = reminderWords(told([dry])[0]!.body, now, locale);
    expect(summary).to.match(/; wash 1 empty container$/);
    expect(lines.at(-1)).to.match(/^At the sink: .*Free again once clean and dry\.$/);
    expect(told([])).to.deep.equal([]);
  });

  it('tell two trays of a crop apart by their containers, and name a crop that stands once by itself', () => {
    const grown = [sown(), event(48, { type: 'uncovered' }), event(60, { type: 'lit' })];
    const trays = [
      ['0a', 'radish', 1],
      ['0b', 'radish', 2],
      ['0c', 'kale', 3]
    ] as const;
    const standing = trays.map(([id, cropKey, trayNo]) =>
      project(
        home,
        { ...radishTray({ cropKey, trayNo }), id: `00000000-0000-4000-8000-0000000000${id}` },
        grown
      )
    );
    const now = SOWN + 6 * DAY;
    const round = walk(standing, roundAt(home.rhythm, now), now);
    const body = bodyOfWalk(round)!;
    const { summary } = reminderWords(body, now, locale);
    const { container } = radishTray();
    expect(summary).to.match(/^3 trays need you: /);
    for (const no of [1, 2]) expect(summary).to.include(`radish (${container.name} ${no})`);
    expect(summary).to.include('kale');
    expect(summary).not.to.include(`kale (${container.name}`);
  });

  it('say the round in one line, by the same amounts as its cards', () => {
    const kitchen = remindedKitchen(
      home,
      ['radish', 'pea', 'kale'].map((crop, n) => sowing(crop, n + 1, SOWN, home)),
      SOWN - HOUR,
      { follows: () => true }
    );
    const rounds = kitchen.until(SOWN + 12 * DAY).filter(({ body }) => body.type === 'round');
    const said = rounds.map(({ body, at: moment }) => reminderWords(body, moment, locale));
    for (const { summary, lines, why } of said) {
      expect(summary).to.match(/^\d+ trays? needs? you: \S/);
      expect(lines.length).to.be.greaterThan(0);
      expect(why.length).to.be.lessThan(100);
    }
    const all = said.map(({ summary }) => summary).join('\n');
    expect(all).to.match(/\d+ mL (under|over|misted over) pea/);
    expect(all).to.contain('radish to light');
    expect(all).to.match(/check (kale|pea|radish)/);
    expect(all).to.contain('soak');
  });
});
