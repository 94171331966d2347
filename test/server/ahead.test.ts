import { readJudging } from '../../src/server/reminders/judging.ts';
import { NO_WISH } from '../../src/core/ahead/variety.ts';
import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import ICAL from 'ical.js';
import { aheadOf, growablesOf, type AheadData } from '../../src/core/ahead/household.ts';
import { buildProblem } from '../../src/core/ahead/build.ts';
import { greedy } from '../../src/core/ahead/greedy.ts';
import { proposalOf } from '../../src/core/ahead/proposal.ts';
import { groundOf } from '../../src/core/ahead/ground.ts';
import { seedOf } from '../../src/core/ahead/drawn.ts';
import { partSeeds } from '../../src/core/ahead/growable.ts';
import { dayOf } from '../../src/core/ahead/horizon.ts';
import { judge } from '../../src/core/reminders/due.ts';
import type { EventBody } from '../../src/core/sowing/event.ts';
import { seedOfCrop } from '../../src/core/choice/choiceData.ts';
import { project } from '../../src/core/sowing/project.ts';
import { readLog } from '../../src/core/sowing/record.ts';
import { beginsAt } from '../../src/core/sowing/soak.ts';
import type { Container } from '../../src/core/supplies/containers/container.ts';
import { HOUR, zoneOf } from '../../src/core/time/zone.ts';
import {
  askedBackG,
  saveAppetite,
  savePortion,
  listEaters,
  readAppetite
} from '../../src/server/ahead/appetite.ts';
import { endOrder, saveOrder, listOrders } from '../../src/server/ahead/orders.ts';
import { aheadData } from '../../src/server/app/aheadData.ts';
import { standingNow } from '../../src/server/app/householdStanding.ts';
import { orderData, scheduleOf } from '../../src/server/app/ordersAhead.ts';
import { recordEvents } from '../../src/server/app/recordEvents.ts';
import { takePlan, type TakenPlan } from '../../src/server/app/takePlan.ts';
import { writeCalendar } from '../../src/server/app/writeCalendar.ts';
import { Wrong } from '../../src/server/app/sow.ts';
import { saveLot } from '../../src/server/cupboard/lots.ts';
import { inHousehold, type InTransaction } from '../../src/server/db/connection.ts';
import { findAccount, householdNow } from '../../src/server/households/household.ts';
import { saveContainer, changeContainer } from '../../src/server/sowings/containers.ts';
import { appetiteSchema, orderSchema, planSchema } from '../../src/contract/schemas/ahead.ts';
import { check } from '../../src/contract/schemas/check.ts';
import { beginBodies, orderBody } from '../../src/ui/ahead/beginBody.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { household, sessionOf } from '../support/settings.ts';

/** What is begun at once is begun a moment later where it is stored. */
const MINUTES_10 = 600_000;
const CROPS = ['radish', 'mustard', 'kale'];
const TRAY: Container = { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 };
/** What a standing order lays. */
const KALE = {
  ...seedOfCrop('kale'),
  count: 1,
  medium: 'coir',
  mediumId: null,
  methodKey: 'press-and-dome',
  ownSeedG: null
} as const;

