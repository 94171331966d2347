import { expect } from 'chai';
import fc from 'fast-check';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { bandsOf } from '../../src/core/picture/bands.ts';
import { pictureOf } from '../../src/core/picture/picture.ts';
import { reduceEvents, type SowingState } from '../../src/core/sowing/reduce.ts';
import { project } from '../../src/core/sowing/project.ts';
import { DAY, HOUR, zoneOf } from '../../src/core/time/zone.ts';
import { waterAt } from '../../src/core/water/level.ts';
import { cellar, event, home, radishTray, sown, SOWN } from '../support/household.ts';

const bodies: fc.Arbitrary<EventBody> = fc.oneof(
  fc.constant<EventBody>({ type: 'soaked' }),
  fc.constant<EventBody>({ type: 'drained' }),
  fc.constant<EventBody>({ type: 'sown', waterG: 300 }),
  fc.constant<EventBody>({ type: 'uncovered' }),
  fc.constant<EventBody>({ type: 'lit' }),
  fc.integer({ min: 1, max: 300 }).map((waterG): EventBody => ({ type: 'watered', waterG })),
  fc.constantFrom<EventBody>({ type: 'felt', moisture: 'dry' }, { type: 'felt', moisture: 'wet' }),
  fc
    .record({
      cue: fc.constantFrom('rooted' as const, 'lightReady' as const, 'windowOpen' as const),
      reached: fc.boolean()
    })
    .map((look): EventBody => ({ type: 'looked', ...look })),
  fc.constant<EventBody>({ type: 'cut', grossG: 90, tareG: 20, share: 0.25, last: false }),
  fc.constant<EventBody>({ type: 'noted', text: 'hm' })
);
const story: fc.Arbitrary<SowingEvent[]> = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 300 }), bodies), { maxLength: 25 })
  .map((parts) => parts.map(([hours, body], index) => event(hours + index / 1000, body)));

const facts = ({ log: _log, ...rest }: SowingState) => ({ ...rest, ticked: [...rest.ticked].sort() });

describe('a sowing’s events', () => {
  it('undo undoes: taking an event back leaves what was before it', () => {
    fc.assert(
      fc.property(story, bodies, fc.integer({ min: 0, max: 300 }), (events, body, hours) => {
        const extra = event(hours + 0.5, body, { taskKey: 'some-task' });
        const undo = event(400, { type: 'undone', eventId: extra.id });
        expect(facts(reduceEvents([...events, extra, undo]))).to.deep.equal(facts(reduceEvents(events)));
      })
    );
  });

  it('means the same in whatever order it arrives', () => {
    fc.assert(
      fc.property(story, (events) => {
        expect(facts(reduceEvents([...events].reverse()))).to.deep.equal(facts(reduceEvents(events)));
      })
    );
  });

  it('counts a task ticked by two people once, and says so in the log', () => {
    const tick = () => event(50, { type: 'watered', waterG: 120 }, { taskKey: 'water:2026-11-04.0' });
    const state = reduceEvents([sown(), tick(), tick()]);
    expect(state.water.filter((fact) => 'addedG' in fact && fact.addedG === 120)).to.have.length(1);
    expect(state.log.map(({ repeat }) => repeat)).to.deep.equal([false, false, true]);
  });

  it('lets the second person’s tick stand where the first takes theirs back', () => {
    const [mine, yours] = [1, 2].map((n) =>
      event(50 + n / 10, { type: 'watered', waterG: 120 }, { taskKey: 'water:1' })
    );
    const state = reduceEvents([sown(), mine!, yours!, event(51, { type: 'undone', eventId: mine!.id })]);
    expect(state.water).to.have.length(2);
    expect(state.ticked.has('water:1')).to.equal(true);
  });

  it('passes through the stages, and is not turned back by a late tick', () => {
    const events = [sown(), event(40, { type: 'uncovered' }), event(80, { type: 'lit' })];
    expect(reduceEvents(events.slice(0, 1)).stage).to.equal('press');
    expect(reduceEvents(events.slice(0, 2)).stage).to.equal('blackout');
    expect(reduceEvents([...events, event(81, { type: 'uncovered' })]).stage).to.equal('light');
    expect(reduceEvents([...events, event(90, { type: 'sown', waterG: 1 })]).sownAt).to.equal(SOWN);
  });

  it('ends with the last part, and takes a wrong end back', () => {
    const part = (hours: number, share: number, last = false) =>
      event(hours, { type: 'cut', grossG: 70, tareG: 20, share, last });
    const half = reduceEvents([sown(), part(170, 0.5)]);
    expect([half.stage, half.cutShare]).to.deep.equal(['press', 0.5]);
    const whole = reduceEvents([sown(), part(170, 0.5), part(190, 0.5)]);
    expect([whole.stage, whole.endedAt, whole.cuts.length]).to.deep.equal(['ended', SOWN + 190 * HOUR, 2]);
    const wrong = event(100, { type: 'ended', reason: 'mould' });
    expect(reduceEvents([sown(), wrong]).lost).to.equal('mould');
    expect(reduceEvents([sown(), wrong, event(101, { type: 'undone', eventId: wrong.id })]).endedAt).to.equal(
      null
    );
  });
});

