import { expect } from 'chai';
import { workOut, type Draft } from '../../src/ui/sow/draft.ts';
import { grainsOf, standOf } from '../../src/ui/tray/stems.ts';
import { wobbleFrom } from '../../src/ui/tray/wobble.ts';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { cropPicture } from '../../src/core/picture/cropPicture.ts';
import { at, rhythm, steadyPlace } from '../support/rhythm.ts';

const NOW = at('2026-11-23T15:00Z');
const place = steadyPlace(21, 18);

const draft = (more: Partial<Draft> = {}): Draft => ({
  cropKey: 'radish',
  container: { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
  count: '1',
  medium: 'coir',
  methodKey: 'press-and-wait',
  placeId: place.id,
  newPlace: null,
  density: 'usual',
  ownDensity: '',
  germination: '',
  when: 'now',
  readyBy: '',
  ...more
});
const work = (more: Partial<Draft> = {}) => workOut(draft(more), [place], rhythm(), 43.4, NOW);

describe('a draft of a sowing', () => {
  it('is worked out as soon as it can be', () => {
    const { plan, wrong } = work();
    expect(wrong).to.deep.equal({});
    expect(plan!.seed.seedG).to.be.closeTo(9.92, 0.01);
  });

  it('takes germination, density and number as they are typed', () => {
    expect(work({ germination: '47 %' }).plan!.seed.seedG).to.be.closeTo(19.85, 0.01);
    expect(work({ density: 'own', ownDensity: '4,2' }).plan!.seed.seedG).to.be.closeTo(19.85, 0.01);
    expect(work({ count: '2' }).plan!.seed.areaCm2).to.equal(900);
    expect(work({ density: 'dense' }).seedsPerCm2).to.equal(2.7);
  });

  it('says what is missing or wrong, field by field', () => {
    const says = (more: Partial<Draft>) =>
      Object.entries(work(more).wrong).map(([field, say]) => `${field}: ${say}`);
    expect(says({ cropKey: '' })).to.deep.equal(['cropKey: Choose a crop.']);
    expect(says({ count: '1.5' })[0]).to.match(/^count: Give a whole number/);
    expect(says({ count: 'some' })).to.have.length(1);
    expect(says({ germination: '0' })[0]).to.include('nothing sprouts');
    expect(says({ germination: '120' })[0]).to.include('percentage up to 100');
    expect(says({ density: 'own', ownDensity: '' })[0]).to.include('seeds per cm²');
    expect(says({ placeId: 'gone' })).to.deep.equal(['placeId: Choose a place.']);
    expect(says({ when: 'by' })).to.deep.equal(['readyBy: Choose the day it is to be ready.']);
    expect(says({ when: 'by', readyBy: '2026-11-20' })[0]).to.include('has passed');
    expect(says({ when: 'by', readyBy: '2027-02-29' })[0]).to.include('Choose the day');
    expect(says({ container: { ...draft().container, lengthCm: NaN } })[0]).to.include('measure the inside');
  });

  it('still works out a new place that has no name yet', () => {
    const { plan, wrong } = work({ newPlace: { ...place, id: 'new', name: '' } });
    expect(plan).not.to.equal(null);
    expect(Object.keys(wrong)).to.deep.equal(['newPlace.name']);
  });
});

describe('the drawn stand', () => {
  it('is the same for a tray each time, and another for another', () => {
    const picture = cropPicture(cropOf('radish'));
    expect(standOf(picture, 14)).to.deep.equal(standOf(picture, 14));
    expect(standOf({ ...picture, seed: 'another' }, 14)).not.to.deep.equal(standOf(picture, 14));
  });

  it('draws every crop with sound path data, within its width and height', () => {
    for (const crop of CROPS) {
      const picture = cropPicture(crop);
      const { stems, leaves } = standOf(picture, 14);
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
    const picture = { ...cropPicture(cropOf('radish')), cut: 0.5 };
    const { stems, stubs } = standOf(picture, 14);
    const count = (path: string) => path.split('M').length - 1;
    expect(Math.abs(count(stems) - count(stubs))).to.be.at.most(3);
    expect(standOf({ ...picture, cut: 1 }, 14).stems).to.equal('');
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
