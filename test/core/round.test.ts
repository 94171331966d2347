import { expect } from 'chai';
import { cropOf, CROPS } from '../../src/core/crops/library.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { checkWeighIn, yieldOf } from '../../src/core/growth/yield.ts';
import { methodOf, READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { pathOf } from '../../src/core/supplies/methods/path.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { project } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { waterAt } from '../../src/core/water/level.ts';
import { plannedLaterWords } from '../../src/words/ahead.ts';
import { event, home, radishTray, sown, SOWN } from '../support/household.ts';
import { at } from '../support/rhythm.ts';

function ask(now: number, events: SowingEvent[], more: Partial<SowingSetup> = {}) {
  return askOf(project(home, radishTray(more), events), roundAt(home.rhythm, now), now);
}
const kinds = (now: number, events: SowingEvent[], more: Partial<SowingSetup> = {}) =>
  ask(now, events, more).steps.map(({ body }) => body.kind);
const lit = () => [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];

describe('what a round asks for', () => {
  it('asks for sowing with every amount, from the round it is due', () => {
    expect(kinds(SOWN - 26 * HOUR, [])).to.deep.equal([]);
    const [task] = ask(SOWN, []).steps;
    expect(task!.body).to.deep.equal({ kind: 'sow', seedG: 11.8, onWaterMl: 303.75 });
    expect(task!.with.map(({ kind }) => kind)).to.deep.equal(['fill', 'damp', 'mist', 'press']);
    expect(task!.with[0]).to.include({ mediumMl: 1125 });
    expect(task!.with[1]).to.include({ waterMl: 303.75 });
    const pressing = { eachG: 4.5 * 450, leastG: 3 * 450, mostG: 6 * 450, containers: 1 };
    expect(task!.with[3]).to.deep.include({ pressing });
  });

  it('asks for soaking, then draining, then sowing', () => {
    const soaking = {
      cropKey: 'pea',
      soakStartAt: at('2026-11-01T19:30Z'),
      soakEndAt: at('2026-11-02T06:00Z'),
      sowAt: at('2026-11-02T06:00Z')
    };
    const soak = event(0, { type: 'soaked' }, { at: at('2026-11-01T19:30Z') });
    const drain = event(0, { type: 'drained' }, { at: at('2026-11-02T06:00Z') });
    expect(kinds(at('2026-11-01T12:00Z'), [], soaking)).to.deep.equal([]);
    expect(kinds(at('2026-11-01T19:00Z'), [], soaking)).to.deep.equal(['soak']);
    expect(kinds(at('2026-11-02T06:00Z'), [soak], soaking)).to.deep.equal(['drain']);
    expect(kinds(at('2026-11-02T06:10Z'), [soak, drain], soaking)).to.deep.equal(['sow']);
  });

  it('looks for the lid to lift, and asks to uncover once it has', () => {
    expect(ask(SOWN + 6 * HOUR, [sown()]).look).to.equal(null);
    expect(ask(SOWN + 40 * HOUR, [sown()]).look!.cue).to.equal('rooted');
    expect(kinds(SOWN + 40 * HOUR, [sown()])).to.deep.equal([]);
    expect(
      kinds(SOWN + 41 * HOUR, [sown(), event(40, { type: 'looked', cue: 'rooted', reached: true })])
    ).to.deep.equal(['uncover']);
  });

  it('does not ask again what was just answered, and does at the next round', () => {
    const answered = [sown(), event(40, { type: 'looked', cue: 'rooted', reached: false })];
    expect(ask(SOWN + 40.1 * HOUR, answered).look).to.equal(null);
    expect(ask(SOWN + 52 * HOUR, answered).look!.cue).to.equal('rooted');
  });

  it('can be told that water still stands where there is a pool, and pours no new one onto it', () => {
    const mat: Partial<SowingSetup> = { medium: 'hemp-mat' };
    const now = SOWN + 112 * HOUR;
    const watered = [...lit(), event(88, { type: 'watered', waterG: 150 })];
    expect(ask(now, lit()).feel).to.deep.equal(['dry', 'right', 'wet']);
    expect(ask(now, watered, mat).feel).to.include('standing');
    const poured = (events: SowingEvent[]) => {
      const step = ask(now, events, mat).steps.find(({ body }) => body.kind === 'water');
      return step?.body.kind === 'water' ? step.body.waterMl : 0;
    };
    const standing = event(111.9, { type: 'felt', moisture: 'standing' });
    expect(poured(watered)!).to.be.above(0);
    expect(poured([...watered, standing])).to.be.below(poured(watered)!);
  });

  it('asks to uncover a tray that nobody looked at, once it has almost surely rooted', () => {
    expect(kinds(SOWN + 4 * DAY, [sown()])).to.include('uncover');
  });

  it('goes from even stems to light, and from an open window to the cut', () => {
    const dark = [sown(), event(48, { type: 'uncovered' })];
    expect(
      kinds(SOWN + 78 * HOUR, [...dark, event(77, { type: 'looked', cue: 'lightReady', reached: true })])
    ).to.include('light');
    const open = event(150, { type: 'looked', cue: 'windowOpen', reached: true });
    const task = ask(SOWN + 151 * HOUR, [...lit(), open]).steps.find(({ body }) => body.kind === 'cut')!;
    // What it usually gives, and a little of the tenth that it gains until its best day.
    if (task.body.kind !== 'cut') throw new Error('It asks for something else.');
    expect(task.body.expectedG).to.be.within(103.5, 108);
  });

  it('lets a part cut today be enough for today', () => {
    const open = event(150, { type: 'looked', cue: 'windowOpen', reached: true });
    const strip = event(151, { type: 'cut', grossG: 12, tareG: 0, share: 0.1, last: false });
    expect(kinds(SOWN + 152 * HOUR, [...lit(), open, strip])).not.to.include('cut');
    expect(kinds(SOWN + 176 * HOUR, [...lit(), open, strip])).to.include('cut');
  });

  it('waters up to nine tenths and never past, only a tray that needs it', () => {
    expect(kinds(SOWN + 80 * HOUR, [...lit(), event(79, { type: 'watered', waterG: 300 })])).not.to.include(
      'water'
    );
    const now = SOWN + 120 * HOUR;
    const task = ask(now, lit()).steps.find(({ body }) => body.kind === 'water')!;
    const watered = project(home, radishTray(), [
      ...lit(),
      event(
        120,
        { type: 'watered', waterG: task.body.kind === 'water' ? (task.body.waterMl ?? 0) : 0 },
        { taskKey: task.key }
      )
    ]);
    expect(waterAt(watered, now).share).to.be.within(0.8, 0.9001);
    expect(askOf(watered, roundAt(home.rhythm, now), now).steps).to.deep.equal([]);
  });

  it('asks at once for what a look found dry', () => {
    const events = [
      ...lit(),
      event(79, { type: 'watered', waterG: 300 }),
      event(80, { type: 'felt', moisture: 'dry' })
    ];
    expect(kinds(SOWN + 80 * HOUR, events)).to.include('water');
  });

  it('leaves a tray dry in the hours before its cut, where it can stand it', () => {
    const cress = { cropKey: 'cress-garden', seedsPerCm2: 4.7 };
    const opens = project(home, radishTray(cress), lit()).forecast.marks.windowOpen.p50;
    // At the round's hour less of its water is left than this crop is kept at.
    const at = (when: number) => {
      const due = roundAt(home.rhythm, when).at;
      const hours = (due - SOWN) / HOUR;
      const events = [...lit(), event(hours - 3, { type: 'felt', moisture: 'right' })];
      return kinds(due, events, cress);
    };
    expect(at(opens + 0.5 * DAY)).not.to.include('water');
    expect(at(opens - 1.5 * DAY)).to.include('water');
  });

  it('asks again for a tray watered in this round that is found dry', () => {
    const now = SOWN + 108 * HOUR;
    const [first] = ask(now, lit()).steps;
    const tick = event(108, { type: 'watered', waterG: 20 }, { taskKey: first!.key });
    const [again] = ask(now, [...lit(), tick, event(108.1, { type: 'felt', moisture: 'dry' })]).steps;
    expect(again!.body.kind).to.equal('water');
    expect(again!.key).not.to.equal(first!.key);
  });

  it('mists as the method says, and leaves a shut tray shut', () => {
    const evening = at('2026-11-03T20:00Z');
    const morning = at('2026-11-04T07:00Z');
    const events = [sown()];
    expect([kinds(evening, events), kinds(morning, events)]).to.deep.equal([[], []]);
    expect(kinds(evening, events, { method: methodOf('light-hand') })).to.include('mist');
    expect(kinds(evening, events, { method: methodOf('stack-and-light') })).not.to.include('mist');
    expect(kinds(morning, events, { method: methodOf('stack-and-light') })).to.include('mist');
  });

  it('asks nothing of a tray that has ended', () => {
    expect(ask(SOWN + 200 * HOUR, [...lit(), event(190, { type: 'ended', reason: 'mould' })])).to.deep.equal({
      steps: [],
      beginsAt: null,
      look: null,
      again: null,
      staysCoveredUntil: null,
      since: null,
      feel: [],
      notes: []
    });
  });

  it('puts above the list what is open, opening and to be prepared', () => {
    const now = SOWN + 151 * HOUR;
    const open = project(home, radishTray(), [
      ...lit(),
      event(150, { type: 'looked', cue: 'windowOpen', reached: true })
    ]);
    const planned = project(home, radishTray({ sowAt: now + 10 * HOUR }), []);
    const today = walk([open, planned], roundAt(home.rhythm, now), now);
    expect([today.windowsOpen.length, today.toPrepare.length, today.open]).to.deep.equal([1, 1, 1]);
  });

  it('holds what begins before the next round but one, and names of the rest only what comes first', () => {
    const now = SOWN + 10 * HOUR;
    const round = roundAt(home.rhythm, now);
    const tray = (id: string, sowAt: number, events: SowingEvent[] = []) =>
      project(home, radishTray({ id, sowAt }), events);
    const soon = tray('soon', round.afterNextAt - 1);
    const last = tray('last', now + 30 * DAY);
    const next = tray('next', round.afterNextAt);
    const done = tray('done', now + 20 * DAY, [event(9, { type: 'prepared', step: 'weigh' })]);
    const today = walk([last, soon, next, done], round, now);
    expect(today.stops.map(({ key }) => key)).to.deep.equal(['soon', 'done']);
    expect(today.later.map(({ setup }) => setup.id)).to.deep.equal(['next', 'last']);
    expect(plannedLaterWords(today.later, now, { zone: 'Europe/Madrid', units: 'metric' })).to.match(
      /^2 more planned. Next: Radish, /
    );
  });
});

describe('the way of a crop under a method', () => {
  const [press, stack, light] = READY_METHODS;

  it('is never against the crop’s nature, for all 45 under each method', () => {
    expect(CROPS).to.have.length(45);
    for (const crop of CROPS)
      for (const method of READY_METHODS) {
        const path = pathOf(crop, method, 'coir');
        if (crop.pressMaxGCm2 === 0) expect(path.pressGCm2, crop.key).to.equal(0);
        if (path.cover === 'weight')
          expect(path.pressGCm2, crop.key).to.be.within(crop.pressMinGCm2, crop.pressMaxGCm2);
        if (crop.family === 'Poaceae' && crop.key !== 'maize-shoot')
          expect(path.blackout, crop.key).to.equal(false);
        if (crop.germinationLight === 'light')
          expect(path).to.include({
            cover: 'clear',
            seedCover: 'none',
            pressGCm2: 0,
            blackout: false,
            lightFrom: 'sown'
          });
        if (crop.gelSeed) expect(path.mists, crop.key).not.to.equal('never');
        if (crop.cover === 'full') expect(path.seedCover, crop.key).not.to.equal('none');
      }
  });

  it('follows the schools where the crop allows it', () => {
    expect(pathOf(cropOf('radish'), press!, 'coir')).to.include({
      cover: 'weight',
      pressGCm2: 4.5,
      blackout: true,
      lightFrom: 'lightReady'
    });
    expect(pathOf(cropOf('radish'), stack!, 'coir')).to.include({
      cover: 'stacked',
      // What lies on the uppermost.
      pressGCm2: 4.5,
      blackout: false,
      lightFrom: 'rooted'
    });
    expect(pathOf(cropOf('radish'), light!, 'coir').cover).to.equal('lid');
    expect(pathOf(cropOf('maize-shoot'), press!, 'coir').lightFrom).to.equal(null);
    expect(pathOf(cropOf('sorrel'), press!, 'coir').cover).to.equal('lid');
    expect(pathOf(cropOf('onion'), press!, 'coir').seedCover).to.equal('none');
    expect(pathOf(cropOf('onion'), light!, 'coir')).to.include({
      seedCover: 'vermiculite',
      seedCoverCm: 0.3
    });
    expect(pathOf(cropOf('nasturtium'), press!, 'coir')).to.include({
      seedCover: 'medium',
      seedCoverCm: 0.8
    });
    const noDark = { ...light!, darkness: 'none' } as const;
    expect(pathOf(cropOf('radish'), noDark, 'coir')).to.include({ cover: 'none', lightFrom: 'sown' });
    expect(pathOf(cropOf('pea'), noDark, 'coir'), 'seed that wants the dark').to.include({
      cover: 'lid',
      blackout: false,
      lightFrom: 'rooted'
    });
  });

  it('counts the days under the dome where the method does', () => {
    const counted = { ...press!, dome: 'days', domeDays: 2 } as const;
    const events = [sown(), event(40, { type: 'uncovered' })];
    const asks = (hours: number) => {
      const now = SOWN + hours * HOUR;
      const projected = project(home, radishTray({ method: counted }), events);
      return askOf(projected, roundAt(home.rhythm, now), now).steps.map(({ body }) => body.kind);
    };
    expect(asks(40 + 47)).not.to.include('light');
    expect(asks(40 + 49)).to.include('light');
    const { forecast } = project(home, radishTray({ method: counted }), events);
    const longer = project(
      home,
      radishTray({ method: { ...press!, dome: 'days', domeDays: 6 } }),
      events
    ).forecast;
    // Longer in the dark than it needs, it stretches and does not open.
    expect(longer.clock.tau(SOWN + 7 * DAY)).to.be.below(forecast.clock.tau(SOWN + 7 * DAY) - 0.5);
  });
});

describe('the weigh-in', () => {
  const check = (grossG: number, tareG: number, share = 1) =>
    checkWeighIn(cropOf('radish'), 450, { grossG, tareG, share });

  it('takes the bowl off and sets the rest against seed and area', () => {
    expect(check(312, 212)).to.deep.equal({ kind: 'fine', netG: 100 });
    const gave = yieldOf(100, 10, 450);
    expect(gave.gPerGSeed).to.equal(10);
    expect(gave.gPerM2).to.be.closeTo(2222.2, 0.1);
  });

  it('asks about a weight that can hardly be, and for a part of the tray sooner', () => {
    expect(check(230, 0)).to.include({ kind: 'implausible', mostG: 135 });
    expect(check(100, 0, 0.25).kind).to.equal('implausible');
    expect(check(135 * 1.49, 0).kind).to.equal('fine');
  });

  it('says what is wrong with one that cannot be', () => {
    for (const [gross, tare, share] of [
      [0, 0, 1],
      [NaN, 0, 1],
      [100, -1, 1],
      [100, 100, 1],
      [100, 0, 0],
      [100, 0, 1.2]
    ] as const)
      expect(check(gross, tare, share).kind).to.equal('wrong');
  });
});
