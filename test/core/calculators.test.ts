import { expect } from 'chai';
import { problem, Unworkable } from '../../src/core/problem.ts';
import { seedAmount } from '../../src/core/supplies/seed/amount.ts';
import { hypochlorite, peroxide, weakPeroxideMl } from '../../src/core/supplies/seed/disinfect.ts';
import { quantityName } from '../../src/words/calculators.ts';
import { problemWords } from '../../src/words/problems.ts';
import fc from 'fast-check';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { convert, unitsIn, type ConversionGroup } from '../../src/core/calculators/convert.ts';
import { calculate, type Calculator } from '../../src/core/calculators/calculator.ts';
import { findCalculator, CALCULATORS } from '../../src/core/calculators/registry.ts';
import { freeQuantity, solveFor } from '../../src/core/calculators/relation.ts';
import { coirFor, partVolumes, readParts } from '../../src/core/supplies/media/coir.ts';

const radish = { crop: cropOf('radish') };
const pea = { crop: cropOf('pea') };
const work = (key: string, given: Record<string, number>, context = radish) =>
  calculate(findCalculator(key)!, context, given, Object.keys(given));

describe('a calculator', () => {
  it('gives the reference values', () => {
    expect(work('seed', { area: 450, germination: 94 }).values.seedG).to.be.closeTo(11.81, 0.005);
    expect(work('seed', { area: Math.PI * 64, germination: 80 }, pea).values.seedG).to.be.closeTo(45.5, 0.05);
    const solution = work('hypochlorite', { seedG: 340, target: 2000, strength: 5.25, ratio: 5 });
    expect(solution.values.productMl).to.be.closeTo(64.8, 0.05);
    expect(solution.asides[0]!.value).to.equal(1700);
    expect(work('peroxide', { seedG: 340, target: 3, strength: 12, ratio: 5 }).values.productMl).to.equal(
      425
    );
    expect(work('dilution', { totalMl: 1700, target: 3, stock: 12 }).values.stockMl).to.equal(425);
    expect(work('packet', { lotG: 118.125 }).values.count).to.be.closeTo(10, 1e-9);
    expect(work('feed', { waterL: 2, dose: 4, strength: 50 }).values.stockMl).to.be.closeTo(4, 1e-9);
    expect(work('medium', { area: 450, depth: 2.5 }).values.mediumMl).to.equal(1125);
    expect(work('soak', { seedG: 80 }, pea).values.jarMl).to.be.closeTo(100 * 7.2, 1e-9);
  });

  it('works out whichever quantity was not typed, and they all agree', () => {
    const calculators = fc.constantFrom(...CALCULATORS);
    fc.assert(
      fc.property(
        calculators,
        fc.constantFrom(...CROPS),
        fc.nat(9),
        fc.infiniteStream(fc.double({ min: 0.2, max: 3, noNaN: true })),
        (calculator, crop, pick, scales) => {
          const context = { crop };
          const quantities = calculator.quantities(context);
          const start = calculate(calculator, context, {}, []);
          const given: Record<string, number> = {};
          for (const { key } of quantities) given[key] = start.values[key]! * (scales.next().value as number);
          const solvable = quantities.filter((one) => one.solvable).map(({ key }) => key);
          const free = solvable[pick % solvable.length]!;
          const value = solveFor(calculator.relation(context, given), given, free);
          const whole = { ...given, [free]: value };
          for (const other of solvable)
            expect(
              solveFor(calculator.relation(context, whole), whole, other),
              `${calculator.key}.${other}`
            ).to.be.closeTo(whole[other]!, Math.abs(whole[other]!) * 1e-9);
        }
      )
    );
  });

  it('lets what was typed longest ago give way', () => {
    expect(freeQuantity(['a', 'b', 'c'], [])).to.equal('a');
    expect(freeQuantity(['a', 'b', 'c'], ['a'])).to.equal('b');
    expect(freeQuantity(['a', 'b', 'c'], ['b', 'c', 'a'])).to.equal('b');
    expect(freeQuantity(['a', 'b'], ['x', 'b', 'a'])).to.equal('b');
    expect(work('seed', { seedG: 50 }).free).to.equal('count');
    const { free, values } = calculate(findCalculator('seed')!, radish, { count: 2, seedG: 50, area: 450 }, [
      'area',
      'count',
      'seedG'
    ]);
    expect([free, values.density! > 0]).to.deep.equal(['density', true]);
  });

  it('conserves what is active in a dilution', () => {
    const percent = fc.double({ min: 0.01, max: 100, noNaN: true });
    fc.assert(
      fc.property(percent, percent, fc.double({ min: 100, max: 1e5, noNaN: true }), (one, other, totalMl) => {
        const [target, stock] = [Math.min(one, other), Math.max(one, other)];
        const { values, asides } = work('dilution', { totalMl, target, stock });
        expect(values.stockMl! * stock).to.be.closeTo(totalMl * target, totalMl * target * 1e-9);
        expect(values.stockMl! + asides[0]!.value).to.be.closeTo(totalMl, totalMl * 1e-9);
      })
    );
  });

  it('scales seed with area', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CROPS),
        fc.double({ min: 100, max: 4000, noNaN: true }),
        fc.double({ min: 0.1, max: 4, noNaN: true }),
        (crop, area, times) => {
          const seedG = (of: number) => work('seed', { area: of }, { crop }).values.seedG!;
          expect(seedG(area * times)).to.be.closeTo(seedG(area) * times, seedG(area) * times * 1e-9);
        }
      )
    );
  });

  it('refuses what must not be made, and says why', () => {
    const refused = (key: string, given: Record<string, number>) => {
      const { outside, refused: why, values, free } = work(key, given);
      expect(values[free], 'no figure beside a refusal').to.be.NaN;
      const found =
        why ?? problem('figure-outside', { label: quantityName(key, outside[0]!.key), ...outside[0]! });
      return problemWords(found);
    };
    expect(refused('hypochlorite', { target: 25_000 })).to.include('20 000 ppm');
    expect(refused('peroxide', { target: 11 })).to.include('at most 10%');
    expect(refused('peroxide', { target: 6, strength: 3 })).to.include('weaker');
    expect(refused('dilution', { target: 6, stock: 3 })).to.include('weaker');
    expect(refused('seed', { germination: 0 })).to.include('from 1 to 100');
    expect(refused('seed', { area: NaN })).to.include('Area of one');
    // Solved the other way round, the bound holds as well.
    expect(refused('hypochlorite', { productMl: 1000, seedG: 10, strength: 12 })).to.include('20 000 ppm');
  });

  it('bounds what it solves for as what is typed, whatever is given', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CALCULATORS),
        fc.constantFrom(...CROPS),
        fc.infiniteStream(fc.double({ min: -6, max: 6, noNaN: true })),
        fc.infiniteStream(fc.nat(99)),
        (calculator, crop, exponents, picks) => {
          const context = { crop };
          const quantities = calculator.quantities(context);
          const next = () => picks.next().value as number;
          const typed = quantities
            .map(({ key }) => ({ key, order: next() }))
            .filter(() => next() > 30)
            .sort((a, b) => a.order - b.order)
            .map(({ key }) => key);
          const given = Object.fromEntries(
            quantities.map(({ key, start }) => [
              key,
              (Number.isFinite(start) ? start : 10) * 10 ** ((exponents.next().value as number) / 2)
            ])
          );
          const { values, free, beyond, outside, refused, asides } = calculate(
            calculator,
            context,
            given,
            typed
          );
          const { low, high } = quantities.find(({ key }) => key === free)!;
          const value = values[free]!;
          if (Number.isNaN(value)) {
            expect(beyond !== null || refused !== null || outside.length > 0).to.equal(true);
            expect(asides).to.deep.equal([]);
          } else expect(value, `${calculator.key}.${free}`).to.be.within(low * (1 - 1e-9), high * (1 + 1e-9));
          for (const aside of asides) expect(aside.value, aside.key).to.be.at.least(-1e-9);
        }
      ),
      { numRuns: 2000 }
    );
    // What came out before: 500 %, a feed of 25 000 %, 228 seeds to a cm2.
    expect(work('dilution', { stockMl: 100, totalMl: 1000, target: 50 }).beyond!.value).to.be.closeTo(
      500,
      1e-9
    );
    expect(work('feed', { stockMl: 1000, waterL: 1, dose: 4 }).beyond!.value).to.be.closeTo(25_000, 1e-6);
    expect(work('seed', { seedG: 1000, count: 1 }).beyond!.quantity.key).to.equal('density');
  });

  it('is not worked out for less than nothing, for no figure, or for more than all of it', () => {
    for (const [seedG, target, strength, ratio] of [
      [-10, 3, 12, 5],
      [NaN, 3, 12, 5],
      [0, 3, 12, 5],
      [100, -3, 12, 5],
      [100, NaN, 12, 5],
      [100, 3, -12, 5],
      [100, 3, NaN, 5],
      [100, 3, 101, 5],
      [100, 3, 12, -5],
      [100, 3, 12, NaN]
    ] as const) {
      expect(
        () => peroxide(seedG, target, strength, ratio),
        `${seedG} ${target} ${strength} ${ratio}`
      ).to.throw(Unworkable);
      expect(() => hypochlorite(seedG, target * 1000, strength, ratio)).to.throw(Unworkable);
    }
    for (const waterMl of [-1, NaN]) expect(() => weakPeroxideMl(waterMl)).to.throw(RangeError);
    for (const [area, density, pct] of [
      [-1, 2, 90],
      [450, -2, 90],
      [450, 2, 0],
      [450, 2, 101],
      [450, 2, NaN],
      [NaN, 2, 90]
    ] as const)
      expect(() => seedAmount(radish.crop, area, density, pct)).to.throw(RangeError);
  });

  it('knows no calculator and no quantity that is not there', () => {
    expect(findCalculator('no')).to.equal(undefined);
    expect(() => solveFor({ factors: [], powers: { a: 1 } }, { a: 1 }, 'b')).to.throw(RangeError);
  });

  it('has each quantity of its law among those shown', () => {
    for (const calculator of CALCULATORS as readonly Calculator[]) {
      const keys = calculator.quantities(radish).map(({ key }) => key);
      const start = calculate(calculator, radish, {}, []);
      expect(
        Object.keys(calculator.relation(radish, start.values).powers).every((key) => keys.includes(key)),
        calculator.key
      ).to.equal(true);
      expect([start.outside, start.refused], calculator.key).to.deep.equal([[], null]);
    }
  });
});

