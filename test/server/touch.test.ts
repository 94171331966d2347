import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import fc from 'fast-check';
import type { RecordedBatch } from '../../src/contract/api.ts';
import type { EventBody } from '../../src/core/sowing/event.ts';
import { readLog } from '../../src/core/sowing/record.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { recordEvents } from '../../src/server/app/recordEvents.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { listLessons } from '../../src/server/sowings/learned.ts';
import { addSowing, findSowing } from '../../src/server/sowings/sowings.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { radishTray } from '../support/household.ts';
import { household, sessionOf } from '../support/settings.ts';

describe('a touch', () => {
  let database: TestDatabase;
  let home: { id: string; placeId: string };
  before(async () => {
    database = await freshDatabase();
    home = await household('Touched');
  });
  after(() => database.drop());

  const began = Date.now() - 200 * HOUR;
  const tray = async (more: Parameters<typeof radishTray>[0] = {}): Promise<string> => {
    const id = randomUUID();
    await inHousehold(home.id, (tx) =>
      addSowing(tx, home.id, radishTray({ id, placeId: home.placeId, sowAt: began, ...more }), {
        memberId: null,
        at: began,
        containerId: randomUUID()
      })
    );
    return id;
  };
  const touch = (sowingId: string, hours: number, body: EventBody, more: object = {}) => ({
    id: randomUUID(),
    sowingId,
    at: began + hours * HOUR,
    body,
    ...more
  });
  const record = (events: readonly unknown[]): Promise<RecordedBatch> =>
    inHousehold(home.id, (tx) => recordEvents(tx, sessionOf(home.id), events));

  it('is answered with what it changed: the same as a page would be given that is loaded anew', async () => {
    const bodies: EventBody[] = [
      { type: 'sown', waterG: 300 },
      { type: 'felt', moisture: 'dry' },
      { type: 'looked', cue: 'rooted', reached: true },
      { type: 'uncovered' },
      { type: 'noted', text: '“quoted”, \\ and\nbroken' },
      { type: 'fed', waterG: 120, feedMl: 0.5, peroxideMl: 0.9 }
    ];
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ body: fc.constantFrom(...bodies), hours: fc.integer({ min: 1, max: 190 }) }), {
          minLength: 1,
          maxLength: 8
        }),
        async (made) => {
          const id = await tray();
          const { results, patch } = await record(made.map(({ body, hours }) => touch(id, hours, body)));
          expect(results.every(({ ok }) => ok)).to.equal(true);
          const [kept, lessons] = await inHousehold(home.id, async (tx) => [
            (await findSowing(tx, id))!,
            await listLessons(tx)
          ]);
          const [patched] = patch.records;
          expect(patched!.setup).to.deep.equal(kept.setup);
          expect(readLog(patched!)).to.deep.equal(readLog(kept));
          expect({ learned: patch.learned, thirst: patch.thirst, yields: patch.yields }).to.deep.equal(
            lessons
          );
        }
      ),
      { numRuns: 25 }
    );
  });

  it('of a batch is judged by itself: what is wrong holds up nothing beside it', async () => {
    const id = await tray();
    const good = touch(id, 1, { type: 'sown', waterG: 300 });
    const { results } = await record([
      touch(id, 2, { type: 'watered', waterG: -4 }),
      good,
      { nonsense: true },
      touch(randomUUID(), 2, { type: 'turned' }),
      touch(id, 3, { type: 'undone', eventId: good.id }),
      touch(id, 4, { type: 'undone', eventId: randomUUID() }),
      good
    ]);
    expect(results.map((one) => (one.ok ? 'ok' : one.code))).to.deep.equal([
      'wrong',
      'ok',
      'wrong',
      'missing',
      'ok',
      'missing',
      'ok'
    ]);
    expect(results[0]).to.include({ message: 'Water cannot be less than 0.' });
    const log = readLog((await inHousehold(home.id, (tx) => findSowing(tx, id)))!);
    expect(log.map(({ body }) => body.type)).to.deep.equal(['sown', 'undone']);
  });

  it('is taken after the clock was set back, follows what was recorded before, and says so', async () => {
    const now = Date.now();
    const ahead = now + 5 * HOUR;
    const id = randomUUID();
    await inHousehold(home.id, (tx) =>
      addSowing(tx, home.id, radishTray({ id, placeId: home.placeId, sowAt: ahead }), {
        memberId: null,
        at: ahead,
        containerId: randomUUID()
      })
    );
    const at = (millis: number, body: EventBody) => ({ id: randomUUID(), sowingId: id, at: millis, body });
    const session = sessionOf(home.id);
    await inHousehold(home.id, (tx) =>
      recordEvents(tx, { ...session, household: { ...session.household, clockAheadMs: 5 * HOUR } }, [
        at(ahead, { type: 'sown', waterG: 300 })
      ])
    );
    const { results } = await record([
      at(ahead + HOUR, { type: 'watered', waterG: 40 }),
      at(now, { type: 'turned' })
    ]);
    expect(results.map((one) => one.ok && one.correctedTo)).to.deep.equal([ahead, ahead]);
    const log = readLog((await inHousehold(home.id, (tx) => findSowing(tx, id)))!);
    expect(log.map(({ body }) => body.type)).to.deep.equal(['sown', 'watered', 'turned']);
  });

  it('sent again changes nothing, and says what is there', async () => {
    const id = await tray();
    const sown = touch(id, 1, { type: 'sown', waterG: 300 });
    const [first, again] = [await record([sown]), await record([sown])];
    expect(again.results).to.deep.equal(first.results);
    expect(readLog(again.patch.records[0]!)).to.deep.equal(readLog(first.patch.records[0]!));
    const other = await record([{ ...sown, body: { type: 'sown', waterG: 400 } }]);
    expect(other.results[0]).to.include({ ok: false, code: 'conflict' });
  });

  it('by many hands at once is kept whole, and what it teaches is of all of them', async () => {
    const id = await tray();
    await record([touch(id, 1, { type: 'sown', waterG: 300 })]);
    await Promise.all(
      Array.from({ length: 12 }, (_, n) =>
        record([touch(id, 40 + n, { type: 'looked', cue: 'rooted', reached: n > 7 })])
      )
    );
    const { patch } = await record([touch(id, 60, { type: 'turned' })]);
    expect(readLog(patch.records[0]!)).to.have.length(14);
    const told = patch.learned.underWay.find(({ sowingId }) => sowingId === id)!.message;
    const alone = await tray();
    await record([touch(alone, 1, { type: 'sown', waterG: 300 })]);
    for (let n = 0; n < 12; n += 1)
      await record([touch(alone, 40 + n, { type: 'looked', cue: 'rooted', reached: n > 7 })]);
    const { learned } = (await record([touch(alone, 60, { type: 'turned' })])).patch;
    expect(learned.underWay.find(({ sowingId }) => sowingId === alone)!.message).to.deep.equal(told);
  });

  it('on a container of two halves goes to both, each with its own', async () => {
    const trayId = randomUUID();
    const halves = [
      await tray({ areaShare: 0.5, half: { trayId, besideKey: 'kale' } }),
      await tray({ areaShare: 0.5, cropKey: 'kale', half: { trayId, besideKey: 'radish' } })
    ];
    const { patch } = await record(halves.map((id) => touch(id, 1, { type: 'sown', waterG: 150 })));
    expect(patch.records.map(({ setup }) => setup.half?.besideKey).sort()).to.deep.equal(['kale', 'radish']);
    // They bear one number: they are one container.
    expect(new Set(patch.records.map(({ setup }) => setup.trayNo)).size).to.equal(1);
  });
});
