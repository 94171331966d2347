import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { HOUR } from '../../src/core/time/zone.ts';
import { recordEvents } from '../../src/server/app/recordEvents.ts';
import { takePlan, type TakenPlan } from '../../src/server/app/takePlan.ts';
import { takeReadings } from '../../src/server/app/takeReadings.ts';
import { inHousehold, type Tx } from '../../src/server/db/connection.ts';
import { savePlace, listPlaces } from '../../src/server/households/places.ts';
import { addAway, removeAway } from '../../src/server/people/away.ts';
import { holdJudging, noteJudged } from '../../src/server/reminders/judging.ts';
import { addSowing } from '../../src/server/sowings/sowings.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { radishTray } from '../support/household.ts';
import { household, sessionOf } from '../support/settings.ts';

const ROUNDS = 30;
const TRAYS = 4;

describe('writes that cross', () => {
  let database: TestDatabase;
  before(async () => {
    database = await freshDatabase();
  });
  after(() => database.drop());

  it('wait one for the other and never each for each: all of them are taken at the first try', async () => {
    const home = await household('Crossing');
    const began = Date.now() - 200 * HOUR;
    const ids = Array.from({ length: TRAYS }, () => randomUUID());
    for (const id of ids)
      await inHousehold(home.id, (tx) =>
        addSowing(tx, home.id, radishTray({ id, placeId: home.placeId, sowAt: began }), {
          memberId: null,
          at: began,
          containerId: randomUUID()
        })
      );
    const session = sessionOf(home.id);
    const felt = (sowingId: string, n: number) => ({
      id: randomUUID(),
      sowingId,
      at: began + (1 + n) * HOUR,
      body: n === 0 ? { type: 'sown', waterG: 300 } : { type: 'looked', cue: 'rooted', reached: n % 3 === 0 }
    });
    const plan = (sowingIds: readonly string[], n: number): TakenPlan => ({
      begin: [],
      ground: null,
      move: [],
      leaveOut: [],
      orderDays: [],
      lock: sowingIds.map((sowingId) => ({ sowingId, locked: n % 2 === 0 }))
    });
    const writes: ((tx: Tx, n: number) => Promise<unknown>)[] = [
      (tx, n) =>
        recordEvents(
          tx,
          session,
          ids.map((id) => felt(id, n))
        ),
      (tx, n) =>
        recordEvents(
          tx,
          session,
          ids.toReversed().map((id) => felt(id, n))
        ),
      (tx, n) =>
        takeReadings(tx, home.id, {
          placeId: home.placeId,
          source: 'hand',
          readings: [{ at: began + n * HOUR, tempC: 15 + (n % 9), humidityPct: 50 }]
        }),
      (tx, n) => takePlan(tx, session, plan(ids, n)),
      (tx, n) => takePlan(tx, session, plan(ids.toReversed(), n)),
      async (tx, n) => {
        const [place] = await listPlaces(tx);
        await savePlace(tx, home.id, { ...place!, dayC: 18 + (n % 5) }, Date.now());
      },
      (tx) => addAway(tx, home.id, { fromDay: '2031-02-01', untilDay: '2031-02-04' }, '2026-01-01'),
      (tx) => removeAway(tx, '2031-02-01'),
      async (tx) => {
        if (await holdJudging(tx)) await noteJudged(tx, Date.now(), Infinity);
      }
    ];
    const failed: string[] = [];
    for (let n = 0; n < ROUNDS; n += 1) {
      const done = await Promise.allSettled(
        writes.map((write) => inHousehold(home.id, (tx) => write(tx, n)))
      );
      for (const [at, one] of done.entries())
        if (one.status === 'rejected') failed.push(`round ${n}, write ${at}: ${String(one.reason)}`);
    }
    expect(failed).to.deep.equal([]);
  });
});
