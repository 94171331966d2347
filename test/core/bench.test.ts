import { expect } from 'chai';
import { keyOf, ticked } from '../../src/core/steps/ticked.ts';
import { sheetOf as sheetFor, type Sheet, type SheetLine } from '../../src/core/steps/sheet.ts';
import { timersOf, timerState } from '../../src/core/steps/timer.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { STARTING_RULES } from '../../src/core/supplies/seed/rule.ts';
import type { BenchStep } from '../../src/core/sowing/event.ts';
import { soakFrom } from '../../src/core/sowing/soak.ts';
import { project, type Projected } from '../../src/core/sowing/project.ts';
import { reduceEvents } from '../../src/core/sowing/reduce.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { HOUR, MINUTE } from '../../src/core/time/zone.ts';
import { event, home, radishTray, SOWN } from '../support/household.ts';
import { at } from '../support/rhythm.ts';

const sheetOf = (projected: readonly Projected[], now: number) => sheetFor(projected, home.rhythm, now);

const EVENING = at('2026-11-01T19:30Z');
const CAREFUL = {
  ...READY_METHODS[0]!,
  disinfect: 'peroxide',
  disinfectRule: { ...STARTING_RULES.peroxide, productPct: 6 }
} as const;

let made = 0;
function sowing(cropKey: string, more: Partial<SowingSetup> = {}): SowingSetup {
  const soak = soakFrom(cropOf(cropKey), home.rhythm, EVENING);
  const soaked = cropOf(cropKey).soakBestH > 0;
  return radishTray({
    id: `00000000-0000-4000-8000-0000000001${String((made += 1)).padStart(2, '0')}`,
    cropKey,
    seedG: 90,
    soakStartAt: soaked ? soak.soakStart : null,
    soakEndAt: soaked ? soak.soakEnd : null,
    sowAt: soaked ? soak.sowAt : EVENING,
    ...more
  });
}
const of = (setup: SowingSetup, events: SowingEvent[] = []): Projected => project(home, setup, events);
const lines = (sheet: Sheet, kind: BenchStep): SheetLine[] =>
  sheet.sections.find((section) => section.kind === kind)?.lines ?? [];
const on = (when: number, body: SowingEvent['body']): SowingEvent => event((when - SOWN) / HOUR, body);

describe('the sheet of the bench', () => {
  const [pea, sunflower, radish] = [
    sowing('pea'),
    sowing('sunflower', { method: CAREFUL, seedG: 20 }),
    sowing('radish')
  ];
  const sheet = sheetOf(
    [pea, sunflower, radish].map((setup) => of(setup)),
    EVENING
  );

  it('brings together all that starts soon, in the order of the hands', () => {
    expect(sheet.sowings).to.have.length(3);
    expect(sheet.sections.map(({ kind }) => kind)).to.deep.equal([
      'weigh',
      'rinse',
      'disinfect',
      'rinse-off',
      'soak',
      'drain',
      'fill',
      'damp',
      'sow',
      'mist',
      'press'
    ]);
    expect(lines(sheet, 'weigh')).to.have.length(3);
    expect(lines(sheet, 'soak').map(({ projected }) => projected.crop.key)).to.deep.equal([
      'pea',
      'sunflower'
    ]);
    expect(sheet.mediumMl).to.equal(3 * 450 * 2.5);
  });

  it('leaves out what starts later, has ended, or was sown long ago', () => {
    const later = sowing('radish', { sowAt: EVENING + 40 * HOUR });
    const ended = of(radish, [on(EVENING, { type: 'ended', reason: 'other' })]);
    const sown = of(radish, [on(EVENING, { type: 'sown', waterG: 300 })]);
    expect(sheetOf([of(later), ended], EVENING).sowings).to.have.length(0);
    expect(sheetOf([sown], EVENING + 5 * HOUR).sowings).to.have.length(1);
    expect(sheetOf([sown], EVENING + 7 * HOUR).sowings).to.have.length(0);
  });

  it('mixes one solution for all seed that is disinfected alike', () => {
    const other = sowing('beet', { method: CAREFUL, seedG: 12 });
    const stronger = sowing('mung', {
      method: { ...CAREFUL, disinfectRule: { ...CAREFUL.disinfectRule, target: 5 } }
    });
    const { solutions } = sheetOf([of(sunflower), of(other), of(stronger)], EVENING);
    expect(solutions.map(({ target, jars }) => [target, jars.length])).to.deep.equal([
      [3, 2],
      [5, 1]
    ]);
    expect(solutions[0]!.total).to.deep.equal({ solutionMl: 160, productMl: 80, waterMl: 80 });
  });

  it('ticks each line by an event that shows it done, and takes it back', () => {
    const first = of(pea);
    for (const { kind } of sheet.sections.filter(({ lines: all }) =>
      all.some(({ projected }) => projected.setup === pea)
    )) {
      const line = lines(sheetOf([first], EVENING), kind)[0]!;
      const body = ticked(line.step.body)!;
      const taskKey = keyOf(line.step.body.kind);
      const tick = { ...on(EVENING, body), taskKey };
      const after = sheetOf([of(pea, [tick])], EVENING);
      expect(lines(after, kind)[0]!.done?.eventId, kind).to.equal(tick.id);
      const back = of(pea, [tick, on(EVENING + MINUTE, { type: 'undone', eventId: tick.id })]);
      expect(lines(sheetOf([back], EVENING), kind)[0]?.done, kind).to.equal(null);
    }
  });

  it('asks nothing any more of what was left behind unticked', () => {
    const soaking = sheetOf([of(pea, [on(EVENING, { type: 'soaked' })])], EVENING);
    expect(lines(soaking, 'weigh')[0]).to.include({ passed: true, done: null });
    expect(lines(soaking, 'fill')[0]).to.include({ passed: false });
    expect(soaking.open).to.equal(7 - 1);
  });

  it('takes the same step twice as one', () => {
    const twice = [0, 1].map((n) => on(EVENING + n, { type: 'prepared', step: 'weigh' }));
    const state = reduceEvents(twice);
    expect(state.prepared.get('weigh')!.eventId).to.equal(twice[0]!.id);
    expect(state.log.map(({ repeat }) => repeat)).to.deep.equal([false, true]);
  });
});

