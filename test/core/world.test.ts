import { expect } from 'chai';
import { evaporationMmH } from '../world/evaporation.ts';
import { speedAt } from '../world/plant.ts';
import { study, type Findings } from '../world/study.ts';
import { cropOf } from '../../src/core/crops/library.ts';

// A world that shares none of the forecast's laws; fewer households than the bench has, so with room for chance.
describe('a world of other laws than the forecast’s', () => {
  let found: Findings;
  before(() => {
    found = study(60, 5);
  });

  it('is a world: leaves lose more than bare medium, dry air more than damp, a lid nearly nothing', () => {
    const air = { tempC: 21, rhPct: 50, netWm2: 45, airSM: 75 };
    const loss = (more: Partial<typeof air>, leaves = 1, covered = false) =>
      evaporationMmH({ ...air, ...more }, { leaves, covered });
    expect(loss({})).to.be.above(loss({}, 0));
    expect(loss({ rhPct: 30 })).to.be.above(loss({}));
    expect(loss({ airSM: 45 })).to.be.above(loss({}));
    expect(loss({}, 1, true)).to.be.below(loss({}) / 10);
    expect(speedAt(cropOf('radish'), 21)).to.be.closeTo(1, 1e-9);
    expect(speedAt(cropOf('basil'), 10)).to.equal(0);
  });

  it('opens its trays within what was said, for whoever answers both ways', () => {
    expect(found.byHabit.both!.covered).to.be.within(0.62, 0.98);
    expect(found.byHabit.both!.error).to.be.below(0.2);
  });

  it('is forecast better than by a packet’s days, once a tray has taught', () => {
    // Other seeds give 0.6 to 0.8 of it.
    expect(found.later.error).to.be.below(found.later.packetError * 0.9);
  });

  it('is led astray by no habit altogether', () => {
    for (const [habit, told] of Object.entries(found.byHabit)) {
      expect(Math.abs(told.bias), habit).to.be.below(0.25);
      expect(told.trays, habit).to.be.above(20);
    }
  });

  it('has trays on coir and mixes that live by the round, and mats that mostly do', () => {
    // Together: of one medium there are some thirty, of which chance alone dries out two now and then.
    const deep = ['coir', 'seed-mix', 'peat-perlite', 'mesh'].map((medium) => found.byMedium[medium]!);
    const trays = deep.reduce((sum, told) => sum + told.trays, 0);
    expect(trays).to.be.above(90);
    expect(deep.reduce((sum, told) => sum + told.dried * told.trays, 0) / trays).to.be.below(0.05);
    for (const medium of ['hemp-mat', 'paper'])
      expect(found.byMedium[medium]!.dried, medium).to.be.below(0.3);
  });
});
