import { expect } from 'chai';
import { CROPS } from '../../src/core/crops/library.ts';
import { MEDIA } from '../../src/core/medium/medium.ts';
import { READY_METHODS } from '../../src/core/methods/ready.ts';
import { protocolOf } from '../../src/core/protocol/ofSowing.ts';
import { askOf } from '../../src/core/round/ask.ts';
import { loadOf } from '../../src/core/shelf/load.ts';
import { isTooHeavy, refusedMove } from '../../src/core/shelf/moving.ts';
import { follow } from '../../src/core/sowing/follow.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { cellar, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';

describe('bench and round', () => {
  it('ask for the same seed, water and weight, for every crop, method, medium and container', () => {
    const container = radishTray().container;
    let asked = 0;
    for (const { key } of CROPS)
      for (const method of READY_METHODS)
        for (const medium of MEDIA)
          for (const reservoirMl of [undefined, 700]) {
            const setup = radishTray({
              cropKey: key,
              method,
              medium,
              container: { ...container, reservoirMl },
              count: 2
            });
            const followed = follow(home, setup, []);
            const [task] = askOf(followed, roundAt(home.rhythm, SOWN), SOWN).tasks;
            if (task?.body.kind !== 'sow') continue;
            asked += 1;
            const steps = protocolOf(followed).map(({ body }) => body);
            const damp = steps.find(({ kind }) => kind === 'damp');
            const press = steps.find(({ kind }) => kind === 'press');
            const fill = steps.find(({ kind }) => kind === 'fill');
            const on = `${key}, ${method.key}, ${medium}, ${reservoirMl ?? 'no reservoir'}`;
            expect(damp?.kind === 'damp' ? damp.waterMl : 0, on).to.be.closeTo(task.body.waterMl, 1e-9);
            expect(press?.kind === 'press' ? press.pressing : null, on).to.deep.equal(task.body.pressing);
            expect(fill?.kind === 'fill' ? fill.mediumMl : NaN, on).to.be.closeTo(task.body.mediumMl, 1e-9);
          }
    expect(asked).to.be.above(CROPS.length * READY_METHODS.length * MEDIA.length);
  });
});

describe('the rule of a move', () => {
  const now = SOWN + 5 * HOUR;
  const tray = (id: string, placeId: string) => follow(home, radishTray({ id, placeId }), [sown()]);
  const one = tray('00000000-0000-4000-8000-0000000000a1', shelf.id);
  const other = tray('00000000-0000-4000-8000-0000000000a2', cellar.id);

  it('keeps a place under its rating, unless somebody says that the rating holds', () => {
    const both = loadOf(cellar, [one, other], now).g;
    const rated = (ratedG: number | null, ratingSure = false) => ({ ...cellar, ratedG, ratingSure });
    expect(refusedMove(one, rated(both + 1), [other], now)).to.equal(null);
    expect(refusedMove(one, rated(both - 1), [other], now)!.g).to.be.closeTo(both, 1e-6);
    expect(refusedMove(one, rated(both - 1, true), [other], now)).to.equal(null);
    expect(refusedMove(one, rated(null), [other], now)).to.equal(null);
  });

  it('does not count a tray twice, nor where it stands already', () => {
    const { g } = loadOf(cellar, [other], now);
    const tight = { ...cellar, ratedG: g + 1 };
    expect(refusedMove(other, tight, [other], now)).to.equal(null);
    expect(isTooHeavy(tight, loadOf(tight, [other], now))).to.equal(false);
  });
});
