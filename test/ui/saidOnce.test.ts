import { expect } from 'chai';
import type { StepBody } from '../../src/core/steps/step.ts';
import { stepCaution } from '../../src/words/cautions.ts';
import { saidBefore } from '../../src/words/steps/saidOnce.ts';
import { stepHow } from '../../src/words/steps/steps.ts';

const step = (body: StepBody, medium: 'coir' | 'hemp-mat' = 'coir') => ({
  body,
  of: [{ projected: { setup: { medium } } }]
});
const water = (how: 'below' | 'above') =>
  ({
    kind: 'water',
    waterMl: 90,
    staysMl: null,
    timesADay: 0,
    how,
    why: 'low',
    share: 0.3,
    ifStoodMl: null,
    feed: null,
    peroxideMl: 0
  }) as const;

describe('what is said once in a round', () => {
  it('is a caution, at the first step that needs it, and that of a lamp however a tray comes under it', () => {
    const under = step({ kind: 'light', where: 'lamp', by: null });
    const straight = step({ kind: 'uncover', off: 'stacked', to: 'light', where: 'lamp', by: null });
    const turn = step({ kind: 'turn' });
    expect(stepCaution(straight.body)).to.equal(stepCaution(under.body)).and.not.to.equal(null);
    expect([...saidBefore([turn, straight, under, turn]).caution]).to.deep.equal([under]);
    expect(stepCaution({ kind: 'uncover', off: 'weight', to: 'blackout', where: 'lamp', by: null })).to.equal(
      null
    );
  });

  it('is how a step is done, again for a tray that is done otherwise, and of itself where it comes back', () => {
    const [first, mat, second, turned, again] = [
      step(water('below')),
      step(water('below'), 'hemp-mat'),
      step(water('above')),
      step({ kind: 'turn' }),
      step({ kind: 'turn' })
    ];
    expect(stepHow(first!.body, 'coir')).not.to.equal(stepHow(mat!.body, 'hemp-mat'));
    const { how } = saidBefore([first!, mat!, second!, turned!, again!]);
    expect([...how]).to.deep.equal([second, again]);
    // Once the first is done and gone, the next one says it.
    expect([...saidBefore([second!, again!]).how]).to.deep.equal([]);
  });

  it('is nothing for what its title says in full', () => {
    const uncover = step({ kind: 'uncover', off: 'weight', to: 'blackout', where: 'sill', by: null });
    expect([...saidBefore([uncover, uncover]).how]).to.deep.equal([]);
  });
});
