import { changeSettings } from '../../src/server/households/household.ts';
import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { sameClockTime, zoneOf, DAY, HOUR } from '../../src/core/time/zone.ts';
import { keepClockTimes, plannedAhead } from '../../src/server/app/changeZone.ts';
import { recordEvents } from '../../src/server/app/recordEvents.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { addSowing } from '../../src/server/sowings/sowings.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { radishTray } from '../support/household.ts';
import { household, sessionOf } from '../support/settings.ts';

describe('a household that moves to another time zone', () => {
  let database: TestDatabase;
  before(async () => {
    database = await freshDatabase();
  });
  after(() => database.drop());

  it('keeps what is planned at its time on the clock where that is wished, and leaves what has begun', async () => {
    const home = await household('Between zones');
    const session = sessionOf(home.id);
    const from = zoneOf(session.household.zone);
    const now = Date.now();
    const sow = async (sowAt: number): Promise<string> => {
      const id = randomUUID();
      const setup = radishTray({ id, placeId: home.placeId, sowAt, soakStartAt: null, soakEndAt: null });
      await inHousehold(home.id, (tx) =>
        addSowing(tx, home.id, setup, { memberId: null, at: now - DAY, containerId: randomUUID() })
      );
      return id;
    };
    // At noon, when either zone's household is up.
    const noon = (days: number): number => from.at(from.date(now).add({ days }), 12 * 60);
    const [later, soon, begun] = [await sow(noon(3)), await sow(noon(1)), await sow(noon(2))];
    await inHousehold(home.id, (tx) =>
      recordEvents(tx, session, [
        { id: randomUUID(), sowingId: begun, at: now, sure: true, body: { type: 'sown', waterG: 0 } }
      ])
    );
    const planned = () => inHousehold(home.id, (tx) => plannedAhead(tx));
    expect((await planned()).map(({ id }) => id)).to.deep.equal([soon, later]);
    const before = await planned();
    await inHousehold(home.id, async (tx) => {
      await keepClockTimes(tx, session, 'America/New_York');
      await changeSettings(tx, { ...session.household, zone: 'America/New_York' });
    });
    const to = zoneOf('America/New_York');
    (await planned()).forEach(({ id, beginsAt }, nth) => {
      expect(id).to.equal(before[nth]!.id);
      // Half a day on, for a kitchen in Spain; on the same time of the new clock.
      expect(beginsAt).to.equal(sameClockTime(before[nth]!.beginsAt, from, to));
      expect(beginsAt - before[nth]!.beginsAt).to.be.within(4 * HOUR, 8 * HOUR);
    });
  });
});
