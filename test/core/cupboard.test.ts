import { blendedNames } from '../../src/core/crops/blend.ts';
import { expect } from 'chai';
import { freeCount } from '../../src/core/supplies/containers/container.ts';
import { checkCrop as problemsOf, nearestCrop } from '../../src/core/crops/check.ts';
import { completedCrop, type Crop } from '../../src/core/crops/crop.ts';
import { FIGURES, NUMBER_KEYS } from '../../src/core/crops/figures.ts';
import { cropProblemWords } from '../../src/words/cropFigures.ts';
import {
  CROPS,
  cropOf,
  cropTable,
  findCrop,
  readCropTable,
  withOwnCrops
} from '../../src/core/crops/library.ts';
import {
  cropOfLot,
  leftG,
  lotFlags,
  lotGermination,
  trayOfSeedG,
  type LotStock,
  useFirst
} from '../../src/core/supplies/seed/lot.ts';
import {
  completed,
  findMethod,
  isReady,
  methodOf,
  READY_METHODS
} from '../../src/core/supplies/methods/ready.ts';
import { project } from '../../src/core/sowing/project.ts';
import { home, radishTray } from '../support/household.ts';
import { tin } from '../support/lot.ts';

const radish = cropOf('radish');

describe('a lot of seed', () => {
  it('is drawn down by what was taken, never under nothing', () => {
    expect(leftG(tin({ takenG: 30 }))).to.equal(70);
    expect(leftG(tin({ takenG: 130 }))).to.equal(0);
  });

  it('of which nothing sprouted is never the next to be sown, by a plan or a standing order', () => {
    const dead = tin({ id: 'dead', bestBefore: '2026-01-01', test: { sprouted: 0, tested: 20 } });
    const sound = tin({ id: 'sound', test: { sprouted: 18, tested: 20 } });
    expect(useFirst([dead, sound]).map(({ id }) => id)).to.deep.equal(['sound']);
    expect(useFirst([dead])).to.deep.equal([]);
  });

  it('is flagged when it is empty, low, past its date or weak', () => {
    const flags = (more: Partial<LotStock>) => lotFlags(tin(more), radish, '2026-11-23');
    expect(flags({})).to.deep.equal([]);
    expect(flags({ takenG: 100 })).to.deep.equal(['empty']);
    expect(flags({ weighedG: trayOfSeedG(radish) - 0.1 })).to.deep.equal(['low']);
    expect(flags({ bestBefore: '2026-11-22' })).to.deep.equal(['stale']);
    expect(flags({ bestBefore: '2026-11-23' })).to.deep.equal([]);
    expect(flags({ packetPct: 69 })).to.deep.equal(['weak']);
    expect(flags({ packetPct: 94, test: { sprouted: 12, tested: 20 } })).to.deep.equal(['weak']);
  });

  it('grows the blend it was bought as, and lasts for as many trays as the blend takes', () => {
    const mixed = tin({
      parts: [
        { cropKey: 'radish', share: 2 },
        { cropKey: 'kale', share: 1 }
      ]
    });
    const mix = cropOfLot(mixed, findCrop)!;
    expect(blendedNames(mix.name)).to.deep.equal(['Radish', 'Kale']);
    // Two parts radish to one of kale by weight fill a tray when their own trays are filled to that share.
    const [radishG, kaleG] = [trayOfSeedG(radish), trayOfSeedG(cropOf('kale'))];
    const share = 2 / radishG + 1 / kaleG;
    expect(trayOfSeedG(mix)).to.be.closeTo(3 / share, 0.01);
    expect(cropOfLot(tin(), findCrop)).to.equal(radish);
    expect(cropOfLot(tin({ parts: [{ cropKey: 'gone', share: 1 }] }), findCrop)).to.equal(null);
  });

  it('believes its test before its packet, and nothing where neither is there', () => {
    expect(lotGermination(tin())).to.equal(null);
    expect(lotGermination(tin({ packetPct: 90 }))!.pct).to.equal(90);
    const tested = lotGermination(tin({ packetPct: 90, test: { sprouted: 46, tested: 50 } }))!;
    expect(tested.pct).to.equal(92);
    expect([tested.lowPct < 92, tested.highPct > 92]).to.deep.equal([true, true]);
  });
});

describe('containers', () => {
  it('are free where they are not in use, where somebody has counted', () => {
    expect(freeCount({ owned: 5, inUse: 3 })).to.equal(2);
    expect(freeCount({ owned: 1, inUse: 3 })).to.equal(0);
    expect(freeCount({ owned: null, inUse: 3 })).to.equal(null);
  });
});

