import { expect } from 'chai';
import { Unworkable } from '../../src/core/problem.ts';
import { problemWords } from '../../src/words/problems.ts';
import fc from 'fast-check';
import { checkContainer } from '../../src/core/supplies/containers/check.ts';
import { areaCm2, frontWidthCm, type Container } from '../../src/core/supplies/containers/container.ts';
import { CROPS, cropOf, findCrop, readCropTable } from '../../src/core/crops/library.ts';
import { searchCrops } from '../../src/core/crops/names/search.ts';
import { CROP_TABLE } from '../../src/core/crops/table.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { bandsOf } from '../../src/core/picture/bands.ts';
import { aimOf } from '../../src/core/sowing/aim.ts';
import { plan, READY_CHANCE, type PlanInput } from '../../src/core/sowing/plan.ts';
import { hypochlorite, peroxide } from '../../src/core/supplies/seed/disinfect.ts';
import { seedAmount } from '../../src/core/supplies/seed/amount.ts';
import { germinationTest } from '../../src/core/supplies/seed/germinationTest.ts';
import { spoonsWords } from '../../src/words/spoons.ts';
import { spoonsFor } from '../../src/core/supplies/seed/spoons.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { choiceOf, planned } from '../support/choosing.ts';
import { at, rhythm, steadyPlace } from '../support/rhythm.ts';

const tray: Container = { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 };
const NOW = at('2026-11-23T17:00Z');
const input = (more: Partial<PlanInput> = {}): PlanInput => ({
  crop: cropOf('radish'),
  container: tray,
  count: 1,
  medium: 'coir',
  method: READY_METHODS[0]!,
  place: steadyPlace(21, 18),
  seedsPerCm2: 2.1,
  germinationPct: null,
  aim: { kind: 'now' },
  rhythm: rhythm(),
  latitudeDeg: 43.4,
  now: NOW,
  ...more
});

describe('a plan', () => {
  it('stands for every crop under every method, its stages in order and without overlap', () => {
    for (const crop of CROPS)
      for (const method of READY_METHODS) {
        const [one] = planned(choiceOf([crop], { method }));
        const { bands, open } = bandsOf(one!.projected);
        expect(one!.plan.hindered, crop.key).to.equal(null);
        expect(one!.plan.seed.seedG).to.be.above(0);
        bands.forEach((band, index) => {
          expect(band.until, `${crop.key} ${band.kind}`).to.be.above(band.from);
          if (index > 0) expect(band.from, `${crop.key} ${band.kind}`).to.equal(bands[index - 1]!.until);
        });
        expect(bands.at(-1)!.until, crop.key).to.equal(open.p50);
      }
  });

  it('starts as late as is still ready in time', () => {
    const by = at('2026-12-12T19:30Z');
    const planned = plan(input({ aim: { kind: 'by', at: by } }));
    expect(planned.earliestAt).to.equal(null);
    expect(planned.chance).to.be.at.least(READY_CHANCE);
    expect(planned.soak.sowAt).to.be.above(NOW + 8 * DAY);
    const aDayLater = planned.forecast.chance('windowOpen', by - DAY);
    expect(aDayLater).to.be.below(READY_CHANCE);
  });

  it('offers an earliest day that is then taken, whatever the hour it is asked at', () => {
    for (let hour = 0; hour < 24; hour += 1) {
      const now = NOW + hour * HOUR;
      const near = (readyBy: string) =>
        plan(input({ crop: cropOf('pea'), seedsPerCm2: 1.15, now, aim: aimOf(readyBy, rhythm())! }));
      const { earliestAt } = near('2026-11-26');
      const offered = rhythm().zone.date(earliestAt!).toString();
      expect(near(offered).earliestAt, `asked ${hour} h on`).to.equal(null);
      expect(near(offered).chance, `asked ${hour} h on`).to.be.at.least(READY_CHANCE);
    }
  });

  it('says the earliest possible where the day is too near', () => {
    const planned = plan(
      input({ crop: cropOf('pea'), seedsPerCm2: 1.15, aim: { kind: 'by', at: NOW + 4 * DAY } })
    );
    expect(planned.earliestAt).to.be.within(
      planned.forecast.marks.windowOpen.p50,
      planned.forecast.marks.windowOpen.p90
    );
    const taken = plan(
      input({ crop: cropOf('pea'), seedsPerCm2: 1.15, aim: { kind: 'by', at: planned.earliestAt! + HOUR } })
    );
    expect(taken.earliestAt).to.equal(null);
  });

  it('says where nothing grows', () => {
    expect(plan(input({ crop: cropOf('basil'), place: steadyPlace(9) })).hindered).to.equal('cold');
    expect(plan(input({ crop: cropOf('cilantro'), place: steadyPlace(32.5) })).hindered).to.equal('hot');
    expect(plan(input({ crop: cropOf('cilantro'), place: steadyPlace(12) })).hindered).to.equal('cold');
    expect(plan(input({ crop: cropOf('cilantro'), place: steadyPlace(16) })).hindered).to.equal(null);
  });
});

