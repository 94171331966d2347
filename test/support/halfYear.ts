import { buildProblem, type AheadInput } from '../../src/core/ahead/build.ts';
import { plannedAt, type Growable } from '../../src/core/ahead/growable.ts';
import { horizonFrom } from '../../src/core/ahead/horizon.ts';
import { plansFor } from '../../src/core/ahead/plans.ts';
import type { AheadProblem, StandingSupply } from '../../src/core/ahead/problem.ts';
import { keepsD } from '../../src/core/ahead/supply.ts';
import type { Forecast } from '../../src/core/growth/forecast.ts';
import { DAY, type Millis } from '../../src/core/time/zone.ts';
import { chanceFrom, type Chance } from '../../src/server/demo/chance.ts';
import { aheadInput, container, growable, NOW, RHYTHM, shelf } from './ahead.ts';

/** How somebody decides what to sow: as many on Sundays as the book says, in turn by the days a tray lasts, or by the plan. */
export const POLICIES = ['sundays', 'orders', 'ahead'] as const;
export type Policy = (typeof POLICIES)[number];

/** What half a year came to. */
export interface HalfYear {
  /** Days with less than three quarters of what is eaten, after the first month. */
  shortDays: number;
  thrownG: number;
  trays: number;
  hours: number;
  eatenG: number;
}

/** A tray as it truly goes, which nobody knows beforehand. */
interface Tray {
  crop: string;
  sownAt: Millis;
  opensAt: Millis;
  bestAt: Millis;
  goneAt: Millis;
  leftG: number;
  /** What it gives, and what the book said. */
  yieldG: number;
  saidG: number;
  /** What was said of it when it was sown. */
  said: Forecast;
  keepsD: number;
}

/** It is planned anew every day: less work than for a plan of eight weeks. */
const TRIES = 1000;
const WEEKS = 26;
const FIRST_MONTH_D = 30;
const CROPS = ['radish', 'mustard', 'broccoli', 'pea'];
const TRAYS = 9;
const TRAY = container('Tray', [25, 18], TRAYS);
const AREA = 450;
/** Days on which nobody gets round to sowing, and hours that a tray and a day of sowing take. */
const MISSES = 0.08;
const HOURS = { tray: 0.5, day: 0.25 } as const;

/** A household with a pace, yields and an appetite of its own. */
interface Home {
  pace: number;
  /** What its trays give against the book, as a factor. */
  gives: number;
  appetiteG: number[];
  chance: Chance;
  input: AheadInput;
}

function homeOf(seed: number): Home {
  const chance = chanceFrom(seed);
  const usual = 30 + chance.uniform() * 25;
  return {
    chance,
    pace: chance.normal(0.12),
    gives: Math.exp(chance.normal(0.25)),
    appetiteG: [1, 1, 1, 1, 1, 1.4, 1.4].map((share) => usual * share),
    input: aheadInput({
      places: [{ ...shelf, widthCm: 120, depthCm: 60 }],
      containers: [TRAY],
      growables: CROPS.map((key) => growable(key)),
      // They eat whatever is there.
      tastes: CROPS.map((cropKey) => ({ cropKey, taste: 'usual' as const, leastShare: null, mostShare: 1 }))
    })
  };
}

