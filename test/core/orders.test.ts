import { expect } from 'chai';
import fc from 'fast-check';
import type { CutAim } from '../../src/core/ahead/cutting.ts';
import { spreadOf, glutOf } from '../../src/core/ahead/glut.ts';
import { appetiteOn, eatenByWeekday, sharedOut, usualAppetiteG } from '../../src/core/ahead/appetite.ts';
import { horizonFrom, dayIndex } from '../../src/core/ahead/horizon.ts';
import { lacksOf, seedNeeds } from '../../src/core/ahead/seedList.ts';
import {
  draftsOf,
  type OrderDraft,
  type OrderContext,
  type Rule,
  type StandingOrder
} from '../../src/core/ahead/standingOrder.ts';
import { onOrderOf, orderEntries, orderReminders } from '../../src/core/ahead/orderReminders.ts';
import { judge } from '../../src/core/reminders/due.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import type { LotStock } from '../../src/core/supplies/seed/lot.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { blend } from '../../src/core/crops/blend.ts';
import { aheadInput, container, eater, growable, NOW, RHYTHM, shelf } from '../support/ahead.ts';

const order = (rule: Rule, more: Partial<StandingOrder> = {}): StandingOrder => ({
  id: 'order',
  growable: growable('radish'),
  container: container('Tray', [25, 18], 4),
  count: 1,
  place: shelf,
  lightPlace: null,
  ownSeedG: null,
  rule,
  fromDay: '2026-11-26',
  done: new Set(),
  ...more
});
const around = (more: Partial<OrderContext> = {}): OrderContext => {
  const { context, horizon } = aheadInput();
  return { context, horizon, away: [], sowings: [], owned: () => 4, ...more };
};
const begins = (drafts: ReturnType<typeof draftsOf>) =>
  drafts.map(({ beginsAt }) => (beginsAt === null ? null : dayIndex(around().horizon, RHYTHM, beginsAt)));