const checkCrop = (crop: Crop) => cropProblemWords(problemsOf(crop), 'metric');
describe('a crop of one’s own', () => {
  it('passes where it is as good as the library’s', () => {
    for (const crop of CROPS) expect(checkCrop(crop), crop.key).to.deep.equal({});
  });

  it('is told of each figure that cannot be', () => {
    expect(Object.keys(checkCrop({ ...radish, thousandSeedWeightG: 0 }))).to.deep.equal([
      'thousandSeedWeightG'
    ]);
    expect(checkCrop({ ...radish, optimumC: radish.maximumC }).maximumC).to.include('more than “Fastest at”');
    expect(checkCrop({ ...radish, windowCloseD21: 2 }).windowCloseD21).to.include('not be less than “Best”');
    expect(checkCrop({ ...radish, soakBestH: 9 }).soakMaxH).to.include('Longest soak');
    expect(
      checkCrop({ ...radish, seedsPerCm2: { sparse: 3, usual: 2, dense: 3 } })['seedsPerCm2.usual']
    ).to.include('Sparse');
    expect(
      checkCrop({ ...radish, seedsPerCm2: { sparse: NaN, usual: 2, dense: 3 } })['seedsPerCm2.sparse']
    ).to.include('over 0');
    expect(checkCrop({ ...radish, name: ' ' }).name).to.include('Give the crop a name');
    expect(checkCrop({ ...radish, name: 'Tomato' }).name).to.include('poisonous');
    for (const figure of NUMBER_KEYS) {
      const [low, high] = FIGURES[figure].bounds;
      expect(checkCrop({ ...radish, [figure]: NaN })[figure], figure).to.include(
        `between ${low} and ${high}`
      );
      expect(checkCrop({ ...radish, [figure]: high + 1 })[figure], figure).to.be.a('string');
    }
  });

  it('comes back from the open file as it went out, every figure of it', () => {
    const own = { ...radish, key: 'own', name: 'Wall, “old” radish', keepAtC: 7.5, gelSeed: true };
    expect(readCropTable(cropTable([...CROPS, own]))).to.deep.equal([...CROPS, own]);
  });

  it('is completed where it was kept before a figure was asked for', () => {
    const { keepAtC: _none, ...old } = radish;
    expect(completedCrop(old as Crop).keepAtC).to.equal(5);
  });

  it('stands in for the library’s where it has its key, and is followed with its own figures', () => {
    const slow = { ...radish, windowOpenD21: 12, windowBestD21: 13, windowCloseD21: 15 };
    expect(findCrop('radish', [slow])).to.equal(slow);
    expect(withOwnCrops([slow])).to.have.length(CROPS.length);
    expect(withOwnCrops([{ ...slow, key: 'own', name: 'A radish' }])).to.have.length(CROPS.length + 1);
    const opens = (ownCrops: typeof home.ownCrops) =>
      project({ ...home, ownCrops }, radishTray(), []).forecast.marks.windowOpen.p50;
    expect(opens(new Map([['radish', slow]]))).to.be.above(opens(new Map()));
    expect(() => project(home, radishTray({ cropKey: 'own' }), [])).to.throw('no crop');
  });

  it('starts from the nearest: of its genus, then its family', () => {
    expect(nearestCrop(CROPS, 'Raphanus caudatus', '').key).to.equal('radish');
    expect(nearestCrop(CROPS, 'Nova planta', 'Poaceae').family).to.equal('Poaceae');
    expect(nearestCrop(CROPS, '', '')).to.equal(CROPS[0]);
  });
});

describe('methods', () => {
  it('are found among the household’s own and the ready ones', () => {
    const own = { ...READY_METHODS[0]!, key: 'own-1', name: 'Ours' };
    expect(findMethod('own-1', [own])).to.equal(own);
    expect(findMethod('own-1')).to.equal(undefined);
    expect(methodOf('gone').key).to.equal('press-and-wait');
  });

  it('have every question answered, also those kept before it was asked', () => {
    const old = completed({ key: 'old', name: 'Old', pressing: 'none' });
    expect(old).to.include({ pressing: 'none', germinationWater: 'shut', taking: 'whole', medium: 'coir' });
  });

  it('know a ready method from one that was changed for a sowing', () => {
    for (const method of READY_METHODS) expect(isReady({ ...method })).to.equal(true);
    expect(isReady({ ...READY_METHODS[0]!, washing: 'washed' })).to.equal(false);
    expect(isReady({ ...READY_METHODS[0]!, key: 'own' })).to.equal(false);
  });
});