describe('the weeks ahead, stored', () => {
  let database: TestDatabase;
  let home: { id: string; placeId: string };
  const containerId = randomUUID();
  const session = () => sessionOf(home.id);
  const read = (): Promise<AheadData> => inHousehold(home.id, aheadData);
  const take = async (plan: object): Promise<string[]> => {
    const checked = check(planSchema, plan);
    if (!checked.ok) throw new Error(JSON.stringify(checked.errors));
    const by = await session();
    return inHousehold(home.id, (tx) => takePlan(tx, by, checked.value as TakenPlan));
  };
  const record = async (sowingId: string, body: EventBody): Promise<void> => {
    const by = await session();
    await inHousehold(home.id, (tx) =>
      recordEvents(tx, by, [{ sowingId, id: randomUUID(), at: Date.now(), body }])
    );
  };
  const sowingsOf = (data: AheadData) => {
    const { facts } = aheadOf(data);
    return data.records.map((record) => project(facts, record.setup, readLog(record)));
  };
  before(async () => {
    database = await freshDatabase();
    home = await household('Upstairs');
    await inHousehold(home.id, async (tx) => {
      await saveContainer(tx, home.id, containerId, TRAY);
      await changeContainer(tx, {
        id: containerId,
        name: 'Tray',
        emptyG: null,
        drains: true,
        reservoirMl: null,
        owned: 4
      });
      for (const key of CROPS)
        await saveLot(
          tx,
          home.id,
          {
            id: randomUUID(),
            cropKey: key,
            name: key,
            weighedG: 60,
            price: null,
            packetG: null,
            boughtOn: null,
            parts: null,
            bestBefore: null,
            packetPct: null,
            test: null
          },
          Date.now()
        );
      await saveAppetite(tx, home.id, {
        eaters: [
          { id: randomUUID(), name: 'All of us', gByWeekday: [40, 40, 40, 40, 40, 60, 60], liked: ['radish'] }
        ],
        tastes: [],
        variety: { leastCrops: 3, mostInRow: 2 },
        daysOff: [3]
      });
    });
  });
  after(() => database.drop());

  it('keeps what is eaten, liked and off, and gives it back', async () => {
    const data = await read();
    expect(data.eaters[0]!.gByWeekday).to.deep.equal([40, 40, 40, 40, 40, 60, 60]);
    expect([data.eaters[0]!.liked, data.eaters[0]!.disliked]).to.deep.equal([['radish'], []]);
    expect(data.variety).to.deep.equal({ leastCrops: 3, mostInRow: 2 });
    expect(data.daysOff).to.deep.equal([3]);
    expect((await inHousehold(home.id, readAppetite))!.gD).to.be.closeTo(320 / 7, 1e-9);
  });

  it('keeps one portion for each of those who have said nothing, once, and asks back what nobody eats', async () => {
    const attic = await household('Garden shed');
    const id = randomUUID();
    const said = { id, portion: 'salad' } as const;
    const inAttic: InTransaction = (work) => inHousehold(attic.id, work);
    expect(await inAttic(readAppetite)).to.deep.equal({ gD: 20, people: 1, assumed: true });
    for (let time = 0; time < 2; time += 1)
      expect(await inAttic((tx) => savePortion(tx, attic.id, said))).to.equal(true);
    expect(await inAttic(readAppetite)).to.deep.equal({ gD: 60, people: 1, assumed: false });
    expect(await inAttic((tx) => savePortion(tx, attic.id, { id: randomUUID(), portion: 'pinch' }))).to.equal(
      false
    );
    expect(await inAttic(listEaters)).to.have.length(1);
    const much = [{ id, name: 'All of us', gByWeekday: Array.from({ length: 7 }, () => 700) }];
    expect(await inAttic((tx) => askedBackG(tx, much))).to.equal(700);
  });

  it('takes a proposal whole: what is stored begins on the days that were shown, and taken again adds nothing', async () => {
    const data = await read();
    const { input } = aheadOf(data);
    const built = buildProblem(input);
    const plan = greedy(built.problem);
    const { changes } = proposalOf(built, plan, input);
    expect(changes.length).to.be.above(4);
    const begin = beginBodies(data, changes, (day) => dayOf(input.horizon, day).toString());
    const added = await take({ begin });
    expect(added.length).to.equal(begin.length);
    expect(await take({ begin })).to.deep.equal([]);

    const after = await read();
    const stored = sowingsOf(after).map((one) => ({
      crop: one.setup.cropKey,
      begins: beginsAt(one.soak),
      opens: one.forecast.marks.windowOpen.p50
    }));
    for (const { row, begin: of } of changes) {
      const same = stored.find(
        ({ crop, begins }) => crop === of!.cropKey && Math.abs(begins - row.beginsAt) < MINUTES_10
      );
      expect(same, `${of!.cropKey} ${of!.day}`).not.to.equal(undefined);
      expect(Math.abs(same!.opens - row.open.p50)).to.be.below(3_600_000);
    }
    // On what stands now, nothing much is missing that was not missing before.
    const again = buildProblem(aheadOf(after).input);
    expect(greedy(again.problem).outcome.missingG).to.be.at.most(plan.outcome.missingG + 60);
    // Its seed is drawn from the lots that hold it, and no more than they hold.
    for (const { haveG, needG } of seedOf(after, aheadOf(after))) expect(needG).to.be.at.most(haveG + 0.5);
  });

  it('takes a proposal once, whoever takes it, and only on what it was worked out from', async () => {
    const data = await read();
    const { input } = aheadOf(data);
    const [sowing] = sowingsOf(data);
    const day = (ahead: number) => dayOf(input.horizon, ahead).toString();
    const ground = groundOf(data);
    const proposed = () => ({
      ground,
      move: [{ sowingId: sowing!.setup.id, eventId: randomUUID(), day: day(9) }],
      begin: beginBodies(
        data,
        proposalOf(buildProblem(input), greedy(buildProblem(input).problem), input).changes.slice(0, 1),
        day
      )
    });
    const refused = async (plan: object): Promise<string> => {
      try {
        await take(plan);
        return 'taken';
      } catch (error) {
        if (!(error instanceof Wrong)) throw error;
        expect([error.field, error.status]).to.deep.equal(['ground', 409]);
        return error.message;
      }
    };
    // Daily care moves nothing of a plan.
    await record(sowing!.setup.id, { type: 'noted', text: 'Smells of spring.' });
    const mine = proposed();
    const both = await Promise.all([refused(mine), refused(proposed())]);
    expect(both.filter((said) => said === 'taken')).to.have.length(1);
    expect(both.find((said) => said !== 'taken')).to.match(/^Not saved: the sowings.* changed after/);
    const taken = await read();
    expect(taken.records.length).to.equal(data.records.length + mine.begin.length);
    // An answer that was lost is asked for again, and nothing comes of it.
    if (both[0] === 'taken') expect(await refused(mine)).to.equal('taken');
    expect((await read()).records.length).to.equal(taken.records.length);

    const then = groundOf(taken);
    await inHousehold(home.id, (tx) =>
      saveAppetite(tx, home.id, { eaters: taken.eaters, tastes: [], variety: NO_WISH, daysOff: [3, 7] })
    );
    const moved = { move: [{ sowingId: sowing!.setup.id, eventId: randomUUID(), day: day(12) }] };
    expect(await refused({ ...moved, ground: then })).to.equal(
      'Not saved: what you eat changed after this was worked out. Ask for a new proposal.'
    );
    expect(await refused({ ...moved, ground: groundOf(await read()) })).to.equal('taken');
    await inHousehold(home.id, (tx) =>
      saveAppetite(tx, home.id, { eaters: taken.eaters, tastes: [], variety: NO_WISH, daysOff: [3] })
    );
  });

  it('moves, locks and leaves out what is planned, all or nothing', async () => {
    const before = await read();
    const [first, second] = sowingsOf(before);
    const { horizon } = aheadOf(before).input;
    await take({
      move: [{ sowingId: first!.setup.id, eventId: randomUUID(), day: dayOf(horizon, 20).toString() }],
      leaveOut: [{ sowingId: second!.setup.id, eventId: randomUUID() }],
      lock: [{ sowingId: first!.setup.id, locked: true }]
    });
    const data = await read();
    expect(data.locked).to.deep.equal([first!.setup.id]);
    expect(data.records.some(({ setup }) => setup.id === second!.setup.id)).to.equal(false);
    const moved = sowingsOf(data).find(({ setup }) => setup.id === first!.setup.id)!;
    expect(beginsAt(moved.soak)).to.be.within(horizon.workFrom[20]!, horizon.workFrom[20]! + 2 * 86_400_000);
    // What is locked is no start that could be left out.
    const { planned } = buildProblem(aheadOf(data).input);
    expect(planned.some((one) => one?.setup.id === first!.setup.id)).to.equal(false);

    const third = sowingsOf(data).find(({ setup }) => setup.id !== first!.setup.id)!.setup.id;
    try {
      await take({
        lock: [{ sowingId: third, locked: true }],
        leaveOut: [{ sowingId: randomUUID(), eventId: randomUUID() }]
      });
      expect.fail('it was taken');
    } catch (error) {
      expect(error).to.be.instanceOf(Wrong);
    }
    expect((await read()).locked).not.to.include(third);
  });

  it('lays a standing order as drafts until each is begun or left out', async () => {
    const id = randomUUID();
    const today = aheadOf(await read()).input.horizon.first.toString();
    await inHousehold(home.id, (tx) =>
      saveOrder(tx, home.id, {
        ...KALE,
        id,
        containerId,
        placeId: home.placeId,
        rule: { kind: 'every', days: 9 },
        fromDay: today
      })
    );
    const { drafts } = aheadOf(await read());
    expect(drafts.map(({ day }) => day)).to.include(today);
    expect(drafts.length).to.equal(7);
    await take({ orderDays: [{ orderId: id, day: today, sowingId: null }] });
    await take({ orderDays: [{ orderId: id, day: today, sowingId: null }] });
    const data = await read();
    expect(data.orders[0]!.done).to.deep.equal([today]);
    expect(aheadOf(data).drafts.map(({ day }) => day)).not.to.include(today);
    await inHousehold(home.id, (tx) => endOrder(tx, id));
    expect(await inHousehold(home.id, listOrders)).to.deep.equal([]);
  });

  it('lays a blend from the lots that were chosen, begins it as it was laid, and proposes it again', async () => {
    const yard = await household('Yard');
    const [kale, mustard, older] = [randomUUID(), randomUUID(), randomUUID()];
    const lot = (id: string, cropKey: string, bestBefore: string) => ({
      id,
      cropKey,
      parts: null,
      name: id.slice(0, 8),
      weighedG: 60,
      price: null,
      packetG: null,
      boughtOn: null,
      bestBefore,
      packetPct: null,
      test: null
    });
    const data = await inHousehold(yard.id, async (tx) => {
      await saveLot(tx, yard.id, lot(kale, 'kale', '2031-01-01'), Date.now());
      await saveLot(tx, yard.id, lot(older, 'kale', '2030-01-01'), Date.now());
      await saveLot(tx, yard.id, lot(mustard, 'mustard', '2031-01-01'), Date.now());
      const kept = await saveContainer(tx, yard.id, randomUUID(), TRAY);
      const fromDay = aheadOf(await aheadData(tx)).input.horizon.first.toString();
      await saveOrder(tx, yard.id, {
        ...KALE,
        parts: [
          { cropKey: 'kale', lotId: kale, share: 2 },
          { cropKey: 'mustard', lotId: null, share: 1 }
        ],
        shareOf: 'count',
        id: randomUUID(),
        containerId: kept,
        placeId: yard.placeId,
        rule: { kind: 'every', days: 9 },
        fromDay
      });
      return aheadData(tx);
    });
    const [draft] = aheadOf(data).drafts;
    const { setup } = draft!.planned!;
    expect(setup.mix!.map(({ lotId }) => lotId)).to.deep.equal([kale, mustard]);
    const body = orderBody(data, data.orders[0]!, partSeeds(setup), draft!.day);
    const checked = check(planSchema, { begin: [body] });
    if (!checked.ok) throw new Error(JSON.stringify(checked.errors));
    const by = sessionOf(yard.id);
    await inHousehold(yard.id, (tx) => takePlan(tx, by, checked.value as TakenPlan));
    const after = await inHousehold(yard.id, aheadData);
    const [stored] = sowingsOf(after);
    expect(stored!.setup.mix).to.deep.equal(setup.mix);
    // Planned or sown, it is one of what may be proposed.
    const proposable = (of: AheadData) => growablesOf(of).find(({ crop }) => crop.key === 'kale+mustard');
    expect(proposable(data)).to.equal(undefined);
    expect(proposable(after)!.density).to.equal(stored!.setup.seedsPerCm2);
    await inHousehold(yard.id, (tx) =>
      recordEvents(tx, by, [
        { sowingId: stored!.setup.id, id: randomUUID(), at: Date.now(), body: { type: 'sown', waterG: 120 } }
      ])
    );
    const again = proposable(await inHousehold(yard.id, aheadData))!;
    expect(again.parts.map(({ lot: one }) => one?.id)).to.deep.equal([kale, mustard]);
    expect(again.parts[0]!.seedG).to.be.closeTo(120 - setup.mix![0]!.seedG, 1e-6);
  });

  it('keeps one going that is cut from all along: begun as it was shown', async () => {
    const loft = await household('Loft');
    const id = randomUUID();
    const data = await inHousehold(loft.id, async (tx) => {
      const kept = await saveContainer(tx, loft.id, randomUUID(), TRAY);
      const fromDay = (await aheadOf(await aheadData(tx))).input.horizon.first.toString();
      const order = { ...KALE, id, containerId: kept, placeId: loft.placeId, fromDay };
      await saveOrder(tx, loft.id, { ...order, rule: { kind: 'keep' } });
      return aheadData(tx);
    });
    const [draft] = aheadOf(data).drafts;
    const { setup, projected } = draft!.planned!;
    expect(setup.method.taking).to.equal('strip');
    const body = orderBody(data, data.orders[0]!, partSeeds(setup), draft!.day);
    const checked = check(planSchema, { begin: [body] });
    if (!checked.ok) throw new Error(JSON.stringify(checked.errors));
    const by = sessionOf(loft.id);
    await inHousehold(loft.id, (tx) => takePlan(tx, by, checked.value as TakenPlan));
    const [stored] = sowingsOf(await inHousehold(loft.id, aheadData));
    expect(stored!.setup.method.taking).to.equal('strip');
    const close = (one: typeof projected) => one.forecast.marks.windowClose.p50;
    expect(close(stored!)).to.be.closeTo(close(projected), MINUTES_10);
  });

  it('reminds of a standing order where nothing grows yet, and has it in the calendar', async () => {
    const attic = await household('Attic');
    expect(await inHousehold(attic.id, readJudging)).to.equal(null);
    const id = randomUUID();
    const now = await inHousehold(attic.id, async (tx) => {
      const found = await findAccount(tx);
      const [at, { zone }] = [householdNow(found), found];
      const kept = await saveContainer(tx, attic.id, randomUUID(), TRAY);
      await saveOrder(tx, attic.id, {
        ...KALE,
        id,
        containerId: kept,
        placeId: attic.placeId,
        rule: { kind: 'every', days: 4 },
        fromDay: zoneOf(zone).date(at).toString()
      });
      return at;
    });
    const inAttic: InTransaction = (work) => inHousehold(attic.id, work);
    const calendar = await writeCalendar(inAttic, 'http://brote.test/');
    const { judging, facts, projected, reminding } = await inAttic((tx) => standingNow(tx, { orders: true }));
    expect(judging).not.to.equal(null);
    expect(projected).to.deep.equal([]);
    const { due } = judge(facts, projected, reminding, now + 12 * HOUR);
    expect(due.map(({ body }) => body.type)).to.deep.equal(['order']);
    expect(calendar.match(/SUMMARY:Standing order: sow kale/g)!.length).to.be.above(10);
    // Ended, it reminds of nothing.
    await inHousehold(attic.id, (tx) => endOrder(tx, id));
    expect(await inAttic(orderData)).to.equal(null);
  });

  it('writes a calendar of more entries than it writes at once', async () => {
    const hall = await household('END:VCALENDAR hall');
    const inHall: InTransaction = (work) => inHousehold(hall.id, work);
    await inHall(async (tx) => {
      const found = await findAccount(tx);
      const fromDay = zoneOf(found.zone).date(householdNow(found)).toString();
      const containerId = await saveContainer(tx, hall.id, randomUUID(), TRAY);
      const daily = {
        ...KALE,
        containerId,
        placeId: hall.placeId,
        rule: { kind: 'every', days: 1 },
        fromDay
      } as const;
      for (let order = 0; order < 4; order += 1) await saveOrder(tx, hall.id, { ...daily, id: randomUUID() });
    });
    const calendar = await writeCalendar(inHall, 'http://brote.test/');
    const read = new ICAL.Component(ICAL.parse(calendar) as never);
    const ids = read.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one).uid);
    const days = (await scheduleOf((await inHall(orderData))!)).map(
      ({ orderId, day }) => `${orderId} ${day}`
    );
    expect(new Set(ids).size).to.equal(new Set(days).size).and.above(150);
  });

  it('is kept from other households, and two who plan at once both keep what they took', async () => {
    const other = await household('Downstairs');
    expect(await inHousehold(other.id, listEaters)).to.deep.equal([]);
    expect((await inHousehold(other.id, aheadData)).orders).to.deep.equal([]);
    const data = await read();
    const { input } = aheadOf(data);
    const built = buildProblem(input);
    const { changes } = proposalOf(built, greedy(built.problem), input);
    const day = (n: number) => dayOf(input.horizon, n).toString();
    const [mine, theirs] = [
      beginBodies(data, changes.slice(0, 1), day),
      beginBodies(data, changes.slice(0, 1), day)
    ];
    const [one, two] = await Promise.all([take({ begin: mine }), take({ begin: theirs })]);
    expect([one.length, two.length]).to.deep.equal([mine.length, theirs.length]);
  });

  it('says of each field what is wrong with it', () => {
    const wrong = (schema: Parameters<typeof check>[0], value: unknown) => {
      const checked = check(schema, value);
      return checked.ok ? [] : Object.keys(checked.errors);
    };
    const eaters = (g: unknown) => ({
      eaters: [{ id: randomUUID(), name: 'Ada', gByWeekday: [g, 0, 0, 0, 0, 0, 0] }],
      tastes: [],
      daysOff: []
    });
    expect(wrong(appetiteSchema, eaters(0))).to.deep.equal([]);
    expect(wrong(appetiteSchema, eaters(-1))).to.have.length(1);
    expect(wrong(appetiteSchema, eaters(90_000))).to.have.length(1);
    expect(wrong(appetiteSchema, { ...eaters(1), daysOff: [8] })).to.have.length(1);
    const order = {
      id: randomUUID(),
      parts: [{ cropKey: 'radish' }],
      containerId: randomUUID(),
      count: 1,
      medium: 'coir',
      methodKey: 'press-and-dome',
      placeId: randomUUID(),
      fromDay: '2027-02-28'
    };
    expect(wrong(orderSchema, { ...order, rule: { kind: 'keep' } })).to.deep.equal([]);
    const seven = Array.from({ length: 7 }, () => ({ cropKey: 'radish', lotId: randomUUID() }));
    for (const [parts, field] of [
      [[], 'parts'],
      [seven, 'parts'],
      [[{ cropKey: 'radish', share: 'some' }, { cropKey: 'pea' }], 'parts.0.share']
    ] as const)
      expect(wrong(orderSchema, { ...order, parts, rule: { kind: 'keep' } })).to.deep.equal([field]);
    expect(wrong(orderSchema, { ...order, rule: { kind: 'every', days: 0 } })).to.deep.equal(['rule.days']);
    expect(wrong(orderSchema, { ...order, rule: { kind: 'weekdays', weekdays: [] } })).to.deep.equal([
      'rule.weekdays'
    ]);
    expect(wrong(orderSchema, { ...order, rule: { kind: 'keep' }, fromDay: '2027-02-29' })).to.deep.equal([
      'fromDay'
    ]);
    expect(
      wrong(planSchema, { move: [{ sowingId: randomUUID(), eventId: randomUUID(), day: 'soon' }] })
    ).to.have.length(1);
  });
});
