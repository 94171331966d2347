import { expect } from 'chai';
import { killWorkers, type WorkersKilled } from '../siege/workers.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';

describe('workers that are killed', () => {
  let database: TestDatabase;
  let came: WorkersKilled;
  before(async () => {
    database = await freshDatabase();
    came = await killWorkers(database, { households: 24, kills: 6 });
  });
  after(() => database.drop());

  it('lose no reminder and double none, however many share the work', () => {
    expect(came).to.include({ kills: 6, lost: 0, doubled: 0 });
    expect(came.households).to.be.at.least(24);
  });
});
