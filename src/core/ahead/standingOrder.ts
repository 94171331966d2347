import { Temporal } from 'temporal-polyfill';
import type { Place } from '../places/place.ts';
import type { PlanContext, PlannedSowing } from '../sowing/planSowing.ts';
import type { Projected } from '../sowing/project.ts';
import { beginsAt } from '../sowing/soak.ts';
import { standingOf } from '../sowing/standing.ts';
import type { Container } from '../supplies/containers/container.ts';
import { finished } from '../time/inSteps.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Period } from '../away/period.ts';
import { plannedToCut, READY, type CutAim } from './cutting.ts';
import { plannedFor, type Growable } from './growable.ts';
import { dayIndex, dayOf, isAwayOn, type Horizon } from './horizon.ts';
import { daysTaken, standOf, type Stand } from './room.ts';

/** When an order lays its next sowing. */
export type Rule =
  /** Begun every so many days, from its first day on. */
  | { kind: 'every'; days: number }
  /** Cut on these weekdays, 1 for Monday to 7; ready by then where nothing else is wanted. */
  | { kind: 'weekdays'; weekdays: readonly number[]; aim?: CutAim }
  /** Always one going: the next opens as the last one is over. */
  | { kind: 'keep' };

/** A crop or a blend in a container, again and again. */
export interface StandingOrder {
  id: string;
  growable: Growable;
  container: Container;
  count: number;
  place: Place;
  /** Where it is carried as it comes to light, of what sprouts in the dark. */
  lightPlace: Place | null;
  ownSeedG: number | null;
  rule: Rule;
  /** `YYYY-MM-DD`, from which on it holds. */
  fromDay: string;
  /** Days that were begun already or left out, `YYYY-MM-DD`. */
  done: ReadonlySet<string>;
}

/** Why a draft stands on another day than its rule says, or on none. */
export type WhyMoved = 'away' | 'container' | 'too-near';

/** A sowing that an order lays into the future: real once it is begun. */
export interface OrderDraft {
  orderId: string;
  /** The day that its rule says, `YYYY-MM-DD`: what it is known by. */
  day: string;
  /** When it is begun; null where that cannot be. */
  beginsAt: Millis | null;
  planned: PlannedSowing | null;
  /** When it is cut: on the day of its rule, or else at its best; null where it is not begun. */
  cutAt: Millis | null;
  moved: WhyMoved | null;
}

/** What orders are laid against. */
export interface OrderContext {
  context: PlanContext;
  horizon: Horizon;
  away: readonly Period[];
  /** Under way and planned. */
  sowings: readonly Projected[];
  /** How many of each size there are; null where nobody has counted. */
  owned(container: Container): number | null;
}

/** An order looks no further for a day that goes. */
const MOST_WAIT_D = 21;
const DAYS_OF_WEEK = 7;

/**
 * The sowings that standing orders lay into the days ahead, first the order that is older: each waits for a container that is
 * free and for somebody at home, and says so.
 */
export function draftsOf(orders: readonly StandingOrder[], around: OrderContext): OrderDraft[] {
  return finished(layDrafts(orders, around));
}

/** The same, one order per step, so that a caller can do other work between steps. */
export function* layDrafts(
  orders: readonly StandingOrder[],
  around: OrderContext
): Generator<void, OrderDraft[], void> {
  const laid = { ...around, days: daysLaid(orders, around.horizon.days) };
  const taken = new Taken(around);
  const drafts: OrderDraft[] = [];
  for (const order of orders) {
    drafts.push(...layOut(order, laid, taken));
    yield;
  }
  return drafts.sort((a, b) => standsAt(a) - standsAt(b));
}

/** More than so many a kitchen never has in the weeks ahead; past it they are laid for fewer days. */
const MOST_DRAFTS = 200;

