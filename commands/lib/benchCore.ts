import { randomUUID } from 'node:crypto';
import { binned, packAir } from '../../src/core/places/air/series.ts';
import type { Place } from '../../src/core/places/place.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { learnedBelief, type Learned } from '../../src/core/growth/learned.ts';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { narrowing } from '../../src/core/sowing/narrowing.ts';
import { plan, type PlanInput } from '../../src/core/sowing/plan.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR, zoneOf } from '../../src/core/time/zone.ts';
import { thirstBelief } from '../../src/core/water/thirst.ts';
import { kitchenAir } from '../../src/server/demo/kitchenAir.ts';
import { say } from './say.ts';

const PLACE: Place = {
  id: 'bench',
  name: 'Bench',
  light: { kind: 'sill', aspect: 'midday', back: false },
  dayC: 21,
  nightC: 17,
  humidityPct: 50,
  movingAir: false
};

const INPUT: PlanInput = {
  crop: cropOf('pea'),
  container: { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
  count: 1,
  medium: 'coir',
  method: READY_METHODS[0]!,
  place: PLACE,
  seedsPerCm2: 1.15,
  germinationPct: null,
  aim: { kind: 'now' },
  rhythm: { zone: zoneOf('Europe/Madrid'), wakeMin: 420, sleepMin: 1350, roundsMin: [450, 1230] },
  latitudeDeg: 43.4,
  now: Date.parse('2026-11-23T17:00Z')
};

export const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** All figures of the core alone. */
export function coreFigures(): void {
  coreTimes();
  followTimes();
  silentTimes();
  learningTimes();
  lookTimes();
}

function coreTimes(): void {
  const many = (count: number) => () => {
    for (let n = 0; n < count; n += 1) plan({ ...INPUT, now: INPUT.now + n * 60_000 });
  };
  many(2000)();
  const one = median(Array.from({ length: 21 }, () => timed(many(10)))) / 10;
  const thousand = median(Array.from({ length: 7 }, () => timed(many(1000))));
  say(
    `Core: protocol and window of one sowing, ${Math.round(1000 / one)} a second on one core; 1000 sowings cost ${(thousand / one).toFixed(0)} times one`
  );
}

/** What following one household with many sowings costs: stages, windows, water and what the round asks for. */
function followTimes(): void {
  const household: HouseholdFacts = {
    rhythm: INPUT.rhythm,
    latitudeDeg: INPUT.latitudeDeg,
    places: new Map([[PLACE.id, { ...PLACE, air: threeWeeks(INPUT.now) }]])
  };
  const records = Array.from({ length: 80 }, (_, n) => standing(n));
  const forecasts = (count: number) => () => {
    for (const { setup, events } of records.slice(0, count)) project(household, setup, events);
  };
  const rounds = (count: number) => () => {
    const projected = records.slice(0, count).map(({ setup, events }) => project(household, setup, events));
    walk(projected, roundAt(household.rhythm, INPUT.now), INPUT.now);
  };
  for (let warm = 0; warm < 30; warm += 1) rounds(40)();
  const time = (work: () => void) => median(Array.from({ length: 21 }, () => timed(work)));
  const [twenty, forty, eighty] = [20, 40, 80].map((count) => time(forecasts(count))) as [
    number,
    number,
    number
  ];
  say(
    `Household of 40 sowings on three weeks of readings: forecasts ${forty.toFixed(1)} ms (at most 20), the whole round with its water ${time(rounds(40)).toFixed(1)} ms; 80 sowings cost ${(eighty / forty).toFixed(1)} times 40, and 40 cost ${(forty / twenty).toFixed(1)} times 20`
  );
}

/** Three weeks of a kitchen's warmth, as means of three hours. */
function threeWeeks(now: number): string | null {
  const zone = INPUT.rhythm.zone;
  const readings = Array.from({ length: 21 * 24 }, (_, hour) =>
    kitchenAir(now - hour * HOUR, zone, { meanC: 19, swingC: 3, humidityPct: 55 })
  );
  return packAir(binned(readings));
}

/** A radish somewhere on its way, with its looks and waterings. */
function standing(n: number): { setup: SowingSetup; events: SowingEvent[] } {
  const sownAt = INPUT.now - (n % 12) * DAY - 3 * HOUR;
  const at = (hours: number, body: EventBody): SowingEvent => ({
    id: `${n}-${hours}`,
    at: sownAt + hours * HOUR,
    by: null,
    taskKey: null,
    body
  });
  const events = [
    at(0, { type: 'sown', waterG: 300 }),
    at(24, { type: 'looked', cue: 'rooted', reached: false }),
    at(46, { type: 'looked', cue: 'rooted', reached: true }),
    at(47, { type: 'uncovered' }),
    at(80, { type: 'lit' }),
    ...[95, 119, 143, 167, 191].flatMap((hours) => [
      at(hours, { type: 'felt', moisture: 'right' } as const),
      at(hours + 1, { type: 'watered', waterG: 150 } as const)
    ])
  ].filter((event) => event.at <= INPUT.now);
  return {
    setup: {
      id: randomUUID(),
      cropKey: 'radish',
      mix: null,
      container: INPUT.container,
      count: 1,
      areaShare: 1,
      medium: 'coir',
      mediumId: null,
      method: INPUT.method,
      lightPlaceId: null,
      placeId: PLACE.id,
      seedsPerCm2: 2.1,
      germinationPct: null,
      seedG: 9.9,
      lotId: null,
      soakStartAt: null,
      soakEndAt: null,
      soakH: null,
      stackOf: null,
      trayNo: null,
      half: null,
      sowAt: sownAt
    },
    events
  };
}

const middling = (work: () => void, runs = 15): number =>
  median(Array.from({ length: runs }, () => timed(work)));

/** A sensor that fell silent long ago costs no more than one that speaks. */
function silentTimes(): void {
  const under = (air: string | null): HouseholdFacts => ({
    rhythm: INPUT.rhythm,
    latitudeDeg: INPUT.latitudeDeg,
    places: new Map([[PLACE.id, { ...PLACE, air }]])
  });
  const records = Array.from({ length: 40 }, (_, n) => standing(n));
  const round = (air: string | null) => () => {
    const household = under(air);
    const projected = records.map(({ setup, events }) => project(household, setup, events));
    walk(projected, roundAt(household.rhythm, INPUT.now), INPUT.now);
  };
  const [fresh, silent] = [threeWeeks(INPUT.now), threeWeeks(INPUT.now - 100 * DAY)];
  for (let warm = 0; warm < 10; warm += 1) [fresh, silent].forEach((air) => round(air)());
  const [of, after] = [middling(round(fresh)), middling(round(silent))];
  say(
    `A sensor silent for 100 days: the round of 40 sowings ${after.toFixed(1)} ms, with one that speaks ${of.toFixed(1)} ms: ${(after / of).toFixed(2)} times`
  );
}

/** What a household believes of each of its sowings, told nothing that a tray said itself: linear in their number. */
function learningTimes(): void {
  const believe = (count: number) => {
    const learned: Learned = {
      ended: [],
      underWay: Array.from({ length: count }, (_, n) => ({
        sowingId: String(n),
        cropKey: ['radish', 'pea', 'kale', 'cress-garden'][n % 4]!,
        message: { mean: 0.05, variance: 0.03 }
      }))
    };
    const thirst = {
      ended: null,
      underWay: learned.underWay.map(({ sowingId }) => ({
        sowingId,
        message: { mean: 0.05, variance: 0.03 }
      }))
    };
    return () => {
      // As a page is read: facts of its own, then every sowing's belief.
      const [facts, water] = [{ ...learned }, { ...thirst }];
      for (const { sowingId, cropKey } of facts.underWay) {
        learnedBelief(facts, cropOf(cropKey), sowingId);
        thirstBelief(water, sowingId);
      }
    };
  };
  for (let warm = 0; warm < 20; warm += 1) believe(320)();
  const [few, many] = [middling(believe(80), 41), middling(believe(320), 41)];
  say(
    `What 320 sowings under way taught: ${many.toFixed(2)} ms, ${(many / few).toFixed(1)} times 80 (linear is 4)`
  );
}

/** The chart of how a window narrowed, look by look. */
function lookTimes(): void {
  const household: HouseholdFacts = {
    rhythm: INPUT.rhythm,
    latitudeDeg: INPUT.latitudeDeg,
    places: new Map([[PLACE.id, { ...PLACE, air: threeWeeks(INPUT.now) }]])
  };
  const { setup, events } = standing(11);
  const sownAt = events[0]!.at;
  const looks = Array.from({ length: 160 }, (_, n): SowingEvent => {
    const cue = n < 80 ? 'lightReady' : 'windowOpen';
    return {
      id: `look-${n}`,
      at: sownAt + (50 + n * 1.2) * HOUR,
      by: null,
      taskKey: null,
      body: { type: 'looked', cue, reached: false }
    };
  });
  const all = [...events, ...looks].sort((a, b) => a.at - b.at);
  const chart = () => void narrowing(household, setup, all);
  for (let warm = 0; warm < 10; warm += 1) chart();
  say(`A chart of 160 looks: ${middling(chart).toFixed(1)} ms (under 10)`);
}
