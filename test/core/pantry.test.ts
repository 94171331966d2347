import { expect } from 'chai';
import fc from 'fast-check';
import { cleaningOf, cleaningPlan, isToClean, openSteps } from '../../src/core/cleaning/cleaning.ts';
import { costOf } from '../../src/core/costs/cost.ts';
import type { Prices } from '../../src/core/costs/prices.ts';
import { seedForYear } from '../../src/core/costs/seedYear.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { touchesOf } from '../../src/core/pantry/amounts.ts';
import { airBeforePacking } from '../../src/core/pantry/air.ts';
import { wrongTaking } from '../../src/core/pantry/check.ts';
import { pantryOf, type PantryItem } from '../../src/core/pantry/item.ts';
import { keepingDays, packedDays } from '../../src/core/pantry/keeping.ts';
import { eatFirst, isPast, urgencyOf } from '../../src/core/pantry/order.ts';
import { giveWords } from '../../src/words/pantry.ts';
import { horizonFrom } from '../../src/core/ahead/horizon.ts';
import { pantrySupply } from '../../src/core/ahead/supply.ts';
import { surplusOf } from '../../src/core/ahead/surplus.ts';
import { judge } from '../../src/core/reminders/due.ts';
import type { EventBody, Handling, SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { standingOf } from '../../src/core/sowing/standing.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR, zoneOf } from '../../src/core/time/zone.ts';
import { event, home, radishTray, shelf, SOWN, sown } from '../support/household.ts';

const MADRID = home.rhythm.zone;
const DRY: Handling = { tool: 'scissors', washing: 'unwashed', packing: 'paper-box' };
const CUT_H = 160;
const CUT_AT = SOWN + CUT_H * HOUR;
const grown = [sown(), event(60, { type: 'uncovered' }), event(84, { type: 'lit' })];
const cutting = (
  netG: number,
  handling: Handling | null = DRY,
  hours = CUT_H,
  more: object = {}
): SowingEvent =>
  event(hours, {
    type: 'cut',
    grossG: netG + 20,
    tareG: 20,
    share: 1,
    last: true,
    ...(handling ? { handling } : {}),
    ...more
  } as EventBody);
const tray = (events: readonly SowingEvent[], setup: Partial<SowingSetup> = {}) =>
  project(home, radishTray(setup), [...grown, ...events]);
const itemsOf = (events: readonly SowingEvent[], setup: Partial<SowingSetup> = {}): PantryItem[] =>
  pantryOf(tray(events, setup), MADRID).items;

describe('keeping', () => {
  it('is the crop’s days, two less washed, half packed wet, never under one', () => {
    expect(keepingDays({ keepsMinD: 7, keepsMaxD: 12 }, 'unwashed')).to.deep.equal({ minD: 7, maxD: 12 });
    expect(keepingDays({ keepsMinD: 7, keepsMaxD: 12 }, 'washed')).to.deep.equal({ minD: 5, maxD: 10 });
    expect(keepingDays({ keepsMinD: 7, keepsMaxD: 12 }, 'wet')).to.deep.equal({ minD: 3, maxD: 6 });
    expect(keepingDays({ keepsMinD: 2, keepsMaxD: 3 }, 'washed')).to.deep.equal({ minD: 1, maxD: 1 });
    const radish = cropOf('radish');
    expect(packedDays(radish, 'frozen-juice', 'unwashed').maxD).to.equal(90);
    expect(packedDays(radish, 'dried', 'wet').maxD).to.equal(180);
    expect(packedDays(radish, 'juice', 'unwashed').maxD).to.equal(1);
    expect(packedDays(radish, 'open-bag', 'unwashed')).to.deep.equal({ minD: 1, maxD: 2 });
    expect(packedDays({ keepsMinD: 2, keepsMaxD: 3 }, 'open-bag', 'washed')).to.deep.equal({
      minD: 1,
      maxD: 1
    });
  });

  it('counts whole days of the household, over both changes of its clock and a leap day', () => {
    for (const [zone, cut] of [
      ['Europe/Madrid', '2026-10-24T21:30Z'],
      ['Europe/Madrid', '2027-03-27T22:30Z'],
      ['America/New_York', '2026-11-01T03:30Z'],
      ['Australia/Lord_Howe', '2027-04-03T13:00Z'],
      ['Asia/Kathmandu', '2028-02-28T18:00Z']
    ] as const) {
      const here = zoneOf(zone);
      const at = Date.parse(cut);
      const sowing = tray([cutting(100)]);
      const moved = { ...sowing, state: { ...sowing.state, cuts: [{ ...sowing.state.cuts[0]!, at }] } };
      const [item] = pantryOf(moved, here).items;
      expect(here.dayNumber(item!.bestBy) - here.dayNumber(at), zone).to.equal(cropOf('radish').keepsMinD);
      expect(here.dayNumber(item!.keepsTo) - here.dayNumber(at), zone).to.equal(cropOf('radish').keepsMaxD);
      expect(urgencyOf(item!, here, at), zone).to.equal('good');
      expect(urgencyOf(item!, here, item!.bestBy - DAY), zone).to.equal('soon');
      expect(urgencyOf(item!, here, item!.keepsTo), zone).to.equal('soon');
      expect(urgencyOf(item!, here, item!.keepsTo + DAY), zone).to.equal('past');
    }
  });
});

describe('the pantry', () => {
  const of = (id: string, body: object, hours = CUT_H + 1) =>
    event(hours, { from: id, ...body } as EventBody);

  it('keeps what was cut, but for what was eaten at once and what was cut before anybody asked', () => {
    expect(itemsOf([cutting(100)])).to.have.length(1);
    const plate = pantryOf(tray([cutting(100, { ...DRY, packing: 'plate' })]), MADRID);
    expect([plate.items.length, plate.fate.eatenG]).to.deep.equal([0, 100]);
    const untold = pantryOf(tray([cutting(100, null)]), MADRID);
    expect([untold.items.length, untold.fate.untoldG]).to.deep.equal([0, 100]);
  });

  it('loses nothing and makes nothing, whatever is taken, given, thrown, pressed, dried and taken back', () => {
    const step = fc.record({
      kind: fc.constantFrom('eaten', 'given', 'thrown', 'frozen', 'dried', 'juice', 'undone'),
      which: fc.nat(20),
      share: fc.double({ min: 0.01, max: 1.4, noNaN: true })
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 14 }), (steps) => {
        const cut = cutting(200);
        const events: SowingEvent[] = [cut];
        for (const [index, { kind, which, share }] of steps.entries()) {
          const items = pantryOf(tray(events), MADRID).items;
          const item = items[which % Math.max(1, items.length)];
          const hours = CUT_H + 1 + index;
          if (kind === 'undone') {
            const done = events[1 + (which % Math.max(1, events.length - 1))];
            if (done && done.body.type !== 'undone')
              events.push(event(hours, { type: 'undone', eventId: done.id }));
          } else if (item) {
            const amount = item.left * share;
            events.push(
              kind === 'eaten' || kind === 'given'
                ? of(item.id, { type: 'taken', amount, to: kind }, hours)
                : kind === 'thrown'
                  ? of(item.id, { type: 'thrown', amount, reason: 'slime' }, hours)
                  : of(
                      item.id,
                      { type: 'packed', amount, packing: kind, washing: 'unwashed', made: amount * 0.4 },
                      hours
                    )
            );
          }
        }
        const { fate, items } = pantryOf(tray(events), MADRID);
        // Every gram is somewhere: what is pressed or dried counts as what it was made of.
        expect(fate.eatenG + fate.givenG + fate.thrownG + fate.keptG).to.be.closeTo(200, 1e-6);
        for (const { left, made } of items) expect(left).to.be.within(0, made);
      }),
      { numRuns: 200 }
    );
  });

  it('lets nothing be taken that is not there, and no more made than went in', () => {
    const cut = cutting(100);
    const code = (body: object) =>
      wrongTaking(tray([cut]), { from: cut.id, amount: 40, ...body } as never, MADRID)?.code;
    expect(code({ type: 'taken', to: 'eaten' })).to.equal(undefined);
    expect(code({ type: 'taken', to: 'eaten', amount: 101 })).to.equal('item-holds-less');
    expect(code({ type: 'taken', to: 'eaten', from: 'gone' })).to.equal('item-gone');
    expect(code({ type: 'packed', packing: 'dried', made: 41 })).to.equal('made-more');
    expect(code({ type: 'packed', packing: 'juice', made: 41 })).to.equal(undefined);
    expect(code({ type: 'packed', packing: 'juice', made: 90 })).to.equal('made-more');
  });

  it('counts keeping from the cut for what stays fresh, and from its packing for what is frozen', () => {
    const cut = cutting(100);
    const [box] = itemsOf([cut]);
    const later = (packing: string) =>
      itemsOf([
        cut,
        of(
          cut.id,
          { type: 'packed', amount: 100, packing, washing: 'unwashed', made: 100, portion: 30 },
          CUT_H + 72
        )
      ])[0]!;
    expect(later('cloth-bag').keepsTo).to.equal(box!.keepsTo);
    const frozen = later('frozen');
    expect(MADRID.dayNumber(frozen.keepsTo) - MADRID.dayNumber(CUT_AT)).to.equal(93);
    expect(touchesOf(frozen).map(({ kind }) => kind)).to.deep.equal(['portion', 'half', 'all']);
    expect(touchesOf(box!)[0]).to.deep.equal({ kind: 'handful', amount: 20 });
  });

  it('offers nothing that is past its days, to eat or to give', () => {
    const items = itemsOf([cutting(400)]);
    const [item] = items;
    const eaters = [{ id: 'a', name: 'Ana', gByWeekday: [10, 10, 10, 10, 10, 10, 10] }];
    const lastDay = item!.keepsTo;
    const surplus = (now: number) => surplusOf(items, eaters, [], home.rhythm, now);
    const horizon = (now: number) => horizonFrom(home.rhythm, now, 7);
    for (const [now, isFood] of [
      [CUT_AT, true],
      [lastDay, true],
      [lastDay + DAY, false],
      [lastDay + 30 * DAY, false]
    ] as const) {
      expect(surplus(now).length > 0, `${(now - lastDay) / DAY}`).to.equal(isFood);
      expect(pantrySupply(item!, horizon(now), home.rhythm, now) !== null).to.equal(isFood);
      expect(isPast(item!, MADRID, now)).to.equal(!isFood);
    }
    const line = giveWords(surplus(lastDay)[0]!, lastDay, { zone: 'Europe/Madrid', units: 'metric' });
    expect(line).to.match(/eat by /);
    expect(line).to.not.match(/best by/);
  });

  it('is eaten first what goes first, and told of the morning before', () => {
    const washed = tray([cutting(100, { ...DRY, washing: 'washed' })], {
      id: '00000000-0000-4000-8000-0000000000ab'
    });
    const dry = tray([cutting(60)]);
    const items = eatFirst([dry, washed].flatMap((sowing) => pantryOf(sowing, MADRID).items));
    expect(items.map(({ washing }) => washing)).to.deep.equal(['washed', 'unwashed']);
    const at = items[0]!.bestBy;
    const told = (now: number, known: { key: string; opensAt: null }[] = []) =>
      judge(
        home,
        [],
        { told: known, lastTouchAt: now, lastRead: [], since: now - HOUR, pantry: [washed] },
        now
      );
    expect(told(at - 2 * DAY).due).to.deep.equal([]);
    const [first] = told(at - DAY).due;
    expect(first!.body).to.include({ type: 'keeps', crop: 'Radish', left: 100 });
    expect(told(at - DAY, [{ key: first!.key, opensAt: null }]).due).to.deep.equal([]);
    expect(told(items[0]!.keepsTo + 2 * DAY).due).to.deep.equal([]);
    expect(told(at - 2 * DAY).nextAt).to.be.within(at - 2 * DAY, at - DAY);
  });

  it('asks for an hour of air where leaves are wet, and not otherwise', () => {
    const sowing = tray([]);
    expect(airBeforePacking(sowing, 'unwashed', CUT_AT)).to.equal(null);
    expect(airBeforePacking(sowing, 'washed', CUT_AT)).to.equal('washed');
    const misted = tray([event(CUT_H - 2, { type: 'misted', waterG: 9 })]);
    expect(airBeforePacking(misted, 'unwashed', CUT_AT)).to.equal('misted');
    expect(airBeforePacking(misted, 'unwashed', CUT_AT + DAY)).to.equal(null);
  });
});