describe('standing orders', () => {
  it('lay one every so many days, and not again what was begun or left out', () => {
    expect(begins(draftsOf([order({ kind: 'every', days: 10 })], around()))).to.deep.equal([
      0, 10, 20, 30, 40, 50
    ]);
    const done = new Set(['2026-11-26', '2026-12-16']);
    expect(begins(draftsOf([order({ kind: 'every', days: 10 }, { done })], around()))).to.deep.equal([
      10, 30, 40, 50
    ]);
    // What was missed is made up for once.
    expect(
      begins(draftsOf([order({ kind: 'every', days: 10 }, { fromDay: '2026-11-12' })], around())).slice(0, 2)
    ).to.deep.equal([0, 6]);
  });

  it('are ready for their weekdays, eight times in ten, and begin before them', () => {
    const drafts = draftsOf([order({ kind: 'weekdays', weekdays: [1, 4] })], around());
    expect(drafts.length).to.be.above(10);
    for (const { day, planned } of drafts) {
      const date = RHYTHM.zone.date(Date.parse(`${day}T12:00Z`));
      expect([1, 4]).to.include(date.dayOfWeek);
      const supper = RHYTHM.zone.at(date, RHYTHM.roundsMin.at(-1)!);
      expect(planned!.plan.forecast.chance('windowOpen', supper)).to.be.at.least(0.8);
    }
  });

  it('are at their best, or old enough, on the days that they are cut, and no older than they need be', () => {
    const at = (aim?: CutAim) =>
      draftsOf([order({ kind: 'weekdays', weekdays: [6], ...(aim ? { aim } : {}) })], around());
    const [ready, best, old] = [at(), at({ kind: 'best' }), at({ kind: 'age', days: 14 })];
    const ageD = ({ cutAt, planned }: OrderDraft): number =>
      RHYTHM.zone.daysBetween(planned!.setup.sowAt, cutAt!);
    for (const drafts of [ready, best, old]) {
      expect(drafts.length).to.be.above(3);
      for (const { cutAt, day } of drafts) expect(RHYTHM.zone.date(cutAt!).toString()).to.equal(day);
    }
    for (const { cutAt, planned } of best) {
      const late = (cutAt! - planned!.plan.forecast.marks.windowBest.p50) / DAY;
      expect(late).to.be.within(0, 2);
    }
    for (const draft of old) expect(ageD(draft)).to.equal(14);
    // What is old enough when it is ready is begun as late as without the wish.
    expect(at({ kind: 'age', days: 3 }).map(({ beginsAt }) => beginsAt)).to.deep.equal(
      ready.map(({ beginsAt }) => beginsAt)
    );
    // What would have to have been begun before today is not laid.
    expect(old[0]!.day > ready[0]!.day).to.equal(true);
  });

  it('keep one going: each opens about when the one before is over', () => {
    const drafts = draftsOf([order({ kind: 'keep' })], around());
    expect(drafts.length).to.be.above(3);
    const marks = drafts.map(({ planned }) => planned!.plan.forecast.marks);
    for (let n = 1; n < marks.length; n += 1)
      expect(Math.abs(marks[n]!.windowOpen.p50 - marks[n - 1]!.windowClose.p50) / DAY).to.be.below(1.5);
  });

  it('lay a blend as one sowing of all its seed, and hold only the same blend for the one before', () => {
    const parts = (['radish', 'mustard'] as const).map((key, nth) => ({
      ...growable(key).parts[0]!,
      share: nth + 1
    }));
    const blended: Partial<StandingOrder> = {
      growable: {
        ...growable('radish'),
        crop: blend(parts.map(({ crop }) => ({ crop, areaShare: 0.5 }))),
        parts
      }
    };
    const drafts = draftsOf([order({ kind: 'every', days: 10 }, blended)], around());
    expect(drafts.length).to.equal(6);
    for (const { planned } of drafts) {
      const { mix, seedG } = planned!.setup;
      expect(mix!.map(({ cropKey }) => cropKey)).to.deep.equal(['radish', 'mustard']);
      expect(mix![1]!.seedG / mix![0]!.seedG).to.be.closeTo(2, 1e-9);
      expect(mix!.reduce((sum, part) => sum + part.seedG, 0)).to.be.closeTo(seedG, 1e-9);
    }
    // A radish under way is no mixed tray: the first is begun now, and not as the radish is over.
    const keep = { kind: 'keep' } as const;
    const [radish] = draftsOf([order(keep)], around());
    const sowings = [radish!.planned!.projected];
    expect(begins(draftsOf([order(keep, blended)], around({ sowings })))[0]).to.equal(0);
    expect(begins(draftsOf([order(keep)], around({ sowings })))[0]).to.be.above(3);
    const mixed = [drafts[0]!.planned!.projected];
    expect(begins(draftsOf([order(keep, blended)], around({ sowings: mixed })))[0]).to.be.above(3);
  });

  it('skip days away and wait for a free container, and say so', () => {
    const away = [{ fromDay: '2026-12-05', untilDay: '2026-12-08' }];
    const later = draftsOf([order({ kind: 'every', days: 10 })], around({ away }));
    expect(begins(later)[1]).to.equal(13);
    expect(later[1]!.moved).to.equal('away');
    const waiting = draftsOf([order({ kind: 'every', days: 3 })], around({ owned: () => 1 }));
    expect(waiting.slice(1).some(({ moved }) => moved === 'container')).to.equal(true);
    // Never two in the one container.
    const times = waiting.flatMap(({ planned }) =>
      planned ? [[planned.setup.sowAt, planned.plan.forecast.marks.windowBest.p50] as const] : []
    );
    times.sort((a, b) => a[0] - b[0]);
    for (let n = 1; n < times.length; n += 1) expect(times[n]![0]).to.be.above(times[n - 1]![1]);
    const none = draftsOf([order({ kind: 'every', days: 10 })], around({ owned: () => 0 }));
    expect(none.every(({ planned, moved }) => planned === null && moved === 'container')).to.equal(true);
  });

  it('lay a crop of four weeks before the wish, and the same day over a clock change', () => {
    const slow = order({ kind: 'weekdays', weekdays: [7] }, { growable: growable('basil') });
    for (const { planned, day } of draftsOf([slow], around()))
      expect(Date.parse(`${day}T20:30Z`) - planned!.setup.sowAt).to.be.above(14 * DAY);
    const spring = Date.parse('2027-03-20T09:00Z');
    const { context } = aheadInput();
    const over = around({
      context: { ...context, now: spring },
      horizon: horizonFrom(RHYTHM, spring)
    });
    const drafts = draftsOf([order({ kind: 'every', days: 4 }, { fromDay: '2027-03-20' })], over);
    expect(drafts.slice(0, 4).map(({ day }) => day)).to.deep.equal([
      '2027-03-20',
      '2027-03-24',
      '2027-03-28',
      '2027-04-01'
    ]);
    for (const { beginsAt, day } of drafts)
      if (beginsAt !== null) expect(RHYTHM.zone.date(beginsAt).toString()).to.equal(day);
  });
});