/** For how many days orders are laid: all of them, but where so many come so often that nobody could follow. */
function daysLaid(orders: readonly StandingOrder[], days: number): number {
  const perDay = orders.reduce((sum, { rule }) => {
    if (rule.kind === 'every') return sum + 1 / Math.max(1, rule.days);
    return sum + (rule.kind === 'weekdays' ? rule.weekdays.length / DAYS_OF_WEEK : 1 / DAYS_OF_WEEK);
  }, 0);
  return Math.min(days, Math.max(1, Math.floor(MOST_DRAFTS / perDay)));
}

/** When a draft is begun, or was to be. */
const standsAt = ({ beginsAt, day }: OrderDraft): Millis => beginsAt ?? Date.parse(day);

/** What orders are laid against, and for how many days. */
type Laying = OrderContext & { days: number };

function layOut(order: StandingOrder, around: Laying, taken: Taken): OrderDraft[] {
  const { rule } = order;
  if (rule.kind === 'every') return everyDays(order, rule.days, around, taken);
  if (rule.kind === 'weekdays') return forWeekdays(order, rule, around, taken);
  return keptGoing(order, around, taken);
}

function everyDays(order: StandingOrder, days: number, around: Laying, taken: Taken): OrderDraft[] {
  const { horizon } = around;
  const from = horizon.first.until(Temporal.PlainDate.from(order.fromDay), { largestUnit: 'days' }).days;
  const step = Math.max(1, Math.round(days));
  const drafts: OrderDraft[] = [];
  // What was missed before today is made up for today.
  const first = from >= 0 ? from : from + Math.floor(-from / step) * step;
  for (let due = first; due < around.days; due += step) {
    const day = dayOf(horizon, due).toString();
    if (order.done.has(day)) continue;
    drafts.push(laid(order, day, Math.max(0, due), around, taken));
  }
  return drafts;
}

/** Laid on a day, or on the first after it that goes. */
function laid(
  order: StandingOrder,
  day: string,
  due: number,
  around: OrderContext,
  taken: Taken
): OrderDraft {
  const { horizon, context } = around;
  let moved: WhyMoved | null = null;
  for (let at = due; at < Math.min(horizon.days, due + MOST_WAIT_D); at += 1) {
    if (isAway(at, around)) {
      moved ??= 'away';
      continue;
    }
    const planned = planOf(order, { kind: 'from', at: horizon.workFrom[at]! }, context);
    if (!taken.take(order, planned, around)) {
      moved ??= 'container';
      continue;
    }
    const { p50 } = planned.plan.forecast.marks.windowBest;
    return { orderId: order.id, day, beginsAt: beginsAt(planned.plan.soak), planned, cutAt: p50, moved };
  }
  return { orderId: order.id, day, beginsAt: null, planned: null, cutAt: null, moved };
}

function forWeekdays(
  order: StandingOrder,
  { weekdays, aim = READY }: Extract<Rule, { kind: 'weekdays' }>,
  around: Laying,
  taken: Taken
): OrderDraft[] {
  const { horizon, context } = around;
  const drafts: OrderDraft[] = [];
  for (let due = 0; due < around.days; due += 1) {
    const date = dayOf(horizon, due);
    const day = date.toString();
    if (!weekdays.includes(date.dayOfWeek) || day < order.fromDay || order.done.has(day)) continue;
    const cutAt = horizon.supperAt[due]!;
    const planned = plannedToCut((how) => planOf(order, how, context), aim, { cutAt, horizon, context });
    if (!planned) continue;
    const begins = beginsAt(planned.plan.soak);
    const at = dayIndex(horizon, context.rhythm, begins);
    if (isAway(due, around)) continue;
    if (isAway(at, around)) {
      // Begun before they leave, it is a little older when it is cut.
      const before = lastHome(at, around);
      const sooner =
        before === null ? null : planOf(order, { kind: 'from', at: horizon.workFrom[before]! }, context);
      const goes = sooner !== null && taken.take(order, sooner, around);
      drafts.push({
        orderId: order.id,
        day,
        beginsAt: goes ? beginsAt(sooner.plan.soak) : null,
        planned: goes ? sooner : null,
        cutAt: goes ? cutAt : null,
        moved: 'away'
      });
      continue;
    }
    const goes = taken.take(order, planned, around);
    drafts.push({
      orderId: order.id,
      day,
      beginsAt: goes ? begins : null,
      planned: goes ? planned : null,
      cutAt: goes ? cutAt : null,
      moved: goes ? null : 'container'
    });
  }
  return drafts;
}

