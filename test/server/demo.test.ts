import { loadHousehold } from '../../src/server/households/loadHousehold.ts';
import { expect } from 'chai';
import { yieldOf } from '../../src/core/growth/yield.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { project, type Projected } from '../../src/core/sowing/project.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { factsOf, rhythmOf } from '../../src/core/sowing/household.ts';
import { chanceFrom } from '../../src/server/demo/chance.ts';
import { seedDemo } from '../../src/server/demo/seedDemo.ts';
import { openSession, startSession } from '../../src/server/sessions/sessions.ts';
import { readLog } from '../../src/core/sowing/record.ts';
import { listEnded, listUnderWay } from '../../src/server/sowings/sowings.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';

// Whatever the hour and season it is started in, the demo must show the same scenes.
for (const start of [
  '2026-11-23T14:40Z',
  '2026-11-23T22:15Z',
  '2027-03-28T03:00Z',
  '2028-02-29T07:05Z',
  '2026-07-01T19:00Z'
])
  describe(`the demo started ${start}`, () => {
    const now = Date.parse(start);
    let database: TestDatabase;
    let underWay: Projected[];
    let ended: Projected[];
    let rhythm: ReturnType<typeof rhythmOf>;
    before(async () => {
      database = await freshDatabase();
      const id = await seedDemo(now, database.ownerUrl);
      const session = await openSession(await startSession(id, 'Nela'));
      rhythm = rhythmOf(session!.household);
      await inHousehold(id, async (tx) => {
        const facts = factsOf(await loadHousehold(tx));
        const all = (records: Awaited<ReturnType<typeof listEnded>>) =>
          records.map((record) => project(facts, record.setup, readLog(record)));
        [underWay, ended] = [all(await listUnderWay(tx)), all(await listEnded(tx, 100))];
      });
    });
    after(() => database.drop());

    it('has trays at every stage, on every shape of container', () => {
      const stages = new Set(underWay.map(({ state }) => state.stage));
      for (const stage of ['prepare', 'press', 'light'] as const)
        expect(stages.has(stage), stage).to.equal(true);
      expect(new Set(underWay.map(({ setup }) => setup.container.shape)).size).to.equal(3);
      expect(new Set(underWay.map(({ crop }) => crop.key)).size).to.be.at.least(6);
    });

    it('has one soaking within the day, one window open and one opening soon', () => {
      const today = walk(underWay, roundAt(rhythm, now), now);
      expect(today.toPrepare.some(({ soak }) => soak.soakStart !== null)).to.equal(true);
      expect(today.windowsOpen.map(({ crop }) => crop.key)).to.include('radish');
      expect(today.opening.map(({ crop }) => crop.key)).to.include('cress-garden');
    });

    it('has ten weeks behind it whose figures hang together', () => {
      expect(ended.length).to.be.at.least(14);
      expect(ended.filter(({ state }) => state.lost !== null).length).to.be.within(1, 3);
      for (const { state, setup, areaCm2, crop, startAt } of ended) {
        expect(state.endedAt!, crop.key).to.be.within(now - 75 * DAY, now);
        if (state.lost !== null) continue;
        const net = state.cuts.reduce((sum, cut) => sum + cut.netG, 0);
        const { gPerM2 } = yieldOf(net, setup.seedG, areaCm2);
        expect(gPerM2, crop.key).to.be.within(crop.yieldLowGM2 * 0.7, crop.yieldHighGM2 * 1.3);
        expect((state.endedAt! - startAt) / DAY, crop.key).to.be.within(
          crop.windowOpenD21 * 0.8,
          crop.windowCloseD21 * 3
        );
        expect(state.water.length, crop.key).to.be.at.least(2);
      }
    });

    it('has no event ahead of its clock, and none at night', () => {
      for (const { state, crop } of [...underWay, ...ended])
        for (const { event } of state.log) {
          expect(event.at, crop.key).to.be.below(now);
          expect(rhythm.zone.minutes(event.at), crop.key).to.be.within(440, 1330);
        }
      for (const { state } of underWay)
        for (const { event } of state.log) expect(event.at).to.be.below(now - HOUR / 2);
    });
  });

describe('the demo’s chance', () => {
  it('is the same for the same seed, and makes ids that are UUIDs', () => {
    const [a, b, c] = [chanceFrom(1), chanceFrom(1), chanceFrom(2)];
    const ids = [a.id(), b.id(), c.id()];
    expect(ids[0]).to.equal(ids[1]);
    expect(ids[0]).not.to.equal(ids[2]);
    expect(ids[0]).to.match(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-a[0-9a-f]{3}-[0-9a-f]{12}$/);
  });
});
