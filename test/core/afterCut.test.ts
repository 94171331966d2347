import { expect } from 'chai';
import fc from 'fast-check';
import { cleaningOf, openSteps } from '../../src/core/cleaning/cleaning.ts';
import { evenPortion, PORTION, portionsOf } from '../../src/core/pantry/amounts.ts';
import { pantryOf } from '../../src/core/pantry/item.ts';
import { pressedBody } from '../../src/core/pantry/pressed.ts';
import { project } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { CLEANING_DONE, leftWords } from '../../src/words/pantry.ts';
import { eventWords } from '../../src/words/events.ts';
import { event, home, radishTray, sown } from '../support/household.ts';

const LOCALE = { zone: 'Europe/Madrid', units: 'metric' } as const;
const handling = { tool: 'scissors', washing: 'unwashed', packing: 'open-bag' } as const;
const ended = (setup: Partial<SowingSetup>, ...more: ReturnType<typeof event>[]) =>
  project(home, radishTray(setup), [
    sown(),
    event(160, { type: 'cut', grossG: 120, tareG: 0, share: 1, last: true, handling }),
    ...more
  ]);

describe('portions', () => {
  it('divide an amount evenly, near their usual size', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 2000, noNaN: true }), (amount) => {
        const portion = evenPortion(amount, PORTION.juiceMl);
        expect(portionsOf(amount, portion).rest).to.equal(0);
        if (amount >= PORTION.juiceMl)
          expect(portion).to.be.within(PORTION.juiceMl / 1.5, PORTION.juiceMl * 1.5);
        else expect(portion).to.equal(amount);
      })
    );
    expect(portionsOf(52, 30)).to.deep.equal({ whole: 1, rest: 22 });
    expect(portionsOf(59, 30)).to.deep.equal({ whole: 2, rest: 0 });
  });
});

describe('juice that a cut gave', () => {
  const cut = event(160, { type: 'cut', grossG: 90, tareG: 0, share: 1, last: true, handling });
  const juice = pressedBody(cut.id, 90, 54, 'unwashed');
  const sowing = project(home, radishTray({ cropKey: 'wheat' }), [sown(), cut, event(160.1, juice)]);

  it('is in the pantry in portions that come out even, and nothing is left of the greens', () => {
    const { items } = pantryOf(sowing, home.rhythm.zone);
    expect(items.map(({ packing, left, portion }) => ({ packing, left, portion }))).to.deep.equal([
      { packing: 'juice', left: 54, portion: 27 }
    ]);
    expect(leftWords(items[0]!, 'metric')).to.equal('2 portions of 27 mL');
    expect(leftWords({ ...items[0]!, left: 40 }, 'metric')).to.equal('1 portion of 27 mL and 13 mL more');
  });
});

describe('what is left after the cut', () => {
  it('offers a stain soak for a mesh alone, and asks nobody to do it', () => {
    const steps = (medium: SowingSetup['medium']) => cleaningOf({ sowings: [ended({ medium })] } as never)!;
    const mesh = steps('mesh');
    expect(mesh.steps.map(({ step }) => step)).to.include('stain-soak');
    expect(openSteps(mesh).map(({ step }) => step)).not.to.include('stain-soak');
    expect(steps('coir').steps.map(({ step }) => step)).not.to.include('stain-soak');
  });

  it('is fit for animals only where nothing was added to its water and nothing moulded', () => {
    const fodder = (sowing: ReturnType<typeof ended>) => cleaningOf({ sowings: [sowing] } as never)!.fodder;
    expect(fodder(ended({}))).to.equal(true);
    expect(fodder(ended({ method: { ...DEFAULT_METHOD, feed: 'half' } }))).to.equal(false);
    expect(fodder(ended({ method: { ...DEFAULT_METHOD, peroxide: 'weak' } }))).to.equal(false);
    const mouldy = project(home, radishTray(), [
      sown(),
      event(100, { type: 'saw', sight: 'mould' }),
      event(160, { type: 'cut', grossG: 120, tareG: 0, share: 1, last: true, handling })
    ]);
    expect(fodder(mouldy)).to.equal(false);
  });

  it('says in the log where it went', () => {
    const words = (to?: 'fodder') =>
      eventWords({ type: 'cleaned', step: 'empty', ...(to ? { to } : {}) }, ended({}), LOCALE, String);
    expect(words()).to.equal(CLEANING_DONE.empty);
    expect(words('fodder')).to.equal(`${CLEANING_DONE.empty}, fed to animals`);
  });
});