describe('an emptied container', () => {
  const plan = (events: SowingEvent[], setup: Partial<SowingSetup> = {}) =>
    cleaningOf(standingOf([tray(events, setup)])[0]!);
  const asked = (events: SowingEvent[], setup: Partial<SowingSetup> = {}) =>
    openSteps(plan(events, setup)!).map(({ step }) => step);

  it('goes through its own steps: mould is disinfected and not composted, a mesh is scraped, a reservoir emptied', () => {
    expect(plan([])).to.equal(null);
    expect(asked([cutting(100)])).to.deep.equal(['empty', 'wash', 'dry']);
    expect(plan([cutting(100)])).to.include({ compost: true, mouldy: false });
    const mould: SowingEvent[] = [event(120, { type: 'ended', reason: 'mould' })];
    expect(asked(mould)).to.deep.equal(['empty', 'wash', 'disinfect', 'dry']);
    expect(plan(mould)).to.include({ compost: false, mouldy: true });
    expect(asked([cutting(100)], { medium: 'mesh' })).to.deep.equal([
      'scrape',
      'reservoir',
      'wash',
      'disinfect',
      'dry'
    ]);
    const kept = { ...radishTray().container, reservoirMl: 500 };
    expect(asked([cutting(100)], { container: kept })).to.deep.equal(['empty', 'reservoir', 'wash', 'dry']);
    expect(cleaningPlan(tray([], { medium: 'mesh' })).compost).to.equal(false);
  });

  it('says a dose that can be measured, and refuses no label', () => {
    const { dose } = plan([event(120, { type: 'ended', reason: 'mould' })])!.steps.find(
      ({ step }) => step === 'disinfect'
    )!;
    // 1000 ppm in 2 L of a product of 5 %: by the law of section 7, not by the code that made it.
    expect(dose!.solution!.productMl).to.be.closeTo((2 * 1000 * 1000) / (5 * 10_000), 0.01);
    expect(dose!.minutes).to.equal(10);
  });

  it('is in use until it is dry, once, and one stop of the round with all the others', () => {
    const dried = [
      cutting(100),
      event(CUT_H + 3, { type: 'cleaned', step: 'dry' }, { taskKey: 'clean:dry' })
    ];
    expect(isToClean([tray([cutting(100)])])).to.equal(true);
    expect(isToClean([tray(dried)])).to.equal(false);
    // Never sown, it was never dirty.
    expect(
      isToClean([project(home, radishTray(), [event(5, { type: 'ended', reason: 'not-begun' })])])
    ).to.equal(false);
    const now = CUT_AT + 2 * HOUR;
    const other = tray([cutting(80)], { id: '00000000-0000-4000-8000-0000000000ac' });
    const today = walk([tray([cutting(100)]), other], roundAt(home.rhythm, now), now);
    expect([today.stops.length, today.washUp.length, today.open]).to.deep.equal([0, 2, 1]);
  });

  it('of two halves waits for both, and is cleaned once', () => {
    const half = (id: string, events: SowingEvent[]) =>
      tray(events, {
        id,
        half: { trayId: '00000000-0000-4000-8000-0000000000aa', besideKey: 'kale' },
        areaShare: 0.5
      });
    const [one, two] = ['00000000-0000-4000-8000-0000000000aa', '00000000-0000-4000-8000-0000000000bb'];
    expect(cleaningOf(standingOf([half(one, [cutting(50)]), half(two, [])])[0]!)).to.equal(null);
    const both = standingOf([half(one, [cutting(50)]), half(two, [cutting(50)])]);
    expect(both).to.have.length(1);
    expect(cleaningOf(both[0]!)!.standing.sowings).to.have.length(2);
    const cleaned = standingOf([
      half(one, [cutting(50), event(CUT_H + 3, { type: 'cleaned', step: 'dry' })]),
      half(two, [cutting(50)])
    ]);
    expect(cleaningOf(cleaned[0]!)).to.equal(null);
  });
});

