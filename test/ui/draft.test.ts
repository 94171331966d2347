import { householdWith } from '../support/householdWith.ts';
import { expect } from 'chai';
import { DAY } from '../../src/core/time/zone.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import type { LotStock } from '../../src/core/supplies/seed/lot.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { workOut, type Draft, type DraftPart } from '../../src/ui/sow/draft.ts';
import { grainsOf, stemPaths } from '../../src/ui/tray/stems.ts';
import { wobbleFrom } from '../../src/ui/tray/wobble.ts';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { cropPicture } from '../../src/core/picture/cropPicture.ts';
import { tin } from '../support/lot.ts';
import { at, steadyPlace } from '../support/rhythm.ts';

const NOW = at('2026-11-23T15:00Z');
const place = steadyPlace(21, 18);

const part = (cropKey: string, more: Partial<DraftPart> = {}): DraftPart => ({
  cropKey,
  lotId: '',
  share: '1',
  ...more
});
const draft = (more: Partial<Draft> = {}): Draft => ({
  kind: 'one',
  parts: [part('radish')],
  shareOf: 'weight',
  staggered: false,
  container: { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
  containerName: '',
  count: '1',
  medium: 'coir',
  mediumId: '',
  methodKey: 'press-and-wait',
  method: null,
  placeId: place.id,
  lightPlaceId: '',
  newPlace: null,
  density: 'usual',
  ownDensity: '',
  germination: '',
  ownSeedG: null,
  soak: '',
  stack: '',
  when: 'now',
  readyBy: '',
  ...more
});
const work = (more: Partial<Draft> = {}, lots: LotStock[] = []) =>
  workOut(draft(more), {
    household: householdWith({ places: [place] }),
    containers: [],
    methods: READY_METHODS,
    lots,
    media: [],
    now: NOW
  });
const seedG = (...of: Parameters<typeof work>) => work(...of).sowings[0]!.plan.seed.seedG;

describe('a draft of a sowing', () => {
  it('is worked out as soon as it can be', () => {
    expect(work().wrong).to.deep.equal({});
    expect(seedG()).to.be.closeTo(11.81, 0.01);
  });

  it('takes germination, density and number as they are typed', () => {
    expect(seedG({ germination: '47 %' })).to.be.closeTo(23.63, 0.01);
    expect(seedG({ density: 'own', ownDensity: '5' })).to.be.closeTo(23.63, 0.01);
    expect(work({ count: '2' }).sowings[0]!.plan.seed.areaCm2).to.equal(900);
    expect(work({ density: 'dense' }).sowings[0]!.setup.seedsPerCm2).to.equal(3.5);
  });

  it('says what is missing or wrong, field by field', () => {
    const says = (more: Partial<Draft>) =>
      Object.entries(work(more).wrong).map(([field, say]) => `${field}: ${say}`);
    expect(says({ parts: [part('')] })).to.deep.equal(['parts.0.cropKey: Choose a crop.']);
    expect(says({ count: '1.5' })[0]).to.match(/^count: Give a whole number/);
    expect(says({ count: 'some' })).to.have.length(1);
    expect(says({ germination: '0' })[0]).to.include('If nothing sprouts');
    expect(says({ germination: '120' })[0]).to.include('percentage over 0 and up to 100');
    expect(says({ density: 'own', ownDensity: '' })[0]).to.include('seeds per cm²');
    expect(says({ placeId: 'gone' })[0]).to.include('no longer there');
    expect(says({ methodKey: 'gone' })[0]).to.include('Choose another');
    expect(says({ when: 'by' })).to.deep.equal(['readyBy: Choose the day it should be ready.']);
    expect(says({ when: 'by', readyBy: '2026-11-20' })[0]).to.include('has passed');
    expect(says({ when: 'by', readyBy: '2027-02-29' })[0]).to.include('does not exist');
    expect(says({ container: { ...draft().container, lengthCm: NaN } })[0]).to.include('Measure the inside');
    const twice = { kind: 'halves' as const, parts: [part('radish'), part('radish')] };
    expect(says(twice)[0]).to.match(/^parts.1.cropKey: .*already/);
    const shares = { kind: 'blended' as const, parts: [part('radish'), part('kale', { share: 'some' })] };
    expect(says(shares)[0]).to.match(/^parts.1.share: Give its parts/);
  });

  it('says that a field is empty only once the form is sent', () => {
    expect([...work({ parts: [part('')], when: 'by' }).missing]).to.deep.equal([
      'parts.0.cropKey',
      'readyBy'
    ]);
    expect([...work({ count: 'some' }).missing]).to.deep.equal([]);
  });

  it('still works out a new place that has no name yet', () => {
    const { sowings, wrong } = work({ newPlace: { ...place, id: 'new', name: '' } });
    expect(sowings).to.have.length(1);
    expect(Object.keys(wrong)).to.deep.equal(['newPlace.name']);
  });

  it('takes germination from the lot, and says what the lot is short of', () => {
    const parts = [part('radish', { lotId: 'lot' })];
    const half = work({ parts }, [tin({ test: { sprouted: 47, tested: 100 }, weighedG: 15 })]).sowings[0]!;
    expect(half.plan.seed.seedG).to.be.closeTo(23.63, 0.01);
    expect(half.shortG).to.be.closeTo(8.63, 0.01);
    expect(work({ parts }, [tin()]).sowings[0]!.shortG).to.equal(0);
    expect(seedG({ parts, germination: '94' }, [tin({ packetPct: 47 })]), 'typed wins').to.be.closeTo(
      11.81,
      0.01
    );
  });

  it('takes grams of one’s own before the density, in every figure and step', () => {
    const weighed = (sowing: ReturnType<typeof work>['sowings'][number]) =>
      stepsOf(sowing.projected).flatMap(({ body }) =>
        body.kind === 'weigh' ? body.seed.map((line) => line.seedG) : body.kind === 'sow' ? [body.seedG] : []
      );
    const [one] = work({ ownSeedG: 14, density: 'sparse' }).sowings;
    expect([one!.setup.seedG, one!.plan.seed.seedG]).to.deep.equal([one!.setup.seedG, one!.setup.seedG]);
    expect(one!.setup.seedG).to.be.closeTo(14, 1e-9);
    for (const g of weighed(one!)) expect(g).to.be.closeTo(14, 1e-9);
    expect(one!.setup.seedsPerCm2).to.be.closeTo((2.5 * 14) / 11.81, 0.01);
    const parts = [part('pea'), part('cress-garden')];
    const halves = work({ kind: 'halves', parts, ownSeedG: 60 }).sowings;
    expect(halves.map(({ setup }) => setup.seedG)[0]).to.be.closeTo(30, 1e-9);
    const [blend] = work({ kind: 'blended', parts: [part('radish'), part('kale')], ownSeedG: 8 }).sowings;
    expect(blend!.setup.mix!.reduce((sum, { seedG: g }) => sum + g, 0)).to.be.closeTo(8, 1e-9);
    expect(weighed(blend!).reduce((sum, g) => sum + g, 0)).to.be.closeTo(16, 1e-9);
  });

  it('makes two sowings of halves, the faster later where that is asked', () => {
    const parts = [part('pea'), part('cress-garden')];
    const [together, apart] = [false, true].map(
      (staggered) => work({ kind: 'halves', parts, staggered }).sowings
    );
    for (const sowings of [together!, apart!]) {
      expect(sowings.map(({ setup }) => setup.areaShare)).to.deep.equal([0.5, 0.5]);
      expect(sowings.map(({ plan }) => plan.seed.areaCm2)).to.deep.equal([225, 225]);
    }
    const best = (sowings: typeof apart) => sowings!.map(({ plan }) => plan.forecast.marks.windowBest.p50);
    const gap = (sowings: typeof apart) => Math.abs(best(sowings)[0]! - best(sowings)[1]!) / DAY;
    expect(gap(together)).to.be.above(2);
    expect(gap(apart)).to.be.below(0.8);
  });

  it('blends seed by weight or count into one sowing', () => {
    const parts = [part('radish', { share: '1' }), part('broccoli', { share: '1' })];
    const [weight, count] = (['weight', 'count'] as const).map(
      (shareOf) => work({ kind: 'blended', parts, shareOf }).sowings[0]!
    );
    const seed = (sowing: typeof weight) => {
      const body = stepsOf(sowing!.projected)[0]!.body;
      return body.kind === 'weigh' ? body.seed.map((line) => line.seedG) : [];
    };
    expect(seed(weight)[0]! / seed(weight)[1]!).to.be.closeTo(1, 0.001);
    const seeds = (index: number) =>
      seed(count)[index]! / cropOf(['radish', 'broccoli'][index]!).thousandSeedWeightG;
    expect(seeds(0) / seeds(1)).to.be.closeTo(1, 0.001);
    expect(weight!.setup.mix!.reduce((sum, { areaShare }) => sum + areaShare, 0)).to.be.closeTo(1, 1e-12);
  });
});

describe('the drawn stand', () => {
  it('is the same for a tray each time, and another for another', () => {
    const picture = cropPicture(cropOf('radish'));
    expect(stemPaths(picture, 14)).to.deep.equal(stemPaths(picture, 14));
    expect(stemPaths({ ...picture, seed: 'another' }, 14)).not.to.deep.equal(stemPaths(picture, 14));
  });

  it('draws every crop with sound path data, within its width and height', () => {
    for (const crop of CROPS) {
      const picture = cropPicture(crop);
      const { stems, leaves } = stemPaths(picture, 14);
      expect(stems + leaves, crop.key).to.match(/^[MQqLlCcVvHhzZ\d\s.-]+$/);
      const starts = [...(stems + leaves).matchAll(/M(-?\d+) (-?\d+)/g)].map(([, x, y]) => [
        Number(x),
        Number(y)
      ]);
      expect(starts.length, crop.key).to.be.above(5);
      for (const [x, y] of starts) {
        expect(x, crop.key).to.be.within(-12, 152);
        expect(y, crop.key).to.be.within(-picture.stems!.heightCm * 13 - 2, 0);
      }
    }
  });

  it('leaves stubs where it was cut', () => {
    const picture = { ...cropPicture(cropOf('radish')), cut: [0, 0, 0, 0, 0, 1, 1, 1, 1, 1] };
    const { stems, stubs } = stemPaths(picture, 14);
    const count = (path: string) => path.split('M').length - 1;
    expect(Math.abs(count(stems) - count(stubs))).to.be.at.most(3);
    expect(stemPaths({ ...picture, cut: [1] }, 14).stems).to.equal('');
  });

  it('shows seed that sprouts', () => {
    const bare = { ...cropPicture(cropOf('pea')), stems: null };
    const seeds = (sprouted: number) =>
      grainsOf({ ...bare, grains: { sizeCm: 0.7, perCm: 1.07, sprouted } }, 14);
    expect(seeds(0).tails).to.equal('');
    expect(seeds(1).tails.split('M').length).to.equal(seeds(1).grains.split('M').length);
    expect(grainsOf(bare, 14).grains).to.equal('');
  });

  it('wobbles between 0 and 1, evenly', () => {
    const values = Array.from({ length: 2000 }, (_, index) => wobbleFrom('tray')(index));
    expect(Math.min(...values)).to.be.at.least(0);
    expect(Math.max(...values)).to.be.below(1);
    expect(values.reduce((sum, value) => sum + value, 0) / 2000).to.be.within(0.45, 0.55);
  });
});
