import { expect } from 'chai';
import fc from 'fast-check';
import { fondness, nobodyEats } from '../../src/core/ahead/appetite.ts';
import { buildProblem, nothingWithout } from '../../src/core/ahead/build.ts';
import { eat, runsOf } from '../../src/core/ahead/eat.ts';
import { WEEK } from '../../src/core/ahead/horizon.ts';
import { plansFor } from '../../src/core/ahead/plans.ts';
import { supplyWith, type AheadProblem } from '../../src/core/ahead/problem.ts';
import { AIMED_SHARE, cropsByWeek, lacksOfVarietyG, NO_WISH, Runs } from '../../src/core/ahead/variety.ts';
import { varietyPrice } from '../../src/core/ahead/varietyPrice.ts';
import type { Taste } from '../../src/core/ahead/appetite.ts';
import { aheadInput, container, eater, growable } from '../support/ahead.ts';
import { countsFor, problems } from '../support/aheadProblems.ts';

/** As much work as a test needs to find a plan. */
const TRIES = 1500;
const planned = (problem: AheadProblem): number[] => {
  let counts: number[] = [];
  for (const plan of plansFor(problem, { tries: TRIES })) ({ counts } = plan);
  return counts;
};

describe('variety in a week', () => {
  const grams = fc.array(fc.integer({ min: 0, max: 200 }), { minLength: 1, maxLength: 6 });

  it('lacks nothing where enough crops count, and more the fewer there are', () => {
    fc.assert(
      fc.property(grams, fc.integer({ min: 1, max: 900 }), (ofWeek, wantedG) => {
        const lacks = [2, 3, 4].map((least) => lacksOfVarietyG(Float64Array.from(ofWeek), wantedG, least));
        const count = ofWeek.filter((g) => g >= AIMED_SHARE * wantedG).length;
        [2, 3, 4].forEach((least, nth) => {
          expect(lacks[nth]! > 1e-9, `${least}`).to.equal(count < least);
          if (nth > 0) expect(lacks[nth]!).to.be.at.least(lacks[nth - 1]!);
          expect(lacks[nth]!).to.be.at.most(least * AIMED_SHARE * wantedG + 1e-9);
        });
      })
    );
  });

  it('counts the crops of each week by what was eaten, and no week in which nothing is wanted', () => {
    const day = (appetiteG: number, ...byCrop: number[]) => ({ appetiteG, byCrop });
    const week = (...days: ReturnType<typeof day>[]) => [
      ...days,
      ...Array.from({ length: WEEK - days.length }, () => day(0, 0, 0))
    ];
    expect(
      cropsByWeek([...week(day(100, 90, 10)), ...week(day(100, 94, 6)), ...week(), ...week(day(100, 0, 0))])
    ).to.deep.equal([2, 1, null, 0]);
  });
});

describe('crops sown in a row', () => {
  const starts = fc.array(fc.record({ crop: fc.nat(2), day: fc.nat(9) }), { maxLength: 12 });

  it('are counted by sowing days, as by hand', () => {
    const runs = new Runs(2, 10, 2);
    for (const [crop, day] of [
      [0, 0],
      [0, 3],
      [0, 4],
      [1, 4],
      [0, 7],
      [1, 8],
      [0, 9]
    ] as const)
      runs.put(crop, day, 1);
    // The first crop on days 0, 3, 4 and 7 in a row: twice more than two; then another day comes between.
    expect(runs.over()).to.equal(2);
  });

  it('change by one more or one less as the whole count does', () => {
    fc.assert(
      fc.property(starts, fc.record({ crop: fc.nat(2), day: fc.nat(9) }), (before, one) => {
        const runs = new Runs(3, 10, 1);
        for (const { crop, day } of before) runs.put(crop, day, 1);
        const [had, by] = [runs.over(), runs.overBy(one.crop, one.day, 1)];
        expect(runs.over()).to.equal(had);
        runs.put(one.crop, one.day, 1);
        expect(runs.over()).to.equal(had + by);
        expect(runs.overBy(one.crop, one.day, -1)).to.equal(-by);
      })
    );
  });
});