/** The next is begun so that it opens, in the middle of what is expected, as the one before closes: a tray is cut from all along. */
function keptGoing(order: StandingOrder, around: Laying, taken: Taken): OrderDraft[] {
  const { horizon, context, sowings } = around;
  const mine = sowings.filter(({ crop }) => crop.key === order.growable.crop.key);
  let overAt = Math.max(context.now, ...mine.map(closesAt).filter(Number.isFinite));
  let goesOn = mine.length > 0;
  const drafts: OrderDraft[] = [];
  const from = Math.max(
    0,
    horizon.first.until(Temporal.PlainDate.from(order.fromDay), { largestUnit: 'days' }).days
  );
  for (;;) {
    const now = planOf(
      order,
      { kind: 'from', at: horizon.workFrom[Math.min(from, horizon.days - 1)]! },
      context
    );
    const opensIn = now.plan.forecast.marks.windowOpen.p50 - beginsAt(now.plan.soak);
    if (!Number.isFinite(opensIn)) return drafts;
    const wish = goesOn ? overAt - opensIn : horizon.workFrom[from]!;
    const due = Math.max(from, dayIndex(horizon, context.rhythm, wish));
    if (due >= around.days) return drafts;
    const day = dayOf(horizon, due).toString();
    if (order.done.has(day)) {
      // Left out, or begun and in the sowings already: on to the next day.
      overAt += DAY;
      goesOn = true;
      continue;
    }
    const draft = laid(order, day, due, around, taken);
    drafts.push(draft);
    if (!draft.planned) return drafts;
    overAt = Math.max(closesAt(draft.planned.projected), overAt + DAY);
    goesOn = true;
  }
}

const closesAt = ({ forecast }: Pick<Projected, 'forecast'>): Millis => forecast.marks.windowClose.p50;

const planOf = (
  { growable, container, count, place, lightPlace, ownSeedG }: StandingOrder,
  aim: { kind: 'from' | 'by'; at: Millis },
  context: PlanContext
): PlannedSowing => plannedFor(growable, { container, count, place, lightPlace, ownSeedG, aim }, context);

const isAway = (day: number, { horizon, away }: OrderContext): boolean => isAwayOn(horizon, day, away);

/** The last day before one on which somebody is at home; null for none that is still to come. */
function lastHome(day: number, around: OrderContext): number | null {
  for (let at = day - 1; at >= Math.max(0, day - DAYS_OF_WEEK); at -= 1) if (!isAway(at, around)) return at;
  return null;
}

/** Containers as they are taken, day by day. */
class Taken {
  private readonly days = new Map<string, Float64Array>();

  constructor(around: OrderContext) {
    for (const standing of standingOf(around.sowings)) this.add(standOf(standing), around);
  }

  private of(size: string, { horizon }: OrderContext): Float64Array {
    let days = this.days.get(size);
    if (!days) this.days.set(size, (days = new Float64Array(horizon.days)));
    return days;
  }

  private add(stand: Stand, around: OrderContext): void {
    const days = this.of(stand.size, around);
    const [from, until] = daysTaken(stand, around.horizon, around.context.rhythm);
    for (let day = from; day < until; day += 1) days[day]! += stand.count;
  }

  /** Takes what a planned sowing needs, where it is free all along. */
  take({ container, count }: StandingOrder, planned: PlannedSowing, around: OrderContext): boolean {
    const owned = around.owned(container);
    const stand = standOf({ key: planned.setup.id, sowings: [planned.projected] });
    const [from, until] = daysTaken(stand, around.horizon, around.context.rhythm);
    const days = this.of(stand.size, around);
    if (owned !== null)
      for (let day = from; day < until; day += 1) if (days[day]! + count > owned + 1e-9) return false;
    this.add(stand, around);
    return true;
  }
}