describe('what standing orders remind of', () => {
  it('is each day of a rule once, at a round no later than its beginning, and nothing weeks ahead', () => {
    const drafts = draftsOf([order({ kind: 'every', days: 1 })], around({ owned: () => 60 }));
    const told = orderReminders(onOrderOf(drafts), RHYTHM, NOW);
    expect(told.length).to.be.within(1, 3);
    expect(new Set(told.map(({ key }) => key)).size).to.equal(told.length);
    for (const { body, dueAt, until } of told) {
      const said = body(dueAt)!;
      expect(said.type).to.equal('order');
      if (said.type === 'order') expect(dueAt).to.be.at.most(said.beginsAt);
      expect(until).to.be.above(dueAt);
    }
  });

  it('reaches a household in which nothing grows yet, and is told once', () => {
    const facts = { rhythm: RHYTHM, places: new Map() } as never;
    const drafts = draftsOf([order({ kind: 'every', days: 10 })], around());
    const onOrder = orderReminders(onOrderOf(drafts), RHYTHM, NOW);
    const by = { told: [], lastTouchAt: NOW, lastRead: [], since: NOW - DAY, onOrder };
    const { due } = judge(facts, [], by, NOW + 3 * HOUR);
    expect(due.map(({ key }) => key)).to.deep.equal(['order:order:2026-11-26']);
    const told = due.map(({ key }) => ({ key, opensAt: null }));
    expect(judge(facts, [], { ...by, told }, NOW + 4 * HOUR).due).to.deep.equal([]);
    // With no tray and no order there is nothing to come back for.
    expect(judge(facts, [], { ...by, onOrder: null }, NOW).nextAt).to.equal(Infinity);
    expect(judge(facts, [], { ...by, onOrder: [] }, NOW).nextAt).to.be.below(Infinity);
  });

  it('stands in the calendar on each of its days, by a name that stays', () => {
    const drafts = draftsOf([order({ kind: 'every', days: 10 })], around());
    const entries = orderEntries(onOrderOf(drafts));
    expect(entries.map(({ uid }) => uid).slice(0, 2)).to.deep.equal([
      'order-order-2026-11-26',
      'order-order-2026-12-06'
    ]);
    expect(
      orderEntries(onOrderOf(draftsOf([order({ kind: 'every', days: 10 })], around({ owned: () => 0 }))))
    ).to.deep.equal([]);
  });
});

describe('appetite', () => {
  it('goes by weekday and person, and is nothing while everybody is away', () => {
    const horizon = horizonFrom(RHYTHM, NOW, 10);
    const weekend = { id: 'b', name: 'Ivo', gByWeekday: [0, 0, 0, 0, 0, 30, 30] };
    const away = [{ fromDay: '2026-11-30', untilDay: '2026-12-01' }];
    // 26 November 2026 is a Thursday.
    expect(appetiteOn([eater(40), weekend], horizon, away)).to.deep.equal([
      40, 40, 70, 70, 0, 0, 40, 40, 40, 70
    ]);
    expect(usualAppetiteG([eater(40), weekend])).to.be.closeTo(340 / 7, 1e-9);
  });

  it('is learned from what was taken of late, and not from little', () => {
    const takings = Array.from({ length: 20 }, (_, n) => ({ at: NOW - n * DAY, g: 30 }));
    const { zone } = RHYTHM;
    for (const g of eatenByWeekday(takings, zone, NOW)!) expect(g).to.be.within(26, 35);
    expect(eatenByWeekday(takings.slice(0, 3), zone, NOW)).to.equal(null);
    const old = takings.map(({ g }) => ({ at: NOW - 200 * DAY, g }));
    expect(eatenByWeekday(old, zone, NOW)).to.equal(null);
  });

  it('is learned by weekday, none of it lost, and shared as each of them said', () => {
    // Four weeks of 20 g, and of 80 g on Saturdays; 26 November 2026 is a Thursday.
    const takings = Array.from({ length: 28 }, (_, n) => ({ at: NOW - n * DAY, g: n % 7 === 5 ? 80 : 20 }));
    const learned = eatenByWeekday(takings, RHYTHM.zone, NOW)!;
    expect(learned.indexOf(Math.max(...learned))).to.equal(5);
    expect(learned[5]).to.be.within(55, 80);
    expect(learned.reduce((sum, g) => sum + g, 0)).to.be.closeTo(200, 10);
    const ivo = { id: 'b', name: 'Ivo', gByWeekday: [0, 0, 0, 0, 0, 20, 20] };
    const [one, other] = sharedOut([eater(40), ivo], learned);
    learned.forEach((g, day) =>
      expect(one!.gByWeekday[day]! + other!.gByWeekday[day]!).to.be.closeTo(g, 1e-9)
    );
    expect(other!.gByWeekday[0]).to.equal(0);
    expect(other!.gByWeekday[5]! / one!.gByWeekday[5]!).to.be.closeTo(0.5, 1e-9);
    expect(sharedOut([{ ...ivo, gByWeekday: [0, 0, 0, 0, 0, 0, 0] }], learned)[0]!.gByWeekday).to.deep.equal(
      learned
    );
  });
});