describe('wishes for variety', () => {
  const eaters = [eater(60)];
  const growables = ['radish', 'pea', 'arugula', 'broccoli'].map((key) => growable(key));
  const input = aheadInput({ eaters, growables, containers: [container('Tray', [25, 18], 8)] });
  const problemWith = (variety = NO_WISH): AheadProblem => buildProblem({ ...input, variety }).problem;

  it('are no part of a problem where nobody has any', () => {
    expect(problemWith()).not.to.have.property('variety');
    expect(problemWith({ leastCrops: 3, mostInRow: null }).variety).to.deep.equal({
      leastCrops: 3,
      mostInRow: null
    });
  });

  it('bring more crops into the weeks than come by themselves, and say what that costs', () => {
    const few = eat(problemWith(), planned(problemWith()));
    const problem = problemWith({ leastCrops: 3, mostInRow: null });
    const counts = planned(problem);
    const enough = ({ days }: typeof few) => cropsByWeek(days).filter((crops) => (crops ?? 0) >= 3).length;
    // Of eight weeks nothing can be had in the first two; in one more greens would go missing for it.
    expect(enough(eat(problem, counts))).to.be.at.least(5);
    expect(enough(few)).to.be.at.most(2);
    const { missingG, thrownG, sowings } = varietyPrice(problem, counts, { tries: TRIES });
    expect(Number.isInteger(sowings)).to.equal(true);
    expect(missingG).to.be.closeTo(eat(problem, counts).missingG - few.missingG, 1e-6);
    expect(thrownG).to.be.closeTo(eat(problem, counts).thrownG - few.thrownG, 1e-6);
  });

  it('keep a crop from being sown too often in a row', () => {
    const over = (mostInRow: number | null): number => {
      const problem = problemWith({ leastCrops: null, mostInRow });
      return runsOf({ ...problem, variety: { leastCrops: null, mostInRow: 1 } }, planned(problem))!.over();
    };
    expect(over(1)).to.be.lessThan(over(null));
  });

  it('leave nobody without while there is anything to eat', () => {
    fc.assert(
      fc.property(
        problems([1, 0.6]).chain((problem) => fc.tuple(fc.constant(problem), countsFor(problem))),
        ([problem, counts]) => {
          const { days } = eat({ ...problem, variety: { leastCrops: 2, mostInRow: null } }, counts);
          const supply = supplyWith(problem, counts);
          const spent = problem.crops.map(() => 0);
          days.forEach(({ byCrop, thrownByCrop, eatenG, missingG }, day) => {
            const left = supply.map(({ opened }, crop) => opened[day]! - spent[crop]! - byCrop[crop]!);
            expect(Math.min(...left)).to.be.at.least(-1e-6);
            if (missingG > 1e-6) expect(Math.max(...left)).to.be.at.most(1e-6);
            expect(byCrop.reduce((sum, g) => sum + g, 0)).to.be.closeTo(eatenG, 1e-6);
            byCrop.forEach((g, crop) => (spent[crop]! += g + thrownByCrop[crop]!));
          });
        }
      )
    );
  });
});

describe('what nothing can be planned without', () => {
  it('is named: a crop, a container, a place', () => {
    const input = aheadInput();
    expect(nothingWithout(input)).to.equal(null);
    expect(nothingWithout({ ...input, growables: [] })).to.equal('crops');
    expect(nothingWithout({ ...input, containers: [] })).to.equal('containers');
    expect(nothingWithout({ ...input, containers: [container('Tray', [25, 18], 0)] })).to.equal('containers');
    expect(nothingWithout({ ...input, places: [] })).to.equal('places');
  });
});

describe('what each of a household likes', () => {
  const of = (id: string, g: number, more: { liked?: string[]; disliked?: string[] } = {}) => ({
    ...eater(g),
    id,
    ...more
  });

  const taste = (cropKey: string, is: Taste['taste']): Taste => ({
    cropKey,
    taste: is,
    leastShare: null,
    mostShare: null
  });

  it('counts by how much they eat, and what nobody eats is left out', () => {
    const both = [
      of('a', 30, { liked: ['pea'], disliked: ['mustard'] }),
      of('b', 10, { disliked: ['mustard', 'pea'] })
    ];
    expect(fondness('pea', both, [])).to.deep.equal({ liked: 0.75, disliked: 0.25 });
    expect(fondness('pea', both, [taste('pea', 'liked')]).liked).to.equal(1);
    expect(nobodyEats(fondness('mustard', both, []))).to.equal(true);
    expect(nobodyEats(fondness('radish', both, [taste('radish', 'disliked')]))).to.equal(true);
    expect(fondness('pea', [], [])).to.deep.equal({ liked: 0, disliked: 0 });
  });

  it('likes a blend by all of its crops, and leaves it for one of them', () => {
    const both = [
      of('a', 30, { liked: ['pea', 'radish'] }),
      of('b', 10, { liked: ['pea'], disliked: ['kale'] })
    ];
    expect(fondness('pea+radish', both, [])).to.deep.equal({ liked: 0.75, disliked: 0 });
    expect(fondness('pea+radish', both, [taste('radish', 'liked')]).liked).to.equal(1);
    expect(fondness('pea+kale', both, [])).to.deep.equal({ liked: 0, disliked: 0.25 });
    expect(nobodyEats(fondness('pea+kale', both, [taste('kale', 'disliked')]))).to.equal(true);
  });

  it('leaves what somebody does not eat to the others', () => {
    const eaters = [of('a', 30), of('b', 30, { disliked: ['radish'] })];
    const growables = [growable('radish'), growable('pea')];
    const { problem } = buildProblem(
      aheadInput({
        eaters,
        growables,
        tastes: [{ cropKey: 'radish', taste: 'liked', leastShare: null, mostShare: 0.9 }]
      })
    );
    expect(problem.crops.find(({ key }) => key === 'radish')!.mostShare).to.equal(0.5);
    const none = [of('a', 30, { disliked: ['radish'] })];
    expect(
      buildProblem(aheadInput({ eaters: none, growables })).problem.crops.map(({ key }) => key)
    ).to.deep.equal(['pea']);
  });
});
