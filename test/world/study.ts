import type { Crop } from '../../src/core/crops/crop.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { messageOf, reliableOf } from '../../src/core/growth/learned.ts';
import { cuesTold } from '../../src/core/sowing/cues.ts';
import type { Place } from '../../src/core/places/place.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import { MEDIA, type MediumKind } from '../../src/core/supplies/media/medium.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { zoneOf, DAY } from '../../src/core/time/zone.ts';
import { thirstOf } from '../../src/core/water/message.ts';
import { chanceFrom, type Chance } from '../../src/server/demo/chance.ts';
import { grow, HABITS, type Grown, type Habit, type Household } from './grower.ts';
import { roomOf } from './room.ts';

/** Crops of the study, by how they grow. */
export const GROUPS: Record<string, readonly string[]> = {
  fast: ['radish', 'kale', 'mizuna'],
  gel: ['mustard', 'cress-garden', 'chia'],
  slow: ['basil', 'cilantro', 'beet'],
  light: ['lettuce', 'watercress'],
  large: ['pea', 'sunflower', 'buckwheat'],
  grass: ['wheat', 'barley']
};
const START = Date.parse('2026-03-02T06:00Z');
const APART_D = 3;

/** A household of the world, and what it says of its room: near the truth, by a cheap thermometer. */
export function householdOf(chance: Chance, habit: Habit, rounds: 1 | 2): Household {
  const room = roomOf(chance, START - DAY, 420);
  const bias = chance.normal(0.5);
  const hygrometer = chance.uniform() < 0.5;
  // A third have a cheap sensor: off by half a degree, and further off by the week.
  const [sensorOff, drift] = [chance.normal(0.5), chance.normal(0.02)];
  const sensor =
    chance.uniform() < 0.33
      ? (at: number) => room.at(at).tempC + sensorOff + (drift * (at - START)) / DAY
      : null;
  const place: Place = {
    id: '00000000-0000-4000-8000-000000000001',
    name: 'Shelf',
    light: { kind: 'lamp', ppfd: 220, hours: 14 },
    dayC: room.meanC + room.swingC * 0.35 + bias,
    nightC: room.meanC - room.swingC * 0.7 + bias,
    humidityPct: hygrometer ? room.rhPct + chance.normal(3) : 50,
    movingAir: room.fan
  };
  return {
    habit,
    room,
    sensor,
    place,
    pace: chance.normal(0.1) + chance.normal(0.1),
    rhythm: {
      zone: zoneOf('UTC'),
      wakeMin: 420,
      sleepMin: 1380,
      roundsMin: rounds === 1 ? [480] : [450, 1230]
    }
  };
}

/** Trays of one crop one after the other, each forecast with what those before it taught. */
export function growInTurn(
  household: Household,
  crop: Crop,
  { medium, method, trays }: { medium: MediumKind; method: number; trays: number },
  chance: Chance
): Grown[] {
  const paces: NonNullable<HouseholdFacts['learned']>['underWay'][number][] = [];
  const thirsts: NonNullable<HouseholdFacts['thirst']>['underWay'][number][] = [];
  const grown: Grown[] = [];
  let now = START + chance.uniform() * DAY;
  for (let n = 0; n < trays; n += 1) {
    const learnt = { learned: { ended: [], underWay: paces }, thirst: { ended: null, underWay: thirsts } };
    const one = grow(household, learnt, { crop, method: READY_METHODS[method]!, medium }, now, chance);
    if (!one) break;
    grown.push(one);
    const facts: HouseholdFacts = {
      rhythm: household.rhythm,
      latitudeDeg: 43.4,
      places: new Map([[household.place.id, household.place]])
    };
    const projected = project(facts, one.setup, one.events, { asIfNew: true });
    const [pace, thirst] = [messageOf(projected), thirstOf(projected)];
    paces.push({
      sowingId: one.setup.id,
      cropKey: crop.key,
      message: pace,
      reliable: reliableOf(projected),
      cues: cuesTold(projected.state, projected.path)
    });
    if (thirst) thirsts.push({ sowingId: one.setup.id, message: thirst });
    now = Math.max(one.openedAt, one.events.at(-1)!.at) + APART_D * DAY;
  }
  return grown;
}

/** What is told of some trays together. */
export interface Told {
  trays: number;
  /** Median error of the opening as said at sowing, as a share of the days that it took. */
  error: number;
  /** The same for a packet's day count, whatever the warmth. */
  packetError: number;
  /** Share of openings within the 80 % range. */
  covered: number;
  /** How much too early (negative) or late the middle of what was said was, as a share. */
  bias: number;
  dried: number;
  drowned: number;
  /** Share that showed mould, that was lost to it, and on whose leaves shells clung. */
  moulded: number;
  lostToMould: number;
  clung: number;
  givenL: number;
  lostL: number;
  falseReady: number;
  /** The same of trays that had been looked at twice or more. */
  falseReadyLooked: number;
  /** Of cards that said late, how many were not. */
  falseLate: number;
}

