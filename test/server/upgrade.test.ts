import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import postgres from 'postgres';
import { inHousehold } from '../../src/server/db/connection.ts';
import { migrate } from '../../src/server/db/migrate.ts';
import { addSowing, listUnderWay } from '../../src/server/sowings/sowings.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { radishTray, SOWN } from '../support/household.ts';
import { household } from '../support/settings.ts';

describe('a database of before containers had numbers', () => {
  let database: TestDatabase;
  before(async () => {
    database = await freshDatabase();
  });
  after(() => database.drop());

  it('is brought up to date with what stood in it: halves find each other, and trays are numbered', async () => {
    const home = await household('Upstairs');
    const containerId = randomUUID();
    const sow = (setup: Partial<SowingSetup>, at: number) =>
      inHousehold(home.id, (tx) =>
        addSowing(tx, home.id, radishTray({ id: randomUUID(), placeId: home.placeId, ...setup }), {
          memberId: null,
          at,
          containerId
        })
      );
    await sow({ count: 2 }, SOWN);
    await sow({ areaShare: 0.5 }, SOWN + DAY);
    await sow({ areaShare: 0.5, cropKey: 'kale' }, SOWN + DAY);
    await sow({ cropKey: 'mustard' }, SOWN + 2 * DAY);

    // As the version before left it.
    const owner = postgres(database.ownerUrl, { max: 1, onnotice: () => {} });
    await owner`alter table sowings drop column tray_id, drop column soak_h, drop column tray_no`;
    await owner`alter table lots drop column parts`;
    await owner`delete from brote_meta.migrations where name = '0006_one_container.sql'`;
    await owner.end();
    expect(await migrate(database.ownerUrl, new URL(database.appUrl).username)).to.deep.equal([
      '0006_one_container.sql'
    ]);

    const all = (await inHousehold(home.id, listUnderWay)).map(({ setup }) => setup);
    expect(all).to.have.length(4);
    const of = (cropKey: string, areaShare = 1) =>
      all.find((one) => one.cropKey === cropKey && one.areaShare === areaShare)!;
    const [pair, half, beside, alone] = [of('radish'), of('radish', 0.5), of('kale', 0.5), of('mustard')];
    expect(half.half).to.deep.equal({ trayId: beside.half!.trayId, besideKey: 'kale' });
    expect(beside.half!.besideKey).to.equal('radish');
    expect([half.id, beside.id]).to.include(half.half!.trayId);
    expect([pair.half, alone.half]).to.deep.equal([null, null]);
    // Two trays have 1 and 2, the container of halves 3, the next 4.
    expect([pair, half, beside, alone].map(({ trayNo }) => trayNo)).to.deep.equal([1, 3, 3, 4]);
  });
});
