import { expect } from 'chai';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import { differences } from '../../src/core/steps/differences.ts';
import { ticked } from '../../src/core/steps/ticked.ts';
import type { Spray } from '../../src/core/supplies/methods/method.ts';
import { completed, DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { waterAt } from '../../src/core/water/level.ts';
import { event, home, radishTray, sown, SOWN } from '../support/household.ts';

const NETTLE: Spray = { name: 'Nettle water', timesADay: 1 };
const KELP: Spray = { name: 'Kelp', timesADay: 2 };
const tray = (sprays: readonly Spray[], events: SowingEvent[]) =>
  project(home, radishTray({ method: { ...DEFAULT_METHOD, sprays } }), events);
const lit = () => [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];
const asked = (hours: number, events: SowingEvent[], sprays = [NETTLE, KELP]) => {
  const now = SOWN + hours * HOUR;
  return askOf(tray(sprays, events), roundAt(home.rhythm, now), now).steps.flatMap(({ body }) =>
    body.kind === 'spray' ? [body] : []
  );
};
// Sown at nine in the morning there: 96 hours on it is morning again, and 106 evening.
const [MORNING, EVENING] = [96, 106];

describe('sprays of one’s own', () => {
  it('are asked for in the light alone, each at its times', () => {
    expect(asked(24, [sown()])).to.deep.equal([]);
    expect(asked(MORNING, lit()).map(({ name }) => name)).to.deep.equal(['Nettle water', 'Kelp']);
    expect(asked(EVENING, lit()).map(({ name }) => name)).to.deep.equal(['Kelp']);
    expect(asked(MORNING, lit())[0]!.waterMl).to.be.closeTo(0.02 * 450, 1e-9);
  });

  it('are done once in a round, and count as water', () => {
    const body = ticked(asked(MORNING, lit())[0]!)!;
    expect(body).to.deep.equal({ type: 'sprayed', name: 'Nettle water', waterG: 9 });
    const events = [...lit(), event(MORNING, body)];
    expect(asked(MORNING + 0.2, events).map(({ name }) => name)).to.deep.equal(['Kelp']);
    const [dry, wet] = [lit(), events].map((log) => waterAt(tray([], log), SOWN + (MORNING + 0.1) * HOUR).g);
    expect(wet! - dry!).to.be.closeTo(9, 0.5);
  });

  it('pour off no pool, and are not the water that a tray is given', () => {
    const setup = { medium: 'hemp-mat', method: { ...DEFAULT_METHOD, sprays: [KELP] } } as const;
    const poured = [...lit(), event(90, { type: 'watered', waterG: 300 })];
    const sprayed = [...poured, event(96, { type: 'sprayed', name: 'Kelp', waterG: 9 })];
    const at = (log: SowingEvent[]) => waterAt(project(home, radishTray(setup), log), SOWN + 96.1 * HOUR).g;
    expect(at(sprayed) - at(poured)).to.be.closeTo(9, 0.5);
  });

  it('are not asked for on mould, nor on what may soon be eaten', () => {
    expect(asked(MORNING, [...lit(), event(90, { type: 'saw', sight: 'mould' })])).to.deep.equal([]);
    const { p50 } = tray([], lit()).forecast.marks.windowOpen;
    const before = (p50 - SOWN) / HOUR - 3;
    expect(asked(before, lit(), [KELP])).to.deep.equal([]);
    expect(asked(before + 30, lit(), [KELP])).to.deep.equal([]);
  });

  it('stand in the protocol, and a second one is told as a change', () => {
    const steps = (sprays: readonly Spray[]) => stepsOf(tray(sprays, []));
    expect(steps([NETTLE, KELP]).filter(({ body }) => body.kind === 'spray')).to.have.length(2);
    expect(
      differences(steps([NETTLE]), steps([NETTLE, KELP])).map(({ kind, change }) => [kind, change])
    ).to.deep.equal([['spray', 'amount']]);
    expect(differences(steps([]), steps([KELP])).map(({ kind, change }) => [kind, change])).to.deep.equal([
      ['spray', 'added']
    ]);
  });

  it('are none in a method that was kept before anybody asked', () => {
    expect(completed({ key: 'old', name: 'Old' }).sprays).to.deep.equal([]);
  });
});