describe('a first order of many trays', () => {
  const opening = (g: number) => [{ g, p10: NOW + 7 * DAY, p50: NOW + 8 * DAY, p90: NOW + 9.5 * DAY }];

  it('is begun in turn, so that no week is too full, and none is lost', () => {
    const portions = spreadOf(opening(200), 6, [], 90, NOW)!;
    expect(portions.reduce((sum, { count }) => sum + count, 0)).to.equal(6);
    expect(portions.length).to.be.above(1);
    expect(portions[0]!.days).to.equal(0);
    const placed = portions.flatMap(({ days, count }) =>
      Array.from({ length: count }, () => ({
        g: 200,
        p10: NOW + (7 + days) * DAY,
        p50: NOW + (8 + days) * DAY,
        p90: NOW + (9.5 + days) * DAY
      }))
    );
    expect(glutOf(placed, [], 90, NOW)).to.equal(null);
  });

  it('is begun at once where that is eaten, and never where one alone is too much', () => {
    expect(spreadOf(opening(20), 3, [], 200, NOW)).to.deep.equal([{ days: 0, count: 3 }]);
    expect(spreadOf(opening(9000), 2, [], 10, NOW)).to.equal(null);
  });

  it('spreads no less the less is eaten', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 300 }), fc.integer({ min: 1, max: 8 }), (eaten, count) => {
        const [less, more] = [
          spreadOf(opening(200), count, [], eaten, NOW),
          spreadOf(opening(200), count, [], eaten + 40, NOW)
        ];
        if (less && more) expect(more.at(-1)!.days).to.be.at.most(less.at(-1)!.days);
      })
    );
  });
});

describe('seed', () => {
  const lot = (id: string, weighedG: number, more: Partial<LotStock> = {}): LotStock => ({
    id,
    cropKey: 'pea',
    parts: null,
    name: id,
    weighedG,
    price: null,
    packetG: null,
    boughtOn: null,
    bestBefore: null,
    packetPct: null,
    test: null,
    takenG: 0,
    ...more
  });

  it('is bought a week before the sowing it runs out with', () => {
    const crop = cropOf('pea');
    const draws = [10, 20, 30].map((days) => ({ crop, at: NOW + days * DAY, g: 90 }));
    const [need] = seedNeeds(
      draws,
      () => [lot('old', 100, { bestBefore: '2026-01-01' }), lot('new', 100)],
      NOW,
      '2026-11-26'
    );
    expect(need).to.include({ needG: 270, haveG: 200, buyG: 70, buyBy: NOW + 23 * DAY });
    expect(need!.first!.id).to.equal('old');
    expect(need!.stale.map(({ id }) => id)).to.deep.equal(['old']);
    const [enough] = seedNeeds(draws, () => [lot('big', 500)], NOW, '2026-11-26');
    expect(enough).to.include({ buyG: 0, buyBy: null });
    // What should have been bought already is to be bought now, and never on a day that is past.
    const [late] = seedNeeds([{ crop, at: NOW + 2 * DAY, g: 90 }], () => [], NOW, '2026-11-26');
    expect(late).to.include({ buyG: 90, buyBy: NOW });
    expect([...lacksOf(draws, 200).values()]).to.deep.equal([70]);
  });
});
