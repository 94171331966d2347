import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { cropOf } from '../../src/core/crops/library.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { countsOf, relied, tellingOf } from '../../src/core/growth/telling.ts';
import { learnedBelief, messageOf, reliableOf } from '../../src/core/growth/learned.ts';
import { learn, beliefFor } from '../../src/core/growth/learn.ts';
import { thirstBelief } from '../../src/core/water/thirst.ts';
import { observe } from '../../src/core/stats/gaussian.ts';
import { project } from '../../src/core/sowing/project.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { factsOf } from '../../src/core/sowing/household.ts';
import { loadHousehold } from '../../src/server/households/loadHousehold.ts';
import { addReadings } from '../../src/server/air/air.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { derivedOfAll } from '../../src/server/app/derive.ts';
import { listPlaces } from '../../src/server/households/places.ts';
import { addEvents } from '../../src/server/app/addEvents.ts';
import { listLessons } from '../../src/server/sowings/learned.ts';
import { addSowing, findSowing } from '../../src/server/sowings/sowings.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { event, radishTray, SOWN } from '../support/household.ts';
import { household } from '../support/settings.ts';

describe('what is kept of what trays taught', () => {
  let database: TestDatabase;
  let home: { id: string; placeId: string };
  before(async () => {
    database = await freshDatabase();
    home = await household('Upstairs');
  });
  after(() => database.drop());

  const made = (hours: number, body: SowingEvent['body']): SowingEvent => ({
    ...event(hours, body),
    id: randomUUID()
  });
  const opened = (day: number): SowingEvent[] => [
    made(0, { type: 'sown', waterG: 300 }),
    made(day * 24 - 6, { type: 'looked', cue: 'windowOpen', reached: false }),
    made(day * 24 + 6, { type: 'looked', cue: 'windowOpen', reached: true })
  ];
  const grow = async (cropKey: string, events: SowingEvent[], mix = false): Promise<string> => {
    const id = randomUUID();
    const setup = radishTray({
      id,
      cropKey,
      placeId: home.placeId,
      mix: mix
        ? [
            { cropKey, areaShare: 0.5, seedG: 5, lotId: null },
            { cropKey: 'kale', areaShare: 0.5, seedG: 3, lotId: null }
          ]
        : null
    });
    await inHousehold(home.id, async (tx) => {
      await addSowing(tx, home.id, setup, { memberId: null, at: SOWN, containerId: randomUUID() });
      await addEvents(tx, home.id, id, events);
    });
    return id;
  };
  const learned = async () => (await inHousehold(home.id, listLessons)).learned;
  const cut = made(12 * 24, { type: 'cut', grossG: 300, tareG: 200, share: 1, last: true });

  it('is the product of all trays of a crop, whether they have ended or not', async () => {
    await grow('radish', [...opened(7), { ...cut, id: randomUUID() }]);
    await grow('radish', [...opened(8), { ...cut, id: randomUUID() }]);
    const standing = await grow('radish', opened(7.5));
    await grow('pea', [made(0, { type: 'sown', waterG: 300 })]);
    const kept = await learned();
    expect(kept.ended.map(({ cropKey, trays }) => [cropKey, trays])).to.deep.equal([['radish', 2]]);
    expect(kept.underWay.map(({ sowingId }) => sowingId)).to.deep.equal([standing]);
    const facts = factsOf(await inHousehold(home.id, loadHousehold));
    const message = (day: number) =>
      messageOf(project(facts, radishTray({ placeId: home.placeId }), opened(day), { asIfNew: true }))!;
    const all = [message(8), message(7.5)].reduce(observe, message(7));
    // Whoever told whenever it came to it is relied on as far as that goes.
    const reliable = (day: number) =>
      reliableOf(project(facts, radishTray({ placeId: home.placeId }), opened(day), { asIfNew: true }))!;
    const sure = [reliable(8), reliable(7.5)].reduce(observe, reliable(7));
    const { trust } = tellingOf(
      countsOf(Array.from({ length: 3 }, () => ({ told: ['windowOpen'], left: [] })))
    );
    expect(trust).to.be.within(0.1, 0.9);
    const said = relied(all, sure, trust)!;
    const truth = beliefFor(learn([{ cropKey: 'radish', message: said }]), 'radish');
    const belief = learnedBelief(kept, cropOf('radish'));
    expect(belief.mean).to.be.closeTo(truth.mean, 1e-6);
    expect(belief.variance).to.be.closeTo(truth.variance, 1e-6);
  });

  it('leaves out blended seed, and forgets what was taken back', async () => {
    const before = await learned();
    await grow('sunflower', opened(9), true);
    expect(await learned()).to.deep.equal(before);
    const events = opened(9);
    const id = await grow('kale', events);
    expect((await learned()).underWay.some(({ sowingId }) => sowingId === id)).to.equal(true);
    await inHousehold(home.id, (tx) =>
      addEvents(
        tx,
        home.id,
        id,
        events.slice(1).map((look) => made(300, { type: 'undone', eventId: look.id }))
      )
    );
    expect((await learned()).underWay.some(({ sowingId }) => sowingId === id)).to.equal(false);
  });

  it('is seen by its own household alone', async () => {
    const other = await household('Downstairs');
    expect((await inHousehold(other.id, listLessons)).learned).to.deep.equal({
      ended: [],
      underWay: [],
      cues: [
        [0, 0],
        [0, 0],
        [0, 0]
      ],
      slips: { answers: 0, contradicted: 0 }
    });
  });

  it('keeps what each sowing said of how fast water goes, and starts the next one from it', async () => {
    const before = (await inHousehold(home.id, listLessons)).thirst;
    expect(before.underWay).to.deep.equal([]);
    const id = await grow('mustard', [
      made(0, { type: 'sown', waterG: 300 }),
      made(48, { type: 'uncovered' }),
      made(77, { type: 'lit' }),
      made(88, { type: 'felt', moisture: 'dry' })
    ]);
    const { underWay, ended } = (await inHousehold(home.id, listLessons)).thirst;
    expect(underWay.map(({ sowingId }) => sowingId)).to.deep.equal([id]);
    expect(underWay[0]!.message.mean).to.be.above(0.2);
    expect(ended).to.equal(null);
    await inHousehold(home.id, (tx) =>
      addEvents(tx, home.id, id, [made(90, { type: 'ended', reason: 'dried-out' })])
    );
    const after = (await inHousehold(home.id, listLessons)).thirst;
    expect(after.underWay).to.deep.equal([]);
    expect(after.ended!.mean).to.be.closeTo(underWay[0]!.message.mean, 1e-6);
    expect(thirstBelief(after).mean).to.be.above(0.1);
  });

  it('is the same of a tray that has ended, however long its sensor has been silent since', async () => {
    const id = await grow('radish', [...opened(7), { ...cut, id: randomUUID() }]);
    await inHousehold(home.id, (tx) =>
      addReadings(
        tx,
        home.id,
        home.placeId,
        'hand',
        // With two days left out: what is usual there stands in for them.
        Array.from({ length: 96 }, (_, nth) => ({
          at: SOWN + nth * 3 * HOUR,
          tempC: 24,
          humidityPct: 50
        })).filter((_, nth) => nth < 24 || nth >= 40)
      )
    );
    const [soon, late] = await inHousehold(home.id, async (tx) => {
      const record = (await findSowing(tx, id))!;
      const rest = await loadHousehold(tx);
      const asOf = async (day: number) => {
        const places = await listPlaces(tx, SOWN + day * DAY);
        return derivedOfAll(tx, factsOf({ ...rest, places }), [record]);
      };
      return [await asOf(12), await asOf(30)];
    });
    expect(late).to.deep.equal(soon);
  });
});