const packetD = ({ setup }: Grown): number => cropOf(setup.cropKey).windowOpenD21;

export function told(trays: readonly Grown[]): Told {
  const days = ({ openedAt, sownAt }: Grown) => (openedAt - sownAt) / DAY;
  const off = (tray: Grown) => (tray.said.p50 - tray.openedAt) / DAY / days(tray);
  const share = (of: (tray: Grown) => boolean) => trays.filter(of).length / Math.max(1, trays.length);
  const sum = (of: (tray: Grown) => number) => trays.reduce((all, tray) => all + of(tray), 0);
  const part = (of: (tray: Grown) => number, all: (tray: Grown) => number) => sum(of) / Math.max(1, sum(all));
  return {
    trays: trays.length,
    error: median(trays.map((tray) => Math.abs(off(tray)))),
    packetError: median(trays.map((tray) => Math.abs(packetD(tray) / days(tray) - 1))),
    covered: share(({ openedAt, said }) => openedAt >= said.p10 && openedAt <= said.p90),
    bias: median(trays.map(off)),
    dried: share(({ driedOut }) => driedOut),
    drowned: share(({ drowned }) => drowned),
    moulded: share(({ moulded }) => moulded),
    lostToMould: share(({ lostToMould }) => lostToMould),
    clung: share(({ clung }) => clung),
    givenL: sum(({ givenG }) => givenG) / 1000,
    lostL: sum(({ lostG }) => lostG) / 1000,
    falseLate: part(
      (tray) => tray.falseLate,
      (tray) => tray.late
    ),
    falseReady: part(
      (tray) => tray.falseReady,
      (tray) => tray.ready
    ),
    falseReadyLooked: part(
      (tray) => tray.falseReadyLooked,
      (tray) => tray.readyLooked
    )
  };
}

/** What the study found, by what. */
export interface Findings {
  households: number;
  /** First trays, and those after them. */
  first: Told;
  later: Told;
  byHabit: Record<string, Told>;
  /** By crop group and by medium, where nothing was said against it when it was planned. */
  byGroup: Record<string, Told>;
  byMedium: Record<string, Told>;
  /** After ten trays, by habit. */
  afterTen: Record<string, Told>;
  /** By the worst that was said of mould before there was any. */
  byMould: Record<string, Told>;
  /** Where it was said beforehand that it would not last. */
  refused: Told;
}

/**
 * Households of a world that shares none of the forecast's laws: what Brote said of their trays, and what came.
 * @param households in all, over habits, crops, media, methods, warmth and rounds
 */
export function study(households: number, seed: number, { ten = 0 }: { ten?: number } = {}): Findings {
  const chance = chanceFrom(seed);
  const crops = Object.entries(GROUPS).flatMap(([group, keys]) =>
    keys.map((key) => ({ group, crop: cropOf(key) }))
  );
  const all: { habit: Habit; group: string; medium: MediumKind; tray: Grown; late: boolean }[] = [];
  for (let n = 0; n < households; n += 1) {
    const habit = HABITS[n % HABITS.length]!;
    const { group, crop } = crops[n % crops.length]!;
    const medium = MEDIA[Math.floor(n / 2) % MEDIA.length]!;
    const household = householdOf(chance, habit, n % 3 === 0 ? 1 : 2);
    growInTurn(household, crop, { medium, method: Math.floor(n / 3) % 3, trays: 4 }, chance).forEach(
      (tray, index) => all.push({ habit, group, medium, tray, late: index > 0 })
    );
  }
  const afterTen: Record<string, Told> = {};
  for (const habit of ten > 0 ? HABITS : []) {
    const last: Grown[] = [];
    for (let n = 0; n < ten; n += 1)
      last.push(
        ...growInTurn(
          householdOf(chance, habit, 2),
          cropOf('radish'),
          { medium: 'coir', method: 0, trays: 11 },
          chance
        ).slice(9)
      );
    afterTen[habit] = told(last);
  }
  const by = (names: readonly string[], of: (one: (typeof all)[number]) => string | null) =>
    Object.fromEntries(
      names.map((name) => [name, told(all.filter((one) => of(one) === name).map(({ tray }) => tray))])
    );
  return {
    households,
    first: told(all.flatMap(({ tray, late }) => (late ? [] : [tray]))),
    later: told(all.flatMap(({ tray, late }) => (late ? [tray] : []))),
    byHabit: by(HABITS, ({ habit, late }) => (late ? habit : null)),
    byGroup: by(Object.keys(GROUPS), ({ group, tray }) => (tray.warned ? null : group)),
    afterTen,
    byMedium: by(MEDIA, ({ medium, tray }) => (tray.warned ? null : medium)),
    byMould: by(['low', 'raised', 'high'], ({ tray }) => tray.mouldSaid),
    refused: told(all.flatMap(({ tray }) => (tray.warned ? [tray] : [])))
  };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.length === 0 ? NaN : sorted[Math.floor(sorted.length / 2)]!;
}