describe('units', () => {
  const groups: ConversionGroup[] = [
    'weight',
    'volume',
    'length',
    'area',
    'density',
    'pressure',
    'strength',
    'temperature'
  ];

  it('come back after going there', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...groups),
        fc.nat(9),
        fc.nat(9),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (group, a, b, value) => {
          const units = unitsIn(group);
          const [one, other] = [units[a % units.length]!, units[b % units.length]!];
          expect(convert(group, convert(group, value, one, other), other, one)).to.be.closeTo(
            value,
            1e-6 * Math.max(1, Math.abs(value))
          );
        }
      )
    );
  });

  it('are what they are', () => {
    expect(convert('temperature', 21, '°C', '°F')).to.be.closeTo(69.8, 1e-9);
    expect(convert('temperature', 212, '°F', '°C')).to.be.closeTo(100, 1e-9);
    expect(convert('volume', 1, 'gal', 'L')).to.be.closeTo(3.785, 0.001);
    expect(convert('volume', 3, 'tsp', 'tbsp')).to.be.closeTo(1, 1e-9);
    expect(convert('density', 10, 'seeds/in²', 'seeds/cm²')).to.be.closeTo(1.55, 0.001);
    expect(convert('strength', 2000, 'ppm', '%')).to.be.closeTo(0.2, 1e-12);
    expect(() => convert('weight', 1, 'g', 'cup')).to.throw(RangeError);
  });
});

describe('media', () => {
  it('swells coir by the usual figure or the brick’s own', () => {
    expect(coirFor(2000)).to.deep.equal({ dryG: 250, waterMl: 1125 });
    expect(coirFor(2000, 10).dryG).to.equal(200);
  });

  it('reads parts as people write them, and shares a volume by them', () => {
    const mix = [
      { name: 'coir', parts: 3 },
      { name: 'perlite', parts: 1 }
    ];
    for (const text of [
      '3 coir, 1 perlite',
      '3 parts coir + perlite',
      'coir 3; perlite 1',
      '3x coir and 1 part of perlite'
    ])
      expect(readParts(text), text).to.deep.equal(mix);
    expect(readParts('1,5 coir + 0.5 perlite')).to.deep.equal([
      { name: 'coir', parts: 1.5 },
      { name: 'perlite', parts: 0.5 }
    ]);
    for (const text of ['', '  ', '3, 4', '0 coir']) expect(readParts(text), text).to.equal(null);
    expect(partVolumes(2000, mix)).to.deep.equal([
      { name: 'coir', mL: 1500 },
      { name: 'perlite', mL: 500 }
    ]);
  });
});
