import { seedName } from '../../src/words/cropNames.ts';
import { expect } from 'chai';
import { blend, blendKey, learnsAs } from '../../src/core/crops/blend.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { mixFit } from '../../src/core/growth/fit.ts';
import { learnedBelief, type Learned } from '../../src/core/growth/learned.ts';
import { plannedFit } from '../../src/core/sowing/plannedFit.ts';
import type { SowingChoice } from '../../src/core/sowing/planSowing.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { choiceOf, contextAt, MONDAY, planned } from '../support/choosing.ts';

const KINDS = ['Purple', 'Lemon', 'Small-leaved', 'Large-leaved', 'Cinnamon'];
const basils = (more: Partial<SowingChoice> = {}): SowingChoice =>
  choiceOf([], {
    kind: 'blended',
    parts: KINDS.map((variety) => ({ crop: cropOf('basil'), lot: null, share: 1, variety })),
    ...more
  });

describe('several varieties of one crop in one blend', () => {
  const [{ setup, projected }] = planned(basils()) as [ReturnType<typeof planned>[number]];

  it('are weighed one by one, by their names', () => {
    const weigh = stepsOf(projected).flatMap(({ body }) => (body.kind === 'weigh' ? body.seed : []));
    expect(weigh.map(seedName)).to.deep.equal(KINDS.map((kind) => `Basil (${kind})`));
    for (const { seedG } of weigh) expect(seedG).to.be.closeTo(setup.seedG / 5, 1e-9);
    expect(setup.mix!.map(({ variety }) => variety)).to.deep.equal(KINDS);
  });

  it('are called by their crop, grow as it does and are believed by what it taught', () => {
    const { crop } = projected;
    const basil = cropOf('basil');
    expect(crop.name).to.equal('Basil');
    expect(crop.windowOpenD21).to.equal(basil.windowOpenD21);
    expect(learnsAs(crop.key)).to.equal('basil');
    expect(learnsAs(blendKey(['radish', 'kale']))).to.equal('radish+kale');
    const learned: Learned = {
      ended: [{ cropKey: 'basil', message: { mean: 0.3, variance: 0.004 }, trays: 5 }],
      underWay: []
    };
    expect(learnedBelief(learned, crop)).to.deep.equal(learnedBelief(learned, basil));
    expect(learnedBelief(learned, crop).mean).to.be.above(0.15);
  });
});

describe('the window of a blend', () => {
  const [early, late] = [cropOf('cress-garden'), cropOf('basil')];
  const portions = [early, late].map((crop) => ({ crop, areaShare: 0.5 }));

  it('is that of all of them, cut at once; from the first to the last, taken over days', () => {
    const together = blend(portions);
    const overDays = blend(portions, 'strip');
    expect(together.windowOpenD21).to.equal(late.windowOpenD21);
    // Not before the slower one has come to light.
    expect(overDays.windowOpenD21).to.equal(late.lightReadyD21 + 1);
    expect(overDays.windowCloseD21).to.equal(late.windowCloseD21);
    expect(overDays.windowBestD21).to.be.within(overDays.windowOpenD21, overDays.windowCloseD21);
  });

  it('follows the method of the sowing', () => {
    const closes = (taking: 'whole' | 'strip') =>
      planned(
        choiceOf([cropOf('mustard'), cropOf('kale')], {
          kind: 'blended',
          method: { ...DEFAULT_METHOD, taking }
        })
      )[0]!.projected.forecast.marks.windowClose.p50;
    expect(closes('strip')).to.be.above(closes('whole'));
  });
});

describe('heights in one container', () => {
  it('are given for each crop at its own cut', () => {
    const fit = plannedFit(
      choiceOf([cropOf('cress-garden'), cropOf('sunflower')], { kind: 'blended' }),
      contextAt(MONDAY)
    )!;
    expect(fit.heightsCm).to.deep.equal([5.5, 9]);
    expect(fit.heightGapCm).to.equal(3.5);
    expect(fit.heightsFit).to.equal(false);
    const window = { openD: 7, bestD: 8, closeD: 10 };
    const near = mixFit(
      ['kale', 'broccoli'].map((key) => ({ crop: cropOf(key), window })),
      'strip'
    );
    expect(near.heightsFit).to.equal(true);
  });
});