describe('what a tray cost', () => {
  const prices = (more: Partial<Prices> = {}): Prices => ({
    currency: 'EUR',
    kWh: 0.3,
    feedL: 10,
    media: { coir: { price: 2, amount: 4000, uses: 1 } },
    shop: { radish: 4 },
    lots: { tin: 0.05 },
    ...more
  });
  const lamp = {
    ...shelf,
    light: { kind: 'lamp', ppfd: 200, hours: 12, watts: 40, distanceCm: 30 } as const,
    widthCm: 90,
    depthCm: 50
  };
  const under = { ...home, places: new Map([[lamp.id, lamp]]) };
  const cost = (events: SowingEvent[], money: Prices, setup: Partial<SowingSetup> = {}) =>
    costOf(
      project(under, radishTray({ lotId: 'tin', ...setup }), [...grown, ...events]),
      money,
      CUT_AT + DAY
    );

  it('is what its seed, its medium, its share of the lamp and its feed cost, by hand', () => {
    const fed = event(100, { type: 'fed', waterG: 100, feedMl: 2 });
    const { lines, total, per100G, shop, unknown } = cost([fed, cutting(100)], prices());
    const of = Object.fromEntries(lines.map((line) => [line.kind, line.cost]));
    expect(of.seed).to.be.closeTo(11.8 * 0.05, 1e-9);
    expect(of.medium).to.be.closeTo((25 * 18 * 2.5 * 2) / 4000, 1e-9);
    // From first light at 84 h to the cut at 160 h, twelve hours a day, of a tenth of the board.
    const kWh = ((((160 - 84) / 24) * 12 * 40) / 1000) * ((25 * 18) / (90 * 50));
    expect(of.lamp).to.be.closeTo(kWh * 0.3, 1e-9);
    expect(of.feed).to.be.closeTo(0.02, 1e-9);
    expect(total).to.be.closeTo(
      lines.reduce((sum, line) => sum + line.cost, 0),
      1e-9
    );
    expect(per100G).to.be.closeTo(total, 1e-9);
    expect([shop, unknown]).to.deep.equal([4, []]);
  });

  it('spreads what is used again over its uses, and says what nobody has told the price of', () => {
    const mesh = cost([cutting(100)], prices({ media: { mesh: { price: 9, amount: 450, uses: 30 } } }), {
      medium: 'mesh'
    });
    expect(mesh.lines.find(({ kind }) => kind === 'medium')!.cost).to.be.closeTo(0.3, 1e-9);
    const none = cost([cutting(100)], prices({ kWh: null, media: {}, lots: {}, shop: {} }));
    expect(none.lines).to.deep.equal([]);
    expect(none.unknown).to.have.members(['seed', 'medium', 'lamp']);
    expect([none.shop, cost([], prices()).per100G]).to.deep.equal([null, null]);
  });

  it('tells seed for a year at the pace of late, once there is a pace', () => {
    const now = SOWN + 73 * DAY;
    const taken = (days: number, seedG: number) => ({
      cropKey: 'radish',
      lotId: null,
      seedG,
      sownAt: SOWN + days * DAY
    });
    expect(seedForYear([taken(60, 10)], new Map(), now)).to.equal(null);
    const year = seedForYear(
      [taken(0, 10), taken(30, 10), taken(-400, 900)],
      new Map([['radish', 0.1]]),
      now
    )!;
    expect(year.crops[0]!.yearG).to.be.closeTo(20 * 5, 1e-6);
    expect(year.crops[0]!.cost).to.be.closeTo(10, 1e-6);
  });
});
