import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { readNotebookQuery } from '../../src/contract/notebook.ts';
import { areaCm2 } from '../../src/core/supplies/containers/container.ts';
import type { EventBody } from '../../src/core/sowing/event.ts';
import type { PastSowing } from '../../src/core/notebook/pastCsv.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { recordEvents } from '../../src/server/app/recordEvents.ts';
import { takePast } from '../../src/server/app/takePast.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { householdFacts } from '../../src/server/households/facts.ts';
import { keepPrice, readPrices } from '../../src/server/households/prices.ts';
import { allOfNotebook, searchNotebook } from '../../src/server/notebook/search.ts';
import { yearInFigures } from '../../src/server/notebook/year.ts';
import { listKeptContainers } from '../../src/server/sowings/containers.ts';
import { listLessons } from '../../src/server/sowings/learned.ts';
import { addSowing, listForRound, listInPantry, listUnderWay } from '../../src/server/sowings/sowings.ts';
import { findHousehold } from '../../src/server/households/household.ts';
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
    (await inHousehold(home.id, listKeptContainers)).reduce((sum, container) => sum + container[of], 0);

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
    expect((await record(lost, [160, cut(100)]))[0]).to.include('given up');
    const half = await sow();
    await record(half, ...grown, [160, cut(60, { share: 0.5, last: false, pieces: [6, 7, 8, 9, 10, 11] })]);
    expect((await record(half, [161, cut(60)]))[0]).to.include('Only 50 % of it still stands');
    expect((await record(half, [161, cut(60, { share: 0.5, pieces: [5, 6] })]))[0]).to.include('cut before');
    expect((await record(half, [161, cut(60, { share: 0.5, again: true })]))[0]).to.include(
      'does not grow again'
    );
    expect((await record(half, [161, cut(-5)]))[0]).to.include('not under 0 g');
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
    const { zone } = (await inHousehold(home.id, householdFacts)).rhythm;
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

  it('is of before as well: a list taken twice is taken once, stands in the notebook and teaches', async () => {
    const other = await household('Downstairs');
    const past: PastSowing = {
      cropKey: 'radish',
      sownAt: Date.parse('2026-03-01T11:00Z'),
      openedAt: null,
      cutAt: Date.parse('2026-03-08T11:00Z'),
      cutG: 140,
      seedG: null,
      lengthCm: 30,
      widthCm: 20,
      medium: 'hemp-mat',
      place: null,
      lost: null,
      note: 'of the old shelf'
    };
    const take = () =>
      inHousehold(other.id, async (tx) =>
        takePast(tx, await findHousehold(tx), randomUUID(), [
          past,
          past,
          { ...past, cutG: null, cutAt: null, lost: 'mould' }
        ])
      );
    expect(await take()).to.equal(2);
    expect(await take()).to.equal(0);
    const { rows } = await inHousehold(other.id, (tx) =>
      searchNotebook(tx, readNotebookQuery(new URLSearchParams('sort=cut')))
    );
    expect(rows.map(({ cutG, lost, medium }) => [cutG, lost, medium])).to.deep.equal([
      [140, null, 'hemp-mat'],
      [0, 'mould', 'hemp-mat']
    ]);
    expect((await inHousehold(other.id, listLessons)).yields).to.have.length(1);
    // What is long clean asks for nothing.
    expect(await inHousehold(other.id, listForRound)).to.have.length(0);
    const year = await inHousehold(other.id, (tx) =>
      yearInFigures(tx, zoneOf('Europe/Madrid'), 2026, Date.now())
    );
    expect(year!.months).to.deep.equal([{ month: '2026-03', cropKey: 'radish', cutG: 140 }]);
    expect(year!.losses).to.deep.equal([{ lost: 'mould', sowings: 1 }]);
    expect(year!.crops[0]).to.include({ sowings: 2, lost: 1, cutG: 140 });
  });

  it('has prices of its own household', async () => {
    await inHousehold(home.id, (tx) =>
      keepPrice(tx, home.id, { of: 'shop', key: 'radish', price: 2.6, amount: 50, uses: 1 })
    );
    expect((await inHousehold(home.id, readPrices)).shop.radish).to.be.closeTo(5.2, 1e-9);
    const other = await household('Cellar');
    expect((await inHousehold(other.id, readPrices)).shop).to.deep.equal({});
  });
});