/** Half a year of one household by one policy, day by day: whatever it decides, trays run as they run. */
export function halfYear(policy: Policy, seed: number): HalfYear {
  const home = homeOf(seed);
  const trays: Tray[] = [];
  const sum: HalfYear = { shortDays: 0, thrownG: 0, trays: 0, hours: 0, eatenG: 0 };
  let owed = 0;
  let nextOrder = 0;
  for (let day = 0; day < WEEKS * 7; day += 1) {
    const now = NOW + day * DAY;
    const weekday = RHYTHM.zone.date(now).dayOfWeek;
    const appetite = home.appetiteG[weekday - 1]!;
    // Cut at its best, or while it is eaten from: its container is free the day after.
    const standing = trays.filter(({ bestAt, leftG }) => leftG > 0 && bestAt + DAY > now).length;
    let free = TRAYS - standing;
    let begun = 0;
    const sow = (crop: string): void => {
      if (free <= 0) return;
      trays.push(
        sown(
          home,
          home.input.growables.find((one) => one.crop.key === crop)!,
          now
        )
      );
      [free, begun] = [free - 1, begun + 1];
    };
    const misses = home.chance.uniform() < MISSES;
    if (policy === 'sundays' && (weekday === 7 || owed > 0)) {
      if (misses) owed = 1;
      else {
        owed = 0;
        const week = home.appetiteG.reduce((all, g) => all + g, 0);
        const mean = CROPS.reduce((all, key) => all + bookG(home, key), 0) / CROPS.length;
        for (let n = 0; n < Math.ceil(week / mean); n += 1) sow(CROPS[(sum.trays + n) % CROPS.length]!);
      }
    } else if (policy === 'orders' && !misses && day >= nextOrder && free > 0) {
      const crop = CROPS[sum.trays % CROPS.length]!;
      sow(crop);
      nextOrder += (bookG(home, crop) * 7) / home.appetiteG.reduce((all, g) => all + g, 0);
    } else if (policy === 'ahead' && !misses) for (const crop of planned(home, trays, now)) sow(crop);
    sum.trays += begun;
    sum.hours += begun * HOURS.tray + (begun > 0 ? HOURS.day : 0);

    const { eaten, thrown } = supper(trays, appetite, now);
    sum.eatenG += eaten;
    sum.thrownG += thrown;
    if (day >= FIRST_MONTH_D && eaten < 0.75 * appetite) sum.shortDays += 1;
  }
  return sum;
}

const bookG = ({ input }: Home, key: string): number => {
  const { yieldMidGM2 } = input.growables.find(({ crop }) => crop.key === key)!.crop;
  return (yieldMidGM2 * AREA) / 10_000;
};

/** A tray by its own nature: sooner or later, more or less than is said. */
function sown({ pace, gives, chance, input }: Home, of: Growable, now: Millis): Tray {
  const { projected, plan } = plannedAt(
    of,
    { where: { place: input.places[0]!, lightPlace: null }, container: TRAY, at: now },
    { ...input.context, now }
  );
  const own = Math.exp(pace + chance.normal(of.crop.durationCv));
  const stalls = chance.uniform() < 0.04 ? 1.3 : 1;
  const { windowOpen, windowBest } = projected.forecast.marks;
  const at = (p50: Millis): Millis => now + (p50 - now) * own * stalls;
  const yieldG = plan.yieldG.usual * gives * Math.exp(chance.normal(0.2));
  const keeps = keepsD(of.crop, of.method);
  return {
    crop: of.crop.key,
    sownAt: now,
    opensAt: at(windowOpen.p50),
    bestAt: at(windowBest.p50),
    goneAt: at(windowBest.p50) + keeps * DAY,
    leftG: yieldG,
    yieldG,
    saidG: plan.yieldG.usual,
    said: projected.forecast,
    keepsD: keeps
  };
}

/** What goes first is eaten first; what is past its days is thrown. */
function supper(trays: Tray[], appetite: number, now: Millis): { eaten: number; thrown: number } {
  let [left, thrown] = [appetite, 0];
  const there = trays
    .filter(({ opensAt, leftG }) => opensAt <= now && leftG > 0)
    .sort((a, b) => a.goneAt - b.goneAt);
  for (const tray of there) {
    if (tray.goneAt < now) {
      thrown += tray.leftG;
      tray.leftG = 0;
      continue;
    }
    const g = Math.min(left, tray.leftG);
    tray.leftG -= g;
    left -= g;
  }
  return { eaten: appetite - left, thrown };
}