describe('seed', () => {
  it('scales with area, and against germination', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CROPS),
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (crop, area, times) => {
          const one = seedAmount(crop, area, crop.seedsPerCm2.usual).seedG;
          expect(seedAmount(crop, area * times, crop.seedsPerCm2.usual).seedG).to.be.closeTo(
            one * times,
            one * times * 1e-9
          );
          expect(seedAmount(crop, area, crop.seedsPerCm2.usual, crop.germinationPct / 2).seedG).to.be.closeTo(
            one * 2,
            one * 1e-9
          );
        }
      )
    );
  });

  it('warns of a lot of which too little sprouts', () => {
    expect([69.9, 70].map((pct) => seedAmount(cropOf('radish'), 450, 2.1, pct).weakLot)).to.deep.equal([
      true,
      false
    ]);
  });

  it('is told in spoons and cups', () => {
    expect(spoonsFor(cropOf('radish'), 9.9)).to.deep.equal({ unit: 'tsp', count: 2.75 });
    expect(spoonsFor(cropOf('watercress'), 0.01)).to.equal(null);
    expect(spoonsFor(cropOf('watercress'), 0.4)).to.deep.equal({ unit: 'tsp', count: 0.125 });
    expect(spoonsWords(spoonsFor(cropOf('watercress'), 0.4))).to.equal('about ⅛ tsp');
    expect(spoonsWords(spoonsFor(cropOf('radish'), 9.9))).to.equal('about 2¾ tsp');
    expect(spoonsWords(null)).to.include('weigh it');
    expect(spoonsFor(cropOf('pea'), 90)).to.deep.equal({ unit: 'tbsp', count: 7.5 });
    expect(spoonsFor(cropOf('pea'), 400)!.unit).to.equal('cup');
  });

  it('gives a paper-towel test its uncertainty', () => {
    const { pct, lowPct, highPct } = germinationTest(17, 20);
    expect(pct).to.equal(85);
    expect([lowPct, highPct]).to.satisfy(
      ([low, high]: [number, number]) => low > 71 && low < 85 && high > 85 && high < 94
    );
    expect(germinationTest(10, 10).highPct).to.be.closeTo(100, 1e-9);
    expect(germinationTest(10, 10).lowPct).to.be.below(95);
    for (const [k, n] of [
      [5, 4],
      [1, 0],
      [-1, 5],
      [1.5, 5]
    ] as const)
      expect(() => germinationTest(k, n)).to.throw(RangeError);
  });
});

