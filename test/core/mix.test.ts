import { expect } from 'chai';
import fc from 'fast-check';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import type { Crop } from '../../src/core/crops/crop.ts';
import { checkCrop } from '../../src/core/crops/check.ts';
import { FITS, mixFit } from '../../src/core/growth/fit.ts';
import { blend, blendedNames } from '../../src/core/crops/blend.ts';
import { mixParts } from '../../src/core/supplies/seed/parts.ts';
import { areaShares, type ShareOf } from '../../src/core/crops/shares.ts';
import { project } from '../../src/core/sowing/project.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import { plannedFit } from '../../src/core/sowing/plannedFit.ts';
import { planSowing } from '../../src/core/sowing/planSowing.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { choiceOf, contextAt, MONDAY } from '../support/choosing.ts';
import { steadyPlace } from '../support/rhythm.ts';
import { home, radishTray } from '../support/household.ts';

/** Share of each crop in a mix's seed, by count or weight, from its shares of the area. */
function seedShares(crops: readonly Crop[], areaShare: readonly number[], by: ShareOf): number[] {
  const amounts = crops.map((crop, index) => {
    const seeds = areaShare[index]! * crop.seedsPerCm2.usual;
    return by === 'area' ? areaShare[index]! : by === 'count' ? seeds : seeds * crop.thousandSeedWeightG;
  });
  const all = amounts.reduce((sum, one) => sum + one, 0);
  return amounts.map((one) => one / all);
}

const crops = fc.uniqueArray(fc.constantFrom(...CROPS), { minLength: 2, maxLength: 4 });
const shared = crops.chain((list) =>
  fc
    .array(fc.double({ min: 0.1, max: 10, noNaN: true }), { minLength: list.length, maxLength: list.length })
    .map((weights) => ({ list, weights }))
);

describe('shares of a mix', () => {
  it('make the whole, and come back by whatever they were counted', () => {
    fc.assert(
      fc.property(
        shared,
        fc.constantFrom('count' as const, 'weight' as const, 'area' as const),
        ({ list, weights }, by) => {
          const shares = areaShares(list, weights, by);
          expect(shares.reduce((sum, one) => sum + one, 0)).to.be.closeTo(1, 1e-9);
          const all = weights.reduce((sum, one) => sum + one, 0);
          const back = seedShares(list, shares, by);
          for (const [index, one] of back.entries()) expect(one).to.be.closeTo(weights[index]! / all, 1e-9);
        }
      )
    );
  });
});

describe('blended seed as one crop', () => {
  it('is the crop itself where there is only one', () => {
    expect(blend([{ crop: cropOf('pea'), areaShare: 1 }])).to.equal(cropOf('pea'));
  });

  it('has figures that hang together, whatever is mixed', () => {
    fc.assert(
      fc.property(shared, ({ list, weights }) => {
        const shares = areaShares(list, weights, 'area');
        const mixed = blend(list.map((crop, index) => ({ crop, areaShare: shares[index]! })));
        const wrong = checkCrop(mixed).map(({ field }) => field);
        expect(wrong.filter((field) => field !== 'name' && field !== 'windowCloseD21')).to.deep.equal([]);
        expect(mixed.windowCloseD21).to.be.at.least(mixed.windowOpenD21);
        expect(mixed.windowOpenD21).to.equal(Math.max(...list.map((crop) => crop.windowOpenD21)));
      })
    );
  });

  it('weighs as much seed as its parts on their shares of the area', () => {
    fc.assert(
      fc.property(shared, ({ list, weights }) => {
        const shares = areaShares(list, weights, 'area');
        const portions = list.map((crop, index) => ({
          crop,
          areaShare: shares[index]!,
          lotId: null,
          germinationPct: null
        }));
        const mixed = blend(portions);
        const whole = (450 * mixed.seedsPerCm2.usual * mixed.thousandSeedWeightG) / 1000;
        const parts = mixParts(portions, 450);
        expect(parts.reduce((sum, { seedG }) => sum + seedG, 0)).to.be.closeTo(whole, whole * 1e-9);
      })
    );
  });

  it('corrects each part for its own lot', () => {
    const [radish, kale] = mixParts(
      [
        { crop: cropOf('radish'), areaShare: 0.5, lotId: 'a', germinationPct: 47 },
        { crop: cropOf('kale'), areaShare: 0.5, lotId: null, germinationPct: null }
      ],
      450
    );
    expect(radish!.seedG).to.be.closeTo(11.8125, 0.001);
    expect(kale!.seedG).to.be.closeTo(7.65 / 2, 0.02);
  });

  it('is followed as one sowing, its parts weighed and soaked by themselves', () => {
    const mix = [
      { cropKey: 'pea', areaShare: 0.5, seedG: 45, lotId: null },
      { cropKey: 'fennel', areaShare: 0.5, seedG: 2.5, lotId: null }
    ];
    const setup = radishTray({
      cropKey: 'pea',
      mix,
      soakStartAt: radishTray().sowAt - 11 * 3_600_000,
      soakEndAt: radishTray().sowAt
    });
    const projected = project(home, setup, []);
    expect(blendedNames(projected.crop.name)).to.deep.equal(['Pea shoots', 'Fennel']);
    const steps = stepsOf(projected);
    const weigh = steps[0]!.body;
    expect(weigh.kind === 'weigh' && weigh.seed.map(({ seedG }) => seedG)).to.deep.equal([45, 2.5]);
    const soak = steps.find(({ body }) => body.kind === 'soak')!.body;
    // Fennel may soak for 10 h: it goes in 5 h after the peas, for its best 6.
    expect(soak.kind === 'soak' && soak.seed.map(({ intoWaterAfterH }) => intoWaterAfterH)).to.deep.equal([
      0, 5
    ]);
  });
});

