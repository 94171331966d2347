import { expect } from 'chai';
import fc from 'fast-check';
import { packAir } from '../../src/core/places/air/series.ts';
import { tooWarm } from '../../src/core/places/air/warmth.ts';
import { areaCm2, type Container } from '../../src/core/supplies/containers/container.ts';
import { completedCrop, type Crop } from '../../src/core/crops/crop.ts';
import { cropOf, CROPS } from '../../src/core/crops/library.ts';
import { pressingOf, pressThing, type Pressing } from '../../src/core/supplies/methods/pressing.ts';
import { pathOf } from '../../src/core/supplies/methods/path.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { blend } from '../../src/core/crops/blend.ts';
import { checkRule, isWeak } from '../../src/core/supplies/seed/disinfect.ts';
import { STARTING_RULES } from '../../src/core/supplies/seed/rule.ts';
import { steadyPlace } from '../support/rhythm.ts';

const box = (lengthCm: number, widthCm: number, cells = 1): Container => ({
  name: 'Box',
  shape: cells > 1 ? 'cells' : 'rectangle',
  lengthCm,
  widthCm,
  depthCm: 5,
  cells
});
const CONTAINERS: Record<string, Container> = {
  tray: box(25, 18),
  'large tray': box(54, 28),
  'small box': box(15, 15),
  'cells of 4 cm': box(4, 4, 12),
  'one cell': box(4, 4)
};

/** What the thing weighs as a scale would show it, by figures of the test's own: a bottle is 30 g of plastic. */
function scaleG(pressing: Pressing): number {
  const thing = pressThing(pressing);
  return thing.kind === 'water' ? thing.g : thing.count * (thing.litres * 1000 + 30);
}

const pressed = (crop: Crop, area: number, containers = 1) =>
  pressingOf(pathOf(crop, DEFAULT_METHOD, 'coir'), area, containers);

describe('what lies on seed', () => {
  it('is never heavier than the crop bears, nor lighter than it wants, for every crop in every container', () => {
    let things = 0;
    for (const crop of CROPS)
      for (const [name, container] of Object.entries(CONTAINERS)) {
        const pressing = pressed(crop, areaCm2(container));
        if (!pressing) continue;
        const weight = scaleG(pressing);
        const per = weight / areaCm2(container);
        expect(per, `${crop.key} in ${name}`).to.be.at.most(crop.pressMaxGCm2 + 1e-9);
        expect(per, `${crop.key} in ${name}`).to.be.at.least(crop.pressMinGCm2 - 1e-9);
        if (pressThing(pressing).kind === 'bottles') things += 1;
      }
    expect(things).to.be.above(20);
  });

  it('keeps to the reference: chia and radish on 15 x 15 cm', () => {
    const chia = pressed(cropOf('chia'), 225)!;
    expect(chia.mostG).to.be.at.most(112.5);
    expect(pressThing(chia).kind).to.equal('water');
    const radish = pressed(cropOf('radish'), 225)!;
    expect([radish.leastG, radish.mostG]).to.deep.equal([675, 1350]);
    expect(pressThing(radish)).to.deep.equal({ kind: 'bottles', count: 1, litres: 1 });
  });

  it('is a weight a container, however many there are', () => {
    expect(pressed(cropOf('pea'), 1350, 3)!.eachG).to.be.closeTo(pressed(cropOf('pea'), 450)!.eachG, 1e-9);
  });

  it('stays within the bounds of any crop of one’s own, and of the gentlest in a blend', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 15, noNaN: true }),
        fc.double({ min: 0.01, max: 15, noNaN: true }),
        fc.double({ min: 10, max: 3000, noNaN: true }),
        (least, more, area) => {
          const crop = { ...cropOf('radish'), pressMinGCm2: least, pressMaxGCm2: least + more };
          const weight = scaleG(pressed(crop, area)!);
          expect(weight).to.be.within(least * area - 1e-6, (least + more) * area + 1e-6);
        }
      )
    );
    const mixed = blend([
      { crop: cropOf('pea'), areaShare: 0.5 },
      { crop: cropOf('chia'), areaShare: 0.5 }
    ]);
    const pressing = pressed(mixed, 450);
    if (pressing) expect(scaleG(pressing)).to.be.at.most(cropOf('chia').pressMaxGCm2 * 450 + 1e-9);
  });
});

describe('disinfecting', () => {
  it('says of a target too weak that it does next to nothing', () => {
    expect([
      isWeak('hypochlorite', 199),
      isWeak('hypochlorite', 200),
      isWeak('peroxide', 0.9),
      isWeak('peroxide', 1)
    ]).to.deep.equal([true, false, true, false]);
    for (const product of ['hypochlorite', 'peroxide'] as const)
      expect(isWeak(product, STARTING_RULES[product].target)).to.equal(false);
  });

  it('refuses a product weaker than its target, and what is past the hard bounds', () => {
    expect(checkRule('hypochlorite', { target: 2000, productPct: 0.1 })).to.deep.include({
      field: 'productPct'
    });
    expect(checkRule('peroxide', { target: 5, productPct: 3 })).to.deep.include({ field: 'productPct' });
    expect(checkRule('hypochlorite', { target: 20_001, productPct: 12 })).to.deep.include({
      field: 'target'
    });
    expect(checkRule('peroxide', { target: 10.1, productPct: 30 })).to.deep.include({ field: 'target' });
    for (const product of ['hypochlorite', 'peroxide'] as const)
      expect(checkRule(product, STARTING_RULES[product])).to.equal(null);
  });
});

describe('warmth', () => {
  const cilantro = cropOf('cilantro');

  it('is too much from the daily mean at which a crop begins to suffer', () => {
    expect(tooWarm(cilantro, steadyPlace(27.9))).to.equal(null);
    expect(tooWarm(cilantro, steadyPlace(28))).to.deep.equal({ meanC: 28, keepBelowC: 28 });
    // 16 h at 33 and 8 h at 20 are 28.7 on average.
    expect(tooWarm(cilantro, steadyPlace(33, 20))!.meanC).to.be.closeTo(28.667, 1e-3);
  });

  it('is what was measured, where there are readings', () => {
    const bins = Array.from({ length: 40 }, (_, n) => ({ index: 165_000 + n, tempC: 30, humidityPct: 50 }));
    const measured = { ...steadyPlace(18), air: packAir(bins) };
    expect(tooWarm(cilantro, measured)).to.deep.equal({ meanC: 30, keepBelowC: 28 });
  });

  it('of keeping follows the crop', () => {
    expect([cropOf('basil').keepAtC, cropOf('radish').keepAtC]).to.deep.equal([10, 5]);
    const { keepAtC: _none, ...before } = cropOf('radish');
    expect(completedCrop(before as Crop).keepAtC).to.equal(5);
    expect(
      blend([
        { crop: cropOf('basil'), areaShare: 0.3 },
        { crop: cropOf('radish'), areaShare: 0.7 }
      ]).keepAtC
    ).to.equal(10);
  });
});