/** What the plan has begun today: by what is believed of each tray that is not open yet, and what is seen of those that are. */
function planned(home: Home, trays: readonly Tray[], now: Millis): string[] {
  const horizon = horizonFrom(RHYTHM, now, 35);
  const input: AheadInput = {
    ...home.input,
    context: { ...home.input.context, now },
    horizon,
    eaters: [{ id: 'all', name: 'All', gByWeekday: home.appetiteG }]
  };
  const { problem, starts } = buildProblem(input);
  const factor = learnedFactor(trays, now);
  const pace = learnedPace(trays, now);
  const live = trays.filter(({ leftG, goneAt }) => leftG > 0 && goneAt > now);
  const standing = live.map((tray): StandingSupply => {
    const crop = problem.crops.findIndex(({ key }) => key === tray.crop);
    const isOpen = tray.opensAt <= now;
    // By the household's own pace, and it is seen that it has not opened yet.
    const by = (mark: 'windowOpen' | 'windowBest', at: Millis): number =>
      tray.said.chance(mark, tray.sownAt + (at - tray.sownAt) / pace);
    const chance = (mark: 'windowOpen' | 'windowBest', at: Millis): number => {
      const before = by('windowOpen', now);
      // Far past all that was said, it opens in a day or two.
      if (before > 0.98) return at > now + 1.5 * DAY && (mark === 'windowOpen' || at > now + 4 * DAY) ? 1 : 0;
      return Math.max(0, mark === 'windowOpen' ? (by(mark, at) - before) / (1 - before) : by(mark, at));
    };
    const opened = Float64Array.from(
      horizon.supperAt,
      (at) => (isOpen ? 1 : chance('windowOpen', at)) * tray.leftG
    );
    // Of one that stands open it is seen how ripe it is.
    const gone = Float64Array.from(horizon.supperAt, (at, day) =>
      isOpen
        ? at + DAY > tray.goneAt
          ? tray.leftG
          : 0
        : Math.min(opened[day]!, chance('windowBest', at + DAY - tray.keepsD * DAY) * tray.saidG * factor)
    );
    return { crop, yieldG: tray.leftG, opened, gone };
  });
  const resources = problem.resources.map((resource): AheadProblem['resources'][number] => {
    if (resource.kind !== 'container') return resource;
    const free = resource.free.map((amount, day) => {
      const at = horizon.supperAt[day]!;
      return (
        amount -
        live.filter((tray) => (tray.opensAt <= now ? tray.bestAt : tray.said.marks.windowBest.p50) + DAY > at)
          .length
      );
    });
    return { ...resource, free };
  });
  const scaled = problem.starts.map((start) => ({
    ...start,
    yieldG: start.yieldG * factor,
    opened: slowed(start.opened, start.day, pace).map((g) => g * factor),
    gone: slowed(start.gone, start.day, pace).map((g) => g * factor)
  }));
  const plans = [...plansFor({ ...problem, standing, resources, starts: scaled }, { tries: TRIES })];
  const { counts } = plans.at(-1)!;
  return counts.flatMap((count, index) =>
    problem.starts[index]!.day === 0
      ? Array.from({ length: count }, () => starts[index]!.course.growable.crop.key)
      : []
  );
}

/** What its weighed trays taught of a household: as the application learns it, by how far households and trays lie apart. */
function learnedFactor(trays: readonly Tray[], now: Millis): number {
  const weighed = trays.filter(({ bestAt }) => bestAt < now);
  const precision = 1 / 0.25 ** 2;
  const told = weighed.reduce((sum, { yieldG, saidG }) => sum + Math.log(yieldG / saidG) / 0.2 ** 2, 0);
  return Math.exp(told / (precision + weighed.length / 0.2 ** 2));
}

/** How much longer its trays take than is said, learned in the same way. */
function learnedPace(trays: readonly Tray[], now: Millis): number {
  const opened = trays.filter(({ opensAt }) => opensAt < now);
  const told = opened.reduce(
    (sum, { opensAt, sownAt, said }) =>
      sum + Math.log((opensAt - sownAt) / (said.marks.windowOpen.p50 - sownAt)) / 0.1 ** 2,
    0
  );
  return Math.exp(told / (1 / 0.14 ** 2 + opened.length / 0.1 ** 2));
}

/** Grams by day of what is begun on a day, where all of it takes so much longer. */
const slowed = (grams: Float64Array, day: number, pace: number): Float64Array =>
  Float64Array.from(grams, (_, at) =>
    at < day ? 0 : grams[Math.min(grams.length - 1, day + Math.round((at - day) / pace))]!
  );

/** Mean of some households by each policy. */
export function compare(households: number, seed: number): Record<Policy, HalfYear> {
  const mean = (policy: Policy): HalfYear => {
    const all = Array.from({ length: households }, (_, n) => halfYear(policy, seed + n));
    const of = (key: keyof HalfYear) => all.reduce((sum, one) => sum + one[key], 0) / households;
    return {
      shortDays: of('shortDays'),
      thrownG: of('thrownG'),
      trays: of('trays'),
      hours: of('hours'),
      eatenG: of('eatenG')
    };
  };
  return Object.fromEntries(POLICIES.map((policy) => [policy, mean(policy)])) as Record<Policy, HalfYear>;
}