describe('following a sowing', () => {
  it('brings light and window forward when the lid lifts a day early', () => {
    const before = project(home, radishTray(), [sown()]);
    const after = project(home, radishTray(), [
      sown(),
      event(30, { type: 'looked', cue: 'rooted', reached: false }),
      event(36, { type: 'looked', cue: 'rooted', reached: true })
    ]);
    expect(after.forecast.marks.windowOpen.p50).to.be.below(before.forecast.marks.windowOpen.p50 - 6 * HOUR);
    expect(bandsOf(after).open.p50).to.equal(after.forecast.marks.windowOpen.p50);
  });

  it('moves the forecast with the tray', () => {
    const moved = project(home, radishTray(), [sown(), event(10, { type: 'moved', placeId: cellar.id })]);
    expect(moved.place.name).to.equal('Cellar');
    expect(moved.forecast.marks.windowOpen.p50).to.be.above(
      project(home, radishTray(), [sown()]).forecast.marks.windowOpen.p50 + 2 * DAY
    );
  });

  it('refuses a place that does not exist', () => {
    expect(() => project(home, radishTray({ placeId: 'nowhere' }), [])).to.throw('place that does not exist');
  });

  it('takes seed that was drained for soaked, ticked or not', () => {
    const pea = radishTray({ cropKey: 'pea' });
    const rooted = (...events: SowingEvent[]) =>
      project(home, pea, [...events, sown()]).forecast.marks.rooted.p50;
    const [soaked, drained] = [event(-10, { type: 'soaked' }), event(-1, { type: 'drained' })];
    expect(rooted(drained)).to.equal(rooted(soaked, drained));
    expect(rooted()).to.be.above(rooted(drained) + 6 * HOUR);
  });

  it('counts a soak from when it really began', () => {
    const setup = radishTray({
      cropKey: 'pea',
      soakStartAt: SOWN - 12 * HOUR,
      soakEndAt: SOWN - 2 * HOUR,
      sowAt: SOWN
    });
    const late = project(home, setup, [event(-10, { type: 'soaked' })]);
    expect(late.soak.soakStart).to.equal(SOWN - 10 * HOUR);
    expect(late.soak.soakH).to.be.within(8, 12);
    expect(project(home, setup, []).soak.soakEnd).to.equal(SOWN - 2 * HOUR);
  });

  it('counts days by the calendar of its household, through both clock changes and a leap day', () => {
    const zone = zoneOf('Europe/Madrid');
    const days = (from: string, at: string) => zone.daysBetween(Date.parse(from), Date.parse(at));
    expect(days('2026-11-02T09:00+01:00', '2026-11-05T07:00+01:00')).to.equal(3);
    expect(days('2026-11-02T23:30+01:00', '2026-11-03T00:30+01:00')).to.equal(1);
    expect(days('2026-10-24T23:30+02:00', '2026-10-26T00:30+01:00')).to.equal(2);
    expect(days('2026-03-28T00:30+01:00', '2026-03-29T23:30+02:00')).to.equal(1);
    expect(days('2028-02-28T12:00+01:00', '2028-03-01T12:00+01:00')).to.equal(2);
    expect(days('2026-11-03T09:00+01:00', '2026-11-02T09:00+01:00')).to.equal(-1);
  });
});

