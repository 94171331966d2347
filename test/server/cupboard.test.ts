import { loadHousehold } from '../../src/server/households/loadHousehold.ts';
import { lastStrengths } from '../../src/server/sowings/strengths.ts';
import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { cropOf, findCrop } from '../../src/core/crops/library.ts';
import { leftG, type Lot, type LotStock } from '../../src/core/supplies/seed/lot.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { project } from '../../src/core/sowing/project.ts';
import { factsOf } from '../../src/core/sowing/household.ts';
import { readLog } from '../../src/core/sowing/record.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { saveLot, listLots, retireLot } from '../../src/server/cupboard/lots.ts';
import { saveMedium, listMedia, retireMedium } from '../../src/server/cupboard/media.ts';
import { listProducts, retireProduct, saveProduct } from '../../src/server/cupboard/products.ts';
import { saveOwnCrop, listOwnCrops, retireOwnCrop } from '../../src/server/crops/ownCrops.ts';
import { inHousehold, type Tx } from '../../src/server/db/connection.ts';
import { saveMethod, listMethods, retireMethod } from '../../src/server/methods/methods.ts';
import { noteJudged } from '../../src/server/reminders/judging.ts';
import type { Disinfectant } from '../../src/core/supplies/seed/disinfect.ts';
import { ruleWith, type Product } from '../../src/core/supplies/seed/product.ts';
import { startingRule, STARTING_RULES } from '../../src/core/supplies/seed/rule.ts';
import {
  changeContainer,
  saveContainer,
  listContainers,
  listContainerStock,
  retireContainer
} from '../../src/server/sowings/containers.ts';
import { addEvents } from '../../src/server/app/addEvents.ts';
import { addSowing, findSowing, listInPreparation } from '../../src/server/sowings/sowings.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { event, radishTray, sown, SOWN } from '../support/household.ts';
import { household } from '../support/settings.ts';

