import { expect } from 'chai';
import { sharesContainer } from '../../src/core/sowing/reuse.ts';
import fc from 'fast-check';
import { checkContainer } from '../../src/core/supplies/containers/check.ts';
import type { Container } from '../../src/core/supplies/containers/container.ts';
import {
  COMMON_SIZES,
  isNameOfAnother,
  isSameSize,
  ofSize,
  sizeOf
} from '../../src/core/supplies/containers/sizes.ts';
import { notFreeWords, sizeWords, suggestedName } from '../../src/words/containers.ts';

const tray = (name: string, lengthCm: number, widthCm: number, more: Partial<Container> = {}): Container => ({
  name,
  shape: 'rectangle',
  lengthCm,
  widthCm,
  depthCm: 5,
  cells: 1,
  ...more
});

describe('containers', () => {
  const blue = tray('Blue tray', 25, 18);
  const pot = tray('Clay pot', 16, 16, { shape: 'round', depthCm: 8 });

  it('are one where they are of one shape and size, whatever they are called', () => {
    expect(isSameSize(blue, tray('Another', 25, 18))).to.equal(true);
    expect(isSameSize(blue, tray('Blue tray', 25, 18.5))).to.equal(false);
    expect(isSameSize(pot, { ...pot, widthCm: 3 }), 'a round one has one measure').to.equal(true);
    expect(isSameSize(blue, { ...blue, shape: 'cells' })).to.equal(false);
    expect(ofSize(tray('', 16, 99, { shape: 'round', depthCm: 8 }), [blue, pot])).to.equal(pot);
  });

  it('of another size need another name, however it is written', () => {
    expect(isNameOfAnother(tray(' BLUE tray', 30, 20), [blue, pot])).to.equal(true);
    expect(isNameOfAnother(tray('Blue tray', 25, 18), [blue, pot])).to.equal(false);
    expect(isNameOfAnother(tray('Green tray', 30, 20), [blue, pot])).to.equal(false);
  });

  it('are normal once they were made so', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('rectangle', 'round', 'cells' as const),
        fc.integer({ min: 2, max: 150 }),
        fc.integer({ min: 2, max: 150 }),
        fc.integer({ min: 1, max: 300 }),
        (shape, lengthCm, widthCm, cells) => {
          const made = tray('x', lengthCm, widthCm, { shape: shape as Container['shape'], cells });
          expect(sizeOf(sizeOf(made))).to.deep.equal(sizeOf(made));
          expect(isSameSize(made, sizeOf(made))).to.equal(true);
        }
      )
    );
  });

  it('come in the common sizes of both worlds, in round figures of each', () => {
    for (const units of ['metric', 'us'] as const)
      for (const size of COMMON_SIZES[units]) {
        expect(checkContainer({ ...size, name: 'x' })).to.deep.equal({});
        for (const side of sizeWords(size, units).split(' × ')) expect(Number(side) % 1, side).to.equal(0);
      }
    expect(COMMON_SIZES.us.map((size) => suggestedName(size, 'us'))).to.include('Tray 20 × 10 in');
    expect(suggestedName(tray('', 6, 6, { shape: 'cells', cells: 6 }), 'metric')).to.equal(
      'Cell tray 6 of 6 × 6'
    );
  });
});

describe('a sowing where none is free', () => {
  const kept = (figures: { owned: number | null; inUse: number; toClean: number }) => ({
    id: 'x',
    name: 'Blue tray',
    shape: 'rectangle' as const,
    lengthCm: 25,
    widthCm: 18,
    depthCm: 5,
    cells: 1,
    emptyG: null,
    drains: true,
    reservoirMl: null,
    ...figures
  });

  it('is told what they are in, and how many are free, before it is planned', () => {
    const say = (owned: number | null, inUse: number, toClean: number, wanted = 1) =>
      notFreeWords(kept({ owned, inUse, toClean }), wanted);
    expect(say(null, 9, 0)).to.equal(null);
    expect(say(4, 3, 0)).to.equal(null);
    expect(say(4, 3, 0, 2)).to.match(/^4 × Blue tray: 3 growing, 1 free now\. You can still plan this/);
    expect(say(4, 4, 1)).to.contain(': 3 growing, 1 to be washed, none free now.');
    expect(say(1, 1, 1)).to.match(/^1 × Blue tray: 1 to be washed, none free now\./);
    expect(say(2, 0, 0, 3)).to.match(/^2 × Blue tray: 2 free now\./);
  });

  it('are the same as those of another sowing by their kind and the numbers they bear', () => {
    const of = (name: string, trayNo: number | null, count = 1) => ({
      container: { name, shape: 'tray', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 } as never,
      trayNo,
      count
    });
    expect(sharesContainer(of('Blue', 2), of('Blue', 2))).to.equal(true);
    expect(sharesContainer(of('Blue', 2), of('Blue', 3))).to.equal(false);
    expect(sharesContainer(of('Blue', 2, 3), of('Blue', 4))).to.equal(true);
    expect(sharesContainer(of('Blue', 2, 2), of('Blue', 4))).to.equal(false);
    expect(sharesContainer(of('Blue', 2), of('Clay', 2))).to.equal(false);
    // There is only one of the kind.
    expect(sharesContainer(of('Dish', null), of('Dish', null))).to.equal(true);
  });
});
