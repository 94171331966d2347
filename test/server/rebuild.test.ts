import { expect } from 'chai';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { rebuild } from '../../src/server/app/rebuild.ts';
import { recordEvents } from '../../src/server/app/recordEvents.ts';
import { takeReadings } from '../../src/server/app/takeReadings.ts';
import { saveOwnCrop, retireOwnCrop } from '../../src/server/crops/ownCrops.ts';
import { inHousehold, type Tx } from '../../src/server/db/connection.ts';
import { savePlace, listPlaces } from '../../src/server/households/places.ts';
import { addSowing } from '../../src/server/sowings/sowings.ts';
import type { EventBody } from '../../src/core/sowing/event.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { household as newHousehold, sessionOf } from '../support/settings.ts';
import { radishTray } from '../support/household.ts';

describe('what is derived', () => {
  let database: TestDatabase;
  before(async () => {
    database = await freshDatabase();
  });
  after(() => database.drop());

  const derived = (tx: Tx) =>
    tx`select id, ended_at, pace_mean, pace_variance, reliable_mean, reliable_variance, cues_told, cues_left, answers_given, answers_contradicted, thirst_mean, thirst_variance
      from sowings order by id`;

  /** One write, as somebody makes it. */
  type Write =
    | { kind: 'touch'; tray: number; body: EventBody; hours: number }
    | { kind: 'air' | 'place' | 'crop' | 'own' };

  const writes: fc.Arbitrary<Write> = fc.oneof(
    {
      weight: 6,
      arbitrary: fc
        .record({
          tray: fc.integer({ min: 0, max: 2 }),
          hours: fc.integer({ min: 1, max: 240 }),
          body: fc.constantFrom<EventBody>(
            { type: 'sown', waterG: 300 },
            { type: 'looked', cue: 'rooted', reached: false },
            { type: 'looked', cue: 'rooted', reached: true },
            { type: 'uncovered' },
            { type: 'lit' },
            { type: 'felt', moisture: 'dry' },
            { type: 'felt', moisture: 'right' },
            { type: 'watered', waterG: 120 },
            { type: 'looked', cue: 'windowOpen', reached: true },
            { type: 'ended', reason: 'other' }
          )
        })
        .map((made) => ({ kind: 'touch' as const, ...made }))
    },
    fc.constantFrom<Write>({ kind: 'air' }, { kind: 'place' }, { kind: 'crop' }, { kind: 'own' })
  );

  it('is the same after any writes as worked out anew from all that happened', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(writes, { minLength: 4, maxLength: 18 }), async (made) => {
        const { id: household, placeId } = await newHousehold(`Kitchen ${randomUUID()}`);
        const sownAt = Date.now() - 260 * HOUR;
        const trays = [0, 1, 2].map(() => randomUUID());
        await inHousehold(household, async (tx) => {
          for (const [index, id] of trays.entries())
            await addSowing(
              tx,
              household,
              radishTray({ id, placeId, cropKey: index === 2 ? 'kale' : 'radish', sowAt: sownAt }),
              { memberId: null, at: sownAt, containerId: randomUUID() }
            );
        });
        for (const [n, write] of made.entries())
          await inHousehold(household, async (tx) => {
            if (write.kind === 'touch')
              await recordEvents(tx, sessionOf(household), [
                {
                  id: randomUUID(),
                  sowingId: trays[write.tray],
                  at: sownAt + write.hours * HOUR,
                  body: write.body
                }
              ]);
            if (write.kind === 'air')
              await takeReadings(tx, household, {
                placeId,
                source: 'hand',
                readings: Array.from({ length: 30 }, (_, step) => ({
                  at: sownAt + (n * 10 + step * 3) * HOUR,
                  tempC: 15 + n,
                  humidityPct: 60
                }))
              });
            if (write.kind === 'place') {
              const [place] = await listPlaces(tx);
              await savePlace(tx, household, { ...place!, dayC: 15 + (n % 8) }, Date.now());
              await rebuild(tx, { placeId });
            }
            if (write.kind === 'crop') {
              const crop = { ...cropOf('radish'), rootedD21: 1.5 + (n % 5) / 10 };
              await saveOwnCrop(tx, household, { crop, basedOn: 'radish' });
              await rebuild(tx, { cropKey: 'radish' });
            }
            if (write.kind === 'own') {
              await retireOwnCrop(tx, 'radish');
              await rebuild(tx, { cropKey: 'radish' });
            }
          });
        const before = await inHousehold(household, derived);
        await inHousehold(household, (tx) => rebuild(tx));
        expect(await inHousehold(household, derived)).to.deep.equal(before);
      }),
      { numRuns: 40 }
    );
  });

  it('is mended where it was wrong', async () => {
    const { id: household, placeId } = await newHousehold(`Kitchen ${randomUUID()}`);
    const id = randomUUID();
    await inHousehold(household, async (tx) => {
      await addSowing(tx, household, radishTray({ id, placeId, sowAt: Date.now() - 9 * 24 * HOUR }), {
        memberId: null,
        at: Date.now() - 10 * 24 * HOUR,
        containerId: randomUUID()
      });
      const touch = (hoursAgo: number, body: EventBody) => ({
        id: randomUUID(),
        sowingId: id,
        at: Date.now() - hoursAgo * HOUR,
        body
      });
      await recordEvents(tx, sessionOf(household), [
        touch(216, { type: 'sown', waterG: 300 }),
        touch(170, { type: 'looked', cue: 'rooted', reached: false }),
        touch(160, { type: 'looked', cue: 'rooted', reached: true })
      ]);
      const right = [...(await derived(tx))];
      await tx`update sowings set pace_mean = 9, pace_variance = 9, ended_at = now() where id = ${id}`;
      await rebuild(tx);
      expect([...(await derived(tx))]).to.deep.equal(right);
    });
  });
});
