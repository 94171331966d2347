import { expect } from 'chai';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import type { BodyOf } from '../../src/core/steps/step.ts';
import { tickedIfStood } from '../../src/core/steps/ticked.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { hasPool } from '../../src/core/supplies/media/below.ts';
import { MEDIA } from '../../src/core/supplies/media/medium.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { waterAt } from '../../src/core/water/level.ts';
import { event, home, radishTray, sown, SOWN } from '../support/household.ts';

const lit = () => [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];
const MAT: Partial<SowingSetup> = { medium: 'hemp-mat' };
const HOURS = 114;
const now = SOWN + HOURS * HOUR;
const asked = (events: SowingEvent[], setup: Partial<SowingSetup> = MAT) => {
  const stop = walk([project(home, radishTray(setup), events)], roundAt(home.rhythm, now), now).stops[0]!;
  return stop.steps.find(({ body }) => body.kind === 'water');
};
const watered = () => [...lit(), event(100, { type: 'watered', waterG: 150 })];

describe('water that still stands under a mat', () => {
  it('makes less enough: its medium is full, and only the pool is given anew', () => {
    const { body, of } = asked(watered())!;
    if (body.kind !== 'water') throw new Error('It asks for something else.');
    expect(body.ifStoodMl!).to.be.below(body.waterMl! / 2);
    const [felt, given] = of[0]!.ifStood!;
    expect(felt).to.deep.equal({ type: 'felt', moisture: 'standing' });
    expect(given).to.deep.equal({ type: 'watered', waterG: Math.round(body.ifStoodMl!) });
  });

  it('leaves it as full as watering would have, and teaches that less goes than was believed', () => {
    const step = asked(watered())!;
    const stood = step.of[0]!.ifStood!.map((body) => event(HOURS, body));
    const whole = event(HOURS, step.of[0]!.records!);
    const level = (log: SowingEvent[]) => waterAt(project(home, radishTray(MAT), log), now + HOUR).g;
    // A full medium holds a tenth more than one that was filled up by measure.
    expect(level([...watered(), ...stood])).to.be.closeTo(level([...watered(), whole]), 25);
    const loses = (log: SowingEvent[]) => {
      const sowing = project(home, radishTray(MAT), log);
      return waterAt(sowing, now + HOUR).g - waterAt(sowing, now + 8 * HOUR).g;
    };
    expect(loses([...watered(), ...stood])).to.be.below(loses([...watered(), whole]));
  });

  it('is no question where none may stand, and gives none where the medium holds enough', () => {
    expect(asked([...lit(), event(100, { type: 'watered', waterG: 60 })], {})!.of[0]!.ifStood).to.equal(null);
    const body: BodyOf<'water'> = {
      kind: 'water',
      waterMl: 80,
      staysMl: null,
      timesADay: 0,
      share: 0.5,
      ifStoodMl: 0,
      why: 'low',
      how: 'below',
      feed: null,
      peroxideMl: 2
    };
    expect(tickedIfStood(body)).to.deep.equal([
      { type: 'felt', moisture: 'standing' },
      { type: 'watered', waterG: 0 }
    ]);
    // Feed and peroxide are as strong in less of it.
    const fed = { ...body, ifStoodMl: 40, feed: { strength: 0.5, mL: 1, mLPerL: 12.5 } };
    expect(tickedIfStood(fed)![1]).to.deep.equal({ type: 'fed', waterG: 40, feedMl: 0.5, peroxideMl: 1 });
    expect(tickedIfStood({ kind: 'turn' })).to.equal(null);
  });

  it('is told of in protocol and round alike: what lives from a pool is watered from below by any method', () => {
    for (const medium of MEDIA)
      for (const method of READY_METHODS) {
        const setup = { medium, method };
        const planned = stepsOf(project(home, radishTray(setup), [])).find(
          ({ body }) => body.kind === 'water'
        )!.body as BodyOf<'water'>;
        if (hasPool(medium)) expect(planned.how, `${medium} ${method.key}`).to.equal('below');
        const first = asked(lit(), setup)?.body as BodyOf<'water'> | undefined;
        if (first) expect(first.how, `${medium} ${method.key}`).to.equal(planned.how);
      }
  });
});
