import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { readNotebookQuery } from '../../src/contract/notebook.ts';
import { areaCm2 } from '../../src/core/supplies/containers/container.ts';
import type { EventBody } from '../../src/core/sowing/event.ts';
import type { PastSowing } from '../../src/core/notebook/past/pastSowing.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { recordEvents } from '../../src/server/app/recordEvents.ts';
import { NoPlace, pastTeaches, takePast } from '../../src/server/app/takePast.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { rhythmOf } from '../../src/core/sowing/household.ts';
import { findAccount } from '../../src/server/households/household.ts';
import { savePrice, readPrices } from '../../src/server/households/prices.ts';
import { allOfNotebook, searchNotebook } from '../../src/server/notebook/search.ts';
import { yearInFigures } from '../../src/server/notebook/year.ts';
import { listContainerStock } from '../../src/server/sowings/containers.ts';
import { listLessons } from '../../src/server/sowings/learned.ts';
import { addSowing, listForRound, listInPantry, listUnderWay } from '../../src/server/sowings/sowings.ts';
import { zoneOf } from '../../src/core/time/zone.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { radishTray } from '../support/household.ts';
import { household, sessionOf } from '../support/settings.ts';

describe('what is harvested', () => {
  let database: TestDatabase;
  let home: { id: string; placeId: string };
  const containerId = randomUUID();
  const began = Date.now() - 12 * DAY;
  before(async () => {
    database = await freshDatabase();
    home = await household('Upstairs');
  });
  after(() => database.drop());

  const sow = async (setup: Partial<SowingSetup> = {}): Promise<string> => {
    const id = randomUUID();
    await inHousehold(home.id, (tx) =>
      addSowing(tx, home.id, radishTray({ id, placeId: home.placeId, sowAt: began, ...setup }), {
        memberId: null,
        at: began,
        containerId
      })
    );
    return id;
  };
  /** Records what happened, hours after it began, and says what became of each. */
  const record = async (sowingId: string, ...bodies: [hours: number, body: EventBody, id?: string][]) => {
    const { results } = await inHousehold(home.id, (tx) =>
      recordEvents(
        tx,
        sessionOf(home.id),
        bodies.map(([hours, body, id = randomUUID()]) => ({
          id,
          sowingId,
          at: began + hours * HOUR,
          body,
          sure: true
        }))
      )
    );
    return results.map((result) => (result.ok ? 'taken' : result.message));
  };
  const grown: [number, EventBody][] = [
    [0, { type: 'sown', waterG: 300 }],
    [60, { type: 'uncovered' }],
    [84, { type: 'lit' }],
    [156, { type: 'looked', cue: 'windowOpen', reached: true }]
  ];
  const cut = (grossG: number, more: object = {}): EventBody => ({
    type: 'cut',
    grossG,
    tareG: 0,
    share: 1,
    last: true,
    handling: { tool: 'scissors', washing: 'unwashed', packing: 'paper-box' },
    ...more
  });
  const counted = async (of: 'inUse' | 'toClean') =>
    (await inHousehold(home.id, listContainerStock)).reduce((sum, container) => sum + container[of], 0);

  it('goes from the cut through the pantry until nothing is left, and its tray back to the shelf', async () => {
    const id = await sow();
    const cutId = randomUUID();
    await record(id, ...grown, [160, cut(140), cutId]);
    expect((await inHousehold(home.id, listInPantry)).map(({ setup }) => setup.id)).to.deep.equal([id]);
    expect(await inHousehold(home.id, listUnderWay)).to.have.length(0);
    expect((await inHousehold(home.id, listForRound)).map(({ emptied }) => emptied)).to.deep.equal([true]);
    // Emptied and not clean, it does not count as free.
    expect([await counted('inUse'), await counted('toClean')]).to.deep.equal([1, 1]);
    const takes = (amount: number): EventBody => ({ type: 'taken', from: cutId, amount, to: 'eaten' });
    const said = await record(id, [161, takes(100)], [162, takes(60)], [163, takes(40)]);
    expect(said).to.deep.equal(['taken', 'Only 40 g of it are left: take that much, or less.', 'taken']);
    expect(await inHousehold(home.id, listInPantry)).to.have.length(0);
    await record(id, [164, { type: 'cleaned', step: 'dry' }]);
    expect([await counted('inUse'), await counted('toClean')]).to.deep.equal([0, 0]);
    expect(await inHousehold(home.id, listForRound)).to.have.length(0);
  });

  it('is refused where it cannot be: of a failed tray, of what was cut before, of more than stands', async () => {
    const lost = await sow();
    await record(lost, ...grown, [157, { type: 'ended', reason: 'mould' }]);
    expect((await record(lost, [160, cut(100)]))[0]).to.include('discarded');
    const half = await sow();
    await record(half, ...grown, [160, cut(60, { share: 0.5, last: false, pieces: [6, 7, 8, 9, 10, 11] })]);
    expect((await record(half, [161, cut(60)]))[0]).to.include('Only 50% of it is left');
    expect((await record(half, [161, cut(60, { share: 0.5, pieces: [5, 6] })]))[0]).to.include(
      'already been cut'
    );
    expect((await record(half, [161, cut(60, { share: 0.5, again: true })]))[0]).to.include(
      'does not grow again'
    );
    expect((await record(half, [161, cut(-5)]))[0]).to.include('cannot be under 0 g');
    expect((await record(half, [161, cut(50, { share: 0.5, tareG: 60 })]))[0]).to.include('must weigh more');
  });

  it('teaches the household’s yields, and forgets what is taken back', async () => {
    const id = await sow({ cropKey: 'kale', seedsPerCm2: 3, seedG: 4 });
    const cutId = randomUUID();
    await record(id, ...grown, [180, cut(180), cutId]);
    const lesson = async () =>
      (await inHousehold(home.id, listLessons)).yields.find(({ cropKey }) => cropKey === 'kale');
    expect((await lesson())!.trays).to.equal(1);
    await record(id, [181, { type: 'undone', eventId: cutId }]);
    expect(await lesson()).to.equal(undefined);
  });

  it('is found by crop, place, outcome and note, whatever the accents, and as the core counts it', async () => {
    const id = await sow();
    await record(
      id,
      ...grown,
      [150, { type: 'noted', text: 'Crème brûlée 100%_of it, =1+1' }],
      [160, cut(150)]
    );
    const find = (asked: string) =>
      inHousehold(home.id, (tx) => searchNotebook(tx, readNotebookQuery(new URLSearchParams(asked))));
    for (const asked of [
      'text=creme+BRULEE',
      'text=100%25_of',
      `place=${home.placeId}&text=brulee`,
      'text=radish+brulee&outcome=cut'
    ]) {
      const { rows, total } = await find(asked);
      expect([total, rows[0]?.id], asked).to.deep.equal([1, id]);
    }
    for (const asked of [
      'text=100%25of',
      'text=brulee&outcome=lost',
      'text=brulee&crop=kale',
      `place=${randomUUID()}`
    ])
      expect((await find(asked)).total, asked).to.equal(0);
    const [row] = (await find('text=brulee')).rows;
    const area = areaCm2(radishTray().container);
    expect(row!.perM2).to.be.closeTo((150 / area) * 10_000, 1e-6);
    expect(row!.perSeed).to.be.closeTo(150 / 11.8, 1e-6);
    const { zone } = rhythmOf(await inHousehold(home.id, findAccount));
    expect(row!.days).to.equal(zone.daysBetween(row!.sownAt, row!.endedAt!));
    // Every column sorts, both ways, the same rows.
    const all = (await find('')).total;
    for (const sort of ['crop', 'days', 'perArea', 'method', 'outcome', 'thrown'])
      for (const up of ['', '&up='])
        expect((await find(`sort=${sort}${up}`)).rows.length, sort).to.equal(Math.min(25, all));
    const gathered: string[] = [];
    await inHousehold(home.id, async (tx) => {
      for await (const rows of allOfNotebook(tx, readNotebookQuery(new URLSearchParams(''))))
        gathered.push(...rows.map((one) => one.id));
    });
    expect(new Set(gathered).size).to.equal(all);
  });

  describe('before Brote', () => {
    const past: PastSowing = {
      cropKey: 'radish',
      sownAt: Date.parse('2026-03-01T11:00Z'),
      openedAt: Date.parse('2026-03-08T11:00Z'),
      cutAt: Date.parse('2026-03-08T11:00Z'),
      cutG: 140,
      seedG: 12,
      container: { lengthCm: 30, widthCm: 20 },
      count: 1,
      medium: 'hemp-mat',
      placeId: null,
      lost: null,
      note: 'of the old shelf',
      copy: 0
    };
    const moulded: PastSowing = { ...past, openedAt: null, cutG: null, lost: 'mould' };
    const partOf = (placeId: string, ...sowings: PastSowing[]) => ({ sowings, placeId, containerId: null });
    const take = ({ id, placeId }: typeof home, ...sowings: PastSowing[]) =>
      inHousehold(id, (tx) => takePast(tx, sessionOf(id), partOf(placeId, ...sowings)));
    const rowsOf = async ({ id }: typeof home, sort = 'sort=cut') =>
      (await inHousehold(id, (tx) => searchNotebook(tx, readNotebookQuery(new URLSearchParams(sort))))).rows;

    it('stands in the notebook and teaches; a list that is sent again adds nothing', async () => {
      const other = await household('Downstairs');
      expect(await take(other, past, moulded)).to.equal(2);
      expect(await take(other, past, moulded)).to.equal(0);
      // Two trays that a list tells apart by nothing, or by what they grew in alone, are two.
      expect(await take(other, past, { ...past, copy: 1 })).to.equal(1);
      const inAnother = { ...past, lost: 'other', container: { lengthCm: 30, widthCm: 25 } } as const;
      const inAThird = { ...inAnother, container: { lengthCm: 40, widthCm: 25 } };
      const shelf = await household('Landing');
      expect(await take(shelf, inAnother, inAThird)).to.equal(2);
      expect(
        (await rowsOf(other)).map(({ cutG, lost, medium, seedG, perM2 }) => [
          cutG,
          lost,
          medium,
          seedG,
          perM2 && Math.round(perM2)
        ])
      ).to.deep.equal([
        [140, null, 'hemp-mat', 12, 2333],
        [140, null, 'hemp-mat', 12, 2333],
        [0, 'mould', 'hemp-mat', 12, null]
      ]);
      expect((await inHousehold(other.id, listLessons)).yields).to.have.length(1);
      // What is long clean asks for nothing.
      expect(await inHousehold(other.id, listForRound)).to.have.length(0);
      const year = await inHousehold(other.id, (tx) =>
        yearInFigures(tx, zoneOf('Europe/Madrid'), 2026, Date.now())
      );
      expect(year!.months).to.deep.equal([{ month: '2026-03', cropKey: 'radish', cutG: 280 }]);
      expect(year!.losses).to.deep.equal([{ lost: 'mould', sowings: 1 }]);
      expect(year!.crops[0]).to.include({ sowings: 3, lost: 1, cutG: 280 });
    });

    it('teaches no yield, and shows none, where nobody knows what it grew in', async () => {
      const other = await household('Attic');
      expect(await take(other, { ...past, container: null, seedG: null })).to.equal(1);
      const [row] = await rowsOf(other);
      expect(row).to.include({ cutG: 140, perM2: null, perSeed: null, seedG: null, container: null });
      const { learned, yields } = await inHousehold(other.id, listLessons);
      expect(yields).to.deep.equal([]);
      expect(learned.ended).to.have.length(1);
      // What was only assumed is not offered to sow in.
      expect(await inHousehold(other.id, listContainerStock)).to.deep.equal([]);
      for (const sort of ['perArea', 'perSeed', 'seed', 'container'])
        expect(await rowsOf(other, `sort=${sort}`), sort).to.have.length(1);
    });

    it('says beforehand what it will teach, and teaches just that', async () => {
      const other = await household('Shed');
      const before = await inHousehold(other.id, (tx) =>
        pastTeaches(tx, sessionOf(other.id), partOf(other.placeId, past, moulded))
      );
      expect(await rowsOf(other)).to.deep.equal([]);
      await take(other, past, moulded);
      const { learned, yields } = await inHousehold(other.id, listLessons);
      expect(before).to.have.length(1);
      expect(before[0]).to.include({ cropKey: 'radish', sowings: 2, weighed: 1 });
      expect(before[0]!.pace).to.deep.equal(learned.ended[0]!.message);
      expect(before[0]!.paced).to.equal(learned.ended[0]!.trays);
      expect(before[0]!.yields).to.deep.equal(yields[0]!.message);
    });

    it('does not count as lost where it was cut and not weighed', async () => {
      const other = await household('Loft');
      await take(other, { ...past, cutG: null });
      expect((await rowsOf(other))[0]).to.include({ cutG: 0, lost: null, perM2: null });
      expect((await inHousehold(other.id, listLessons)).yields).to.deep.equal([]);
    });

    it('needs a place of the household', async () => {
      const other = await household('Barn');
      const refused = await take({ ...other, placeId: home.placeId }, past).catch((error: unknown) => error);
      expect(refused).to.be.instanceOf(NoPlace);
    });
  });

  it('has prices of its own household', async () => {
    await inHousehold(home.id, (tx) =>
      savePrice(tx, home.id, { of: 'shop', key: 'radish', price: 2.6, amount: 50, uses: 1 })
    );
    expect((await inHousehold(home.id, readPrices)).shop.radish).to.be.closeTo(5.2, 1e-9);
    const other = await household('Cellar');
    expect((await inHousehold(other.id, readPrices)).shop).to.deep.equal({});
  });
});