describe('water in the medium', () => {
  const grown = [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];

  it('starts full, dries faster in light than under cover, and is never less than none', () => {
    const projected = project(home, radishTray(), grown);
    const share = (hours: number) => waterAt(projected, SOWN + hours * HOUR).share;
    expect(share(0)).to.be.within(0.85, 0.92);
    expect(share(0) - share(24)).to.be.below(0.1);
    expect(share(90) - share(114)).to.be.above(0.3);
    expect(share(2000)).to.equal(0);
  });

  it('never holds more than its capacity', () => {
    const soaked = project(home, radishTray(), [...grown, event(80, { type: 'watered', waterG: 5000 })]);
    expect(waterAt(soaked, SOWN + 80 * HOUR).share).to.equal(1);
  });

  it('believes a look, as far as it goes', () => {
    const share = (moisture: 'dry' | 'right' | 'wet') =>
      waterAt(
        project(home, radishTray(), [...grown, event(80, { type: 'felt', moisture })]),
        SOWN + 80 * HOUR
      ).share;
    expect(share('dry')).to.be.within(0.25, 0.36);
    expect(share('right')).to.be.within(0.6, 0.92);
    expect(share('wet')).to.be.within(0.82, 1);
    expect(share('dry')).to.be.below(share('right'));
  });

  it('feeds a mesh, which holds next to nothing, from its reservoir', () => {
    const mesh = project(home, radishTray({ medium: 'mesh' }), grown);
    const at = (hours: number) => waterAt(mesh, SOWN + hours * HOUR);
    expect(at(0).capacityG).to.be.closeTo(450 * 1.55, 1e-9);
    expect(at(80).reservoirShare).to.be.within(0.3, 0.5);
    expect(at(100).reservoirShare).to.be.below(at(80).reservoirShare!);
  });
});

describe('the picture', () => {
  const draw = (hours: number, ...more: SowingEvent[]) =>
    pictureOf(project(home, radishTray(), [sown(), ...more]), SOWN + hours * HOUR);

  it('shows seed under its weight, then a dome, then green stems under the lamp', () => {
    expect(draw(2)).to.include({ cover: 'weight', light: 'off' });
    expect(draw(2).stems).to.equal(null);
    expect(draw(60, event(50, { type: 'uncovered' })).cover).to.equal('dome');
    const lit = draw(150, event(50, { type: 'uncovered' }), event(80, { type: 'lit' }));
    expect(lit).to.include({ cover: 'none', light: 'lamp' });
    expect(lit.stems!.green).to.be.above(0.9);
    expect(lit.stems!.heightCm).to.be.within(4, 9);
  });

  it('grows, and never shrinks, until it is cut', () => {
    let before = 0;
    for (let hours = 0; hours <= 240; hours += 6) {
      const height = draw(hours).stems?.heightCm ?? 0;
      expect(height).to.be.at.least(before);
      before = height;
    }
    expect(
      draw(200, event(180, { type: 'cut', grossG: 60, tareG: 10, share: 0.5, last: false })).cut
    ).to.deep.equal([0, 0, 0, 0, 0, 0, 1, 1, 1, 1, 1, 1]);
  });

  it('shows seed that is to be soaked in its jar', () => {
    const setup = radishTray({ cropKey: 'pea', soakStartAt: SOWN - 12 * HOUR, soakEndAt: SOWN - 2 * HOUR });
    expect(pictureOf(project(home, setup, []), SOWN - 13 * HOUR)).to.include({ vessel: 'jar', jarWater: 0 });
    expect(
      pictureOf(project(home, setup, [event(-12, { type: 'soaked' })]), SOWN - 5 * HOUR).jarWater
    ).to.equal(0.8);
  });
});