describe('the timers of the bench', () => {
  const pea = sowing('pea');
  const barley = sowing('barley');
  const careful = sowing('sunflower', { method: CAREFUL });
  const states = (setup: SowingSetup, events: SowingEvent[], minutes: number[]): string[] =>
    minutes.map((minute) => {
      const now = EVENING + minute * MINUTE;
      const [timer] = timersOf(of(setup, events), now);
      return timer ? `${timer.kind} ${timerState(timer, now)}` : 'none';
    });

  it('run from what was ticked, so that nothing can lose them', () => {
    expect(timersOf(of(pea), EVENING)).to.deep.equal([]);
    const [timer] = timersOf(of(pea, [on(EVENING, { type: 'soaked' })]), EVENING + HOUR);
    expect(timer).to.include({ kind: 'soak', startedAt: EVENING, latestAt: EVENING + 12 * HOUR });
    expect(timer!.endsAt).to.equal(of(pea).soak.soakEnd);
  });

  it('warn an hour before a soak is too long, and say when it was missed', () => {
    const soak = [on(EVENING, { type: 'soaked' })];
    const end = (of(pea).soak.soakEnd! - EVENING) / MINUTE;
    expect(states(pea, soak, [end - 1, end, 659, 660, 719, 720, 2000])).to.deep.equal([
      'soak running',
      'soak due',
      'soak due',
      'soak last-hour',
      'soak last-hour',
      'soak missed',
      'soak missed'
    ]);
  });

  it('count contact time and the rinse after it', () => {
    const contact = [on(EVENING, { type: 'prepared', step: 'disinfect' })];
    expect(states(careful, contact, [0, 4, 5, 7, 8])).to.deep.equal([
      'disinfect running',
      'disinfect running',
      'disinfect due',
      'disinfect due',
      'disinfect missed'
    ]);
    const rinsed = [...contact, on(EVENING + 6 * MINUTE, { type: 'prepared', step: 'rinse-off' })];
    expect(states(careful, rinsed, [7])).to.deep.equal(['none']);
    const rinse = [on(EVENING, { type: 'prepared', step: 'rinse' })];
    expect(states(careful, rinse, [1, 2, 11, 13])).to.deep.equal([
      'rinse running',
      'rinse due',
      'rinse due',
      'none'
    ]);
  });

  it('count the drain of grains alone', () => {
    const drained = [on(EVENING, { type: 'soaked' }), on(EVENING + 10 * HOUR, { type: 'drained' })];
    expect(states(pea, drained, [610])).to.deep.equal(['none']);
    expect(states(barley, drained, [610, 600 + 480, 600 + 480 + 721])).to.deep.equal([
      'drain running',
      'drain due',
      'drain missed'
    ]);
    expect(
      states(barley, [...drained, on(EVENING + 18 * HOUR, { type: 'sown', waterG: 1 })], [1100])
    ).to.deep.equal(['none']);
  });

  it('say that a soak begun at the wrong hour ends at night', () => {
    const early = [on(EVENING - 3 * HOUR, { type: 'soaked' })];
    expect(timersOf(of(pea, early), EVENING)[0]).to.include({ endsAsleep: true });
    expect(timersOf(of(pea, [on(EVENING, { type: 'soaked' })]), EVENING)[0]).to.include({
      endsAsleep: false
    });
  });

  it('run on through a night in which clocks change', () => {
    const night = at('2026-10-24T19:30Z');
    const planned = soakFrom(cropOf('pea'), home.rhythm, night);
    const setup = sowing('pea', {
      soakStartAt: planned.soakStart,
      soakEndAt: planned.soakEnd,
      sowAt: planned.sowAt
    });
    const [timer] = timersOf(of(setup, [on(night, { type: 'soaked' })]), night);
    // From 21:30 to 07:00 clocks show 9.5 h; the seed lies in water for 10.5.
    expect((timer!.endsAt - timer!.startedAt) / HOUR).to.equal(10.5);
    expect(timer!.latestAt! - timer!.startedAt).to.equal(12 * HOUR);
  });
});