/** Crops with their windows as the book has them, in days at 21 degC. */
const byBook = (crops: readonly Crop[]) =>
  crops.map((crop) => ({
    crop,
    window: { openD: crop.windowOpenD21, bestD: crop.windowBestD21, closeD: crop.windowCloseD21 }
  }));
const fitOf = (...keys: string[]) => mixFit(byBook(keys.map(cropOf)), 'whole');

describe('whether crops suit one tray', () => {
  it('goes by windows and heights', () => {
    const good = fitOf('broccoli', 'kohlrabi');
    expect(good).to.include({ windowsFit: true, heightsFit: true });
    const bad = fitOf('radish', 'basil');
    expect(bad.windowsFit).to.equal(false);
    expect(bad.overlapD).to.be.below(0);
    expect(fitOf('pea', 'cress-garden').heightsFit).to.equal(false);
    expect(mixFit(byBook([cropOf('radish'), cropOf('basil')]), 'strip').windowsFit).to.equal(true);
  });

  it('goes by the windows that the plan shows at the chosen place, warm or cold, lit or dim', () => {
    const dim = { ...steadyPlace(19), light: { kind: 'sill', aspect: 'side', back: false } } as const;
    for (const place of [steadyPlace(16), steadyPlace(21), dim])
      for (const kind of ['halves', 'blended'] as const) {
        const choice = choiceOf([cropOf('radish'), cropOf('broccoli')], { kind, place });
        const fit = plannedFit(choice, contextAt(MONDAY))!;
        const shown =
          kind === 'halves'
            ? planSowing(choice, contextAt(MONDAY))
            : choice.parts.flatMap((part) =>
                planSowing({ ...choice, kind: 'one', parts: [part] }, contextAt(MONDAY))
              );
        shown.forEach(({ plan }, index) =>
          expect(fit.windows[index]!.openD).to.be.closeTo(
            (plan.forecast.marks.windowOpen.p50 - plan.soak.sowAt) / DAY,
            1e-6
          )
        );
      }
    // Basil stands still in the cold where radish goes on: they drift apart, and in the end it has no window at all.
    const pair = (tempC: number) =>
      plannedFit(
        choiceOf([cropOf('radish'), cropOf('basil')], { kind: 'halves', place: steadyPlace(tempC) }),
        contextAt(MONDAY)
      );
    expect(pair(18)!.overlapD).to.be.below(pair(22)!.overlapD);
    expect(pair(10)).to.equal(null);
  });

  it('is helped by sowing the faster later: never a shorter overlap, and all best on one day', () => {
    fc.assert(
      fc.property(crops, (list) => {
        const fit = mixFit(byBook(list), 'whole');
        expect(Math.min(...fit.delaysD)).to.equal(0);
        const best = list.map((crop, index) => crop.windowBestD21 + fit.delaysD[index]!);
        for (const day of best) expect(day).to.be.closeTo(best[0]!, 1e-9);
        expect(fit.staggeredOverlapD).to.be.above(0);
        expect(fit.windowsFit).to.equal(fit.overlapD >= FITS.overlapD);
      })
    );
  });
});