describe('disinfecting', () => {
  it('conserves the active amount', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1000, noNaN: true }),
        fc.double({ min: 10, max: 19_000, noNaN: true }),
        fc.double({ min: 2, max: 15, noNaN: true }),
        (seedG, ppm, strength) => {
          const { solutionMl, productMl, waterMl } = hypochlorite(seedG, ppm, strength);
          expect(productMl * strength).to.be.closeTo((solutionMl * ppm) / 10_000, solutionMl * 1e-6);
          expect(productMl + waterMl).to.be.closeTo(solutionMl, 1e-6);
        }
      )
    );
  });

  it('refuses what is past the hard bounds or cannot be reached', () => {
    expect(() => hypochlorite(100, 20_001, 5)).to.throw(Unworkable, 'hypochlorite-too-strong');
    expect(() => hypochlorite(100, 2000, 0.1)).to.throw(Unworkable, 'product-too-weak');
    expect(() => peroxide(100, 10.1, 30)).to.throw(Unworkable, 'peroxide-too-strong');
    expect(() => peroxide(100, 6, 3)).to.throw(Unworkable, 'product-too-weak');
    expect(() => peroxide(100, 0, 3)).to.throw(RangeError);
  });
});

describe('containers', () => {
  it('have the area of their shape', () => {
    expect(areaCm2(tray)).to.equal(450);
    expect(areaCm2({ ...tray, shape: 'round', lengthCm: 16 })).to.be.closeTo(201.06, 0.01);
    const cells: Container = { ...tray, shape: 'cells', lengthCm: 5, widthCm: 5, cells: 6 };
    expect(areaCm2(cells)).to.equal(150);
    expect(frontWidthCm(cells)).to.be.closeTo(16.8, 1e-9);
  });

  it('are told apart from slips of the finger', () => {
    expect(checkContainer(tray)).to.deep.equal({});
    expect(Object.keys(checkContainer({ ...tray, lengthCm: 0, widthCm: 9999, depthCm: NaN }))).to.deep.equal([
      'lengthCm',
      'widthCm',
      'depthCm'
    ]);
    expect(problemWords(checkContainer({ ...tray, shape: 'cells', cells: 2.5 }).cells!)).to.include(
      'count them'
    );
    expect(checkContainer({ ...tray, shape: 'round', widthCm: 0 })).to.deep.equal({});
  });
});

describe('the library', () => {
  it('has 45 crops, each with its figures in order', () => {
    expect(CROPS).to.have.length(45);
    for (const crop of CROPS) {
      expect([crop.soakMinH, crop.soakBestH, crop.soakMaxH], crop.key).to.deep.equal(
        [crop.soakMinH, crop.soakBestH, crop.soakMaxH].sort((a, b) => a - b)
      );
      expect(crop.baseC < crop.optimumC && crop.optimumC < crop.maximumC, crop.key).to.equal(true);
      const { sparse, usual, dense } = crop.seedsPerCm2;
      expect(sparse < usual && usual < dense, crop.key).to.equal(true);
    }
  });

  it('is searched by common, botanical and family name', () => {
    expect(searchCrops('RADIS').map(({ key }) => key)).to.deep.equal(['radish']);
    expect(searchCrops('pisum').map(({ key }) => key)).to.deep.equal(['pea', 'pea-tendril']);
    expect(searchCrops('grass poaceae').map(({ key }) => key)).to.include('wheat');
    expect(searchCrops('')).to.have.length(45);
    expect(searchCrops('tomato')).to.deep.equal([]);
    for (const name of ['rocket', 'Rúcula', 'rucola', 'arugu'])
      expect(
        searchCrops(name).map(({ key }) => key),
        name
      ).to.deep.equal(['arugula']);
    expect(findCrop('tomato')).to.equal(undefined);
    expect(() => cropOf('tomato')).to.throw('no crop');
  });

  it('says which row and column it cannot read', () => {
    const broken = (from: string, to: string) => () => readCropTable(CROP_TABLE.replace(from, to));
    expect(
      broken('alfalfa,Alfalfa,Medicago sativa,Fabaceae,2.1', 'alfalfa,Alfalfa,Medicago sativa,Fabaceae,heavy')
    ).to.throw('row 2 (alfalfa): “thousand_seed_weight_g” must be a number');
    expect(broken(',cotyledon,', ',someday,')).to.throw('“harvest_cue” must be one of');
    expect(broken('germination_pct', 'germ')).to.throw('no column “germination_pct”');
  });
});