describe('what a household keeps', () => {
  let database: TestDatabase;
  let one: { id: string; placeId: string };
  let other: { id: string; placeId: string };
  before(async () => {
    database = await freshDatabase();
    one = await household('Upstairs');
    other = await household('Downstairs');
  });
  after(() => database.drop());

  const as = <T>(home: { id: string }, work: (tx: Tx) => Promise<T>) => inHousehold(home.id, work);
  const lot = (more: Partial<Lot> = {}): Lot => ({
    id: randomUUID(),
    cropKey: 'radish',
    name: 'Tin',
    weighedG: 100,
    price: null,
    packetG: null,
    boughtOn: null,
    parts: null,
    bestBefore: null,
    packetPct: null,
    test: null,
    ...more
  });
  const sow = async (more: Partial<SowingSetup> = {}, at = SOWN): Promise<string> => {
    const id = randomUUID();
    await as(one, (tx) =>
      addSowing(tx, one.id, radishTray({ id, placeId: one.placeId, ...more }), {
        memberId: null,
        at,
        containerId: randomUUID()
      })
    );
    return id;
  };
  const stock = async (id: string): Promise<LotStock> =>
    (await as(one, listLots)).find((found) => found.id === id)!;

  describe('lots of seed', () => {
    it('come back as they were kept, tests and dates and all', async () => {
      const kept = lot({
        price: 3.5,
        boughtOn: '2026-02-28',
        bestBefore: '2028-02-29',
        packetPct: 92,
        test: { sprouted: 18, tested: 20 }
      });
      for (let n = 0; n < 2; n += 1) await as(one, (tx) => saveLot(tx, one.id, kept, SOWN));
      expect(await stock(kept.id)).to.deep.equal({ ...kept, takenG: 0 });
    });

    it('are drawn down by each sowing since they were weighed, alone and in a mix', async () => {
      const kept = lot();
      await as(one, (tx) => saveLot(tx, one.id, kept, SOWN));
      await sow({ lotId: kept.id, seedG: 9.9 }, SOWN - DAY);
      expect(leftG(await stock(kept.id)), 'sown before it was weighed').to.equal(100);
      await sow({ lotId: kept.id, seedG: 9.9 }, SOWN + DAY);
      await sow(
        {
          mix: [
            { cropKey: 'radish', areaShare: 0.5, seedG: 5, lotId: kept.id },
            { cropKey: 'kale', areaShare: 0.5, seedG: 3, lotId: null }
          ]
        },
        SOWN + DAY
      );
      expect(leftG(await stock(kept.id))).to.be.closeTo(85.1, 1e-9);
      // The same form sent again must not count from anew; weighed again, it does.
      await as(one, (tx) => saveLot(tx, one.id, { ...kept, name: 'Jar' }, SOWN + 2 * DAY));
      expect(leftG(await stock(kept.id))).to.be.closeTo(85.1, 1e-9);
      await as(one, (tx) => saveLot(tx, one.id, { ...kept, weighedG: 84 }, SOWN + 2 * DAY));
      expect(leftG(await stock(kept.id))).to.equal(84);
    });

    it('are put away, and taken out again', async () => {
      const kept = lot();
      await as(one, (tx) => saveLot(tx, one.id, kept, SOWN));
      await as(one, (tx) => retireLot(tx, kept.id));
      expect(await stock(kept.id)).to.equal(undefined);
      await as(one, (tx) => saveLot(tx, one.id, kept, SOWN));
      expect((await stock(kept.id)).id).to.equal(kept.id);
    });
  });

  it('is seen by no other household, which cannot change it either', async () => {
    const kept = lot();
    const medium = { id: randomUUID(), name: 'Mix', kind: 'coir', swellLKg: null, parts: null } as const;
    const method = { ...DEFAULT_METHOD, key: `own-${randomUUID()}`, name: 'Ours' };
    await as(one, async (tx) => {
      await saveLot(tx, one.id, kept, SOWN);
      await saveMedium(tx, one.id, medium);
      await saveMethod(tx, one.id, method);
      await saveOwnCrop(tx, one.id, { crop: { ...cropOf('kale'), key: 'own-x' }, basedOn: 'kale' });
    });
    const seen = await as(other, async (tx) => [
      (await listLots(tx)).length,
      (await listMedia(tx)).length,
      (await listMethods(tx)).length,
      (await listOwnCrops(tx, { retired: true })).length
    ]);
    expect(seen).to.deep.equal([0, 0, 0, 0]);
    await as(other, async (tx) => {
      await retireLot(tx, kept.id);
      await retireMedium(tx, medium.id);
      await retireMethod(tx, method.key);
      await retireOwnCrop(tx, 'own-x');
    });
    expect((await stock(kept.id)).id).to.equal(kept.id);
    expect((await as(one, listMethods)).map(({ key }) => key)).to.include(method.key);
    let refused = '';
    await as(other, (tx) => saveLot(tx, one.id, lot(), SOWN)).catch(
      (error: Error) => (refused = error.message)
    );
    expect(refused).to.include('row-level security');
  });

  it('refuses a sowing from a lot that another household has', async () => {
    const theirs = lot();
    await as(other, (tx) => saveLot(tx, other.id, theirs, SOWN));
    let refused = '';
    await sow({ lotId: theirs.id }).catch((error: Error) => (refused = error.message));
    expect(refused).to.include('foreign key');
  });

  it('has its household judged again for a container, a method or a medium that changed', async () => {
    const containerId = randomUUID();
    const tray = {
      name: 'Marked',
      shape: 'rectangle',
      lengthCm: 31,
      widthCm: 17,
      depthCm: 5,
      cells: 1
    } as const;
    await as(one, (tx) => saveContainer(tx, one.id, containerId, tray));
    await sow();
    const changes: ((tx: Tx) => Promise<unknown>)[] = [
      (tx) =>
        changeContainer(tx, {
          id: containerId,
          name: 'Marked',
          emptyG: 120,
          drains: false,
          reservoirMl: null,
          owned: 3
        }),
      (tx) => saveMethod(tx, one.id, { ...DEFAULT_METHOD, key: `own-${randomUUID()}`, name: 'Marking' }),
      (tx) =>
        saveMedium(tx, one.id, { id: randomUUID(), name: 'Marking', kind: 'coir', swellLKg: 7, parts: null })
    ];
    const isToBeJudged = () =>
      as(one, async (tx) => {
        const [row] = await tx<{ due: boolean }[]>`select judge_at < 'infinity' as due from judging`;
        return row!.due;
      });
    for (const change of changes) {
      await as(one, (tx) => noteJudged(tx, SOWN, Infinity));
      expect(await isToBeJudged()).to.equal(false);
      await as(one, change);
      expect(await isToBeJudged()).to.equal(true);
    }
  });

  it('keeps media with their parts', async () => {
    const mixed = {
      id: randomUUID(),
      name: 'Balcony mix',
      kind: 'seed-mix',
      swellLKg: null,
      parts: [{ name: 'coir', parts: 3 }]
    } as const;
    const brick = { id: randomUUID(), name: 'Brick', kind: 'coir', swellLKg: 9.5, parts: null } as const;
    await as(one, async (tx) => {
      await saveMedium(tx, one.id, { ...mixed, parts: [...mixed.parts] });
      await saveMedium(tx, one.id, brick);
    });
    const found = await as(one, listMedia);
    expect(found.find(({ id }) => id === mixed.id)).to.deep.equal(mixed);
    expect(found.find(({ id }) => id === brick.id)).to.deep.equal(brick);
    await as(one, (tx) => retireMedium(tx, brick.id));
    expect((await as(one, listMedia)).some(({ id }) => id === brick.id)).to.equal(false);
  });

  it('keeps methods, and a sowing keeps the method it was planned by', async () => {
    const method = { ...DEFAULT_METHOD, key: `own-${randomUUID()}`, name: 'Ours', pressing: 'none' } as const;
    await as(one, (tx) => saveMethod(tx, one.id, method));
    const id = await sow({ method });
    await as(one, (tx) => saveMethod(tx, one.id, { ...method, name: 'Ours, heavier', pressing: 'weight' }));
    const found = (await as(one, listMethods)).find(({ key }) => key === method.key)!;
    expect([found.name, found.pressing]).to.deep.equal(['Ours, heavier', 'weight']);
    expect((await as(one, (tx) => findSowing(tx, id)))!.setup.method).to.deep.equal(method);
    const changed = { ...DEFAULT_METHOD, washing: 'washed' } as const;
    const differs = await sow({ method: changed });
    expect((await as(one, (tx) => findSowing(tx, differs)))!.setup.method).to.deep.equal(changed);
  });

  it('remembers the strength of its products for the next crop', async () => {
    const withRule = (disinfect: Disinfectant, productPct: number, at: number) =>
      sow(
        {
          method: {
            ...DEFAULT_METHOD,
            disinfect,
            disinfectRule: { ...STARTING_RULES[disinfect], productPct }
          }
        },
        at
      );
    expect(await as(one, lastStrengths)).to.deep.equal({});
    await withRule('hypochlorite', 4.5, SOWN);
    await withRule('peroxide', 6, SOWN + 1000);
    await withRule('hypochlorite', 8, SOWN + 2000);
    const strengths = await as(one, lastStrengths);
    expect(strengths).to.deep.equal({ hypochlorite: 8, peroxide: 6 });
    expect(startingRule('hypochlorite', [], strengths)).to.include({ productPct: 8, target: 2000 });
    expect(startingRule('peroxide', [], {})).to.deep.equal(STARTING_RULES.peroxide);
  });

  it('keeps products, whose strength methods and planned sowings follow, and disinfected ones do not', async () => {
    const bleach: Product = {
      id: randomUUID(),
      name: 'Bleach under the sink',
      kind: 'hypochlorite',
      strengthPct: 5.25,
      datedOn: '2026-08-03'
    };
    expect(await as(one, (tx) => saveProduct(tx, one.id, bleach))).to.deep.equal([]);
    const method = {
      ...DEFAULT_METHOD,
      key: `own-${randomUUID()}`,
      name: 'With bleach',
      disinfect: 'hypochlorite',
      disinfectRule: ruleWith(STARTING_RULES.hypochlorite, bleach)
    } as const;
    await as(one, (tx) => saveMethod(tx, one.id, method));
    const [planned, begun] = [await sow({ method }), await sow({ method })];
    await as(one, (tx) => addEvents(tx, one.id, begun, [event(1, { type: 'prepared', step: 'disinfect' })]));
    const strengthIn = async (id: string) =>
      (await as(one, (tx) => findSowing(tx, id)))!.setup.method.disinfectRule.productPct;

    const fresh = { ...bleach, strengthPct: 2.6, datedOn: '2026-11-20' };
    // As often as it is sent.
    for (const _again of [1, 2])
      expect(await as(one, (tx) => saveProduct(tx, one.id, fresh))).to.deep.equal([]);
    const found = (await as(one, listMethods)).find(({ key }) => key === method.key)!;
    expect(found.disinfectRule).to.include({ productPct: 2.6, productName: bleach.name, target: 2000 });
    expect(await strengthIn(planned)).to.equal(2.6);
    expect(await strengthIn(begun)).to.equal(5.25);

    // 0.1 % cannot give 2000 ppm: nothing is changed, and what is in its way is named.
    expect(await as(one, (tx) => saveProduct(tx, one.id, { ...fresh, strengthPct: 0.1 }))).to.deep.equal([
      'With bleach'
    ]);
    expect(await as(one, listProducts)).to.deep.include(fresh);
    expect(await as(other, listProducts)).to.deep.equal([]);

    await as(one, (tx) => retireProduct(tx, bleach.id));
    expect(await as(one, listProducts)).to.deep.equal([]);
    expect(await strengthIn(planned)).to.equal(2.6);
  });

  it('keeps own crops, which old sowings go on with after they were put away', async () => {
    const crop = { ...cropOf('radish'), key: 'own-radish', name: 'Our radish', windowOpenD21: 8 };
    await as(one, (tx) => saveOwnCrop(tx, one.id, { crop, basedOn: 'radish' }));
    const id = await sow({ cropKey: crop.key });
    await as(one, (tx) => retireOwnCrop(tx, crop.key));
    await as(one, async (tx) => {
      expect((await listOwnCrops(tx)).some((own) => own.crop.key === crop.key)).to.equal(false);
      const record = (await findSowing(tx, id))!;
      const { ownCrops, ...rest } = await loadHousehold(tx);
      expect(project(factsOf({ ...rest, ownCrops }), record.setup, readLog(record)).crop.name).to.equal(
        'Our radish'
      );
      expect(findCrop('own-radish', ownCrops)!.name).to.equal('Our radish');
      expect(findCrop('radish', ownCrops)!.name).to.equal('Radish');
      expect(findCrop('tomato', ownCrops)).to.equal(undefined);
    });
  });

  it('counts containers in use and free, and offers none that was put away', async () => {
    const home = await household('Attic');
    const place = (more: Partial<SowingSetup>) =>
      inHousehold(home.id, (tx) =>
        addSowing(tx, home.id, radishTray({ id: randomUUID(), placeId: home.placeId, ...more }), {
          memberId: null,
          at: SOWN,
          containerId: randomUUID()
        })
      );
    await place({ count: 2 });
    await place({ areaShare: 0.5 });
    const [kept] = await as(home, listContainerStock);
    expect(kept).to.include({ inUse: 3, owned: null, drains: true, emptyG: null });
    await as(home, (tx) =>
      changeContainer(tx, {
        id: kept!.id,
        name: 'Red tray',
        emptyG: 120,
        drains: false,
        reservoirMl: 400,
        owned: 4
      })
    );
    expect((await as(home, listContainerStock))[0]).to.include({
      name: 'Red tray',
      owned: 4,
      emptyG: 120,
      drains: false,
      reservoirMl: 400
    });
    await as(home, (tx) => retireContainer(tx, kept!.id));
    expect(await as(home, listContainers)).to.have.length(0);
    await place({});
    expect(await as(home, listContainers), 'sown in again').to.have.length(1);
  });

  it('lists what is being prepared until it was sown, and again where that is taken back', async () => {
    const home = await household('Cellar');
    const id = randomUUID();
    await inHousehold(home.id, (tx) =>
      addSowing(tx, home.id, radishTray({ id, placeId: home.placeId }), {
        memberId: null,
        at: SOWN,
        containerId: randomUUID()
      })
    );
    const preparing = async () => (await as(home, listInPreparation)).map(({ setup }) => setup.id);
    expect(await preparing()).to.deep.equal([id]);
    const tick = { ...sown(), id: randomUUID() };
    await as(home, (tx) => addEvents(tx, home.id, id, [tick]));
    expect(await preparing()).to.deep.equal([]);
    await as(home, (tx) =>
      addEvents(tx, home.id, id, [{ ...event(1, { type: 'undone', eventId: tick.id }), id: randomUUID() }])
    );
    expect(await preparing()).to.deep.equal([id]);
  });
});
