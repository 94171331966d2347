import type { Crop } from '../../src/core/crops/crop.ts';
import type { MarkForecast } from '../../src/core/growth/forecastMark.ts';
import { tooWarm } from '../../src/core/places/air/warmth.ts';
import type { Place } from '../../src/core/places/place.ts';
import type { Cue, EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { planSowing } from '../../src/core/sowing/planSowing.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { hasPool } from '../../src/core/supplies/media/below.ts';
import { BIN_MS, binIndex, packAir } from '../../src/core/places/air/series.ts';
import type { StepKind } from '../../src/core/steps/step.ts';
import { ticked, tickedIfStood } from '../../src/core/steps/ticked.ts';
import { mediumDepthCm, type MediumKind } from '../../src/core/supplies/media/medium.ts';
import type { Method } from '../../src/core/supplies/methods/method.ts';
import { roundAt, roundsBetween, type Rhythm } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR, MINUTE, type Millis } from '../../src/core/time/zone.ts';
import { mouldRisk, type MouldLevel } from '../../src/core/diagnosis/mould.ts';
import { tooShort } from '../../src/core/water/lasts.ts';
import type { Chance } from '../../src/server/demo/chance.ts';
import { Mishaps, SPOKEN_MS } from './mishaps.ts';
import { natureOf, Plant } from './plant.ts';
import type { Room } from './room.ts';
import { Tray } from './tray.ts';

/** How somebody taps: both ways, good news only, once near the cut, now and then wrong, with days of silence, or a round or two late. */
export const HABITS = ['both', 'good-news', 'near-cut', 'wrong', 'silences', 'late'] as const;
export type Habit = (typeof HABITS)[number];

/** A household of the world, with what it tells Brote of itself. */
export interface Household {
  habit: Habit;
  rhythm: Rhythm;
  room: Room;
  place: Place;
  /** ln of its pace against the table. */
  pace: number;
  /** What its sensor tells at a moment, degC; null where it has none. It was never calibrated, and drifts. */
  sensor: ((at: Millis) => number) | null;
}

/** What came of one tray that was grown by following the round. */
export interface Grown {
  setup: SowingSetup;
  events: SowingEvent[];
  sownAt: Millis;
  openedAt: Millis;
  /** What was said of that when it was sown. */
  said: MarkForecast;
  driedOut: boolean;
  drowned: boolean;
  givenG: number;
  lostG: number;
  /** Cards that said late, and how many of them where nothing was. */
  late: number;
  falseLate: number;
  /** Cards that said ready, and how many of them of a tray that was not nearly so. */
  ready: number;
  falseReady: number;
  /** The same of cards that were shown once it had been looked at twice or more. */
  readyLooked: number;
  falseReadyLooked: number;
  /** Threads were to be seen, it was lost to them, and the worst that had been said of mould before. */
  moulded: boolean;
  lostToMould: boolean;
  mouldSaid: MouldLevel;
  /** Shells clung to its leaves. */
  clung: boolean;
  /** Brote said beforehand that it would not last. */
  warned: boolean;
}

const FORGETS = 0.04;
/** Who is offered a cue again that they saw says something so often. */
const SAYS_AGAIN = 0.5;
const AREA = { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 } as const;
const LONGEST_D = 60;

const BINS_BEFORE = 24;

/** Means of three hours as a sensor told them, from three days before a sowing on. */
function toldBy(sensor: (at: Millis) => number, from: Millis, until: Millis): string | null {
  const bins = [];
  for (let index = binIndex(from) - BINS_BEFORE; index < binIndex(until); index += 1)
    bins.push({ index, tempC: sensor((index + 0.5) * BIN_MS), humidityPct: null });
  return packAir(bins);
}

export function grow(
  { habit, rhythm, room, place: described, pace, sensor }: Household,
  learnt: Pick<HouseholdFacts, 'learned' | 'thirst'>,
  what: { crop: Crop; method: Method; medium: MediumKind },
  now: Millis,
  chance: Chance
): Grown | null {
  const { crop, method, medium } = what;
  /** The place as its sensor has told of it so far. */
  const placeAt = (at: Millis): Place =>
    sensor ? { ...described, air: toldBy(sensor, now, at) } : described;
  const place = described;
  // Who is told that a place is too warm for a crop sows another one.
  if (tooWarm(crop, place)) return null;
  let facts: HouseholdFacts = {
    rhythm,
    latitudeDeg: 43.4,
    places: new Map([[place.id, placeAt(now)]]),
    ...learnt
  };
  const [planned] = planSowing(
    {
      kind: 'one',
      parts: [{ crop, lot: null, share: 1 }],
      shareOf: 'weight',
      staggered: false,
      container: AREA,
      count: 1,
      medium,
      mediumId: null,
      method,
      place,
      lightPlace: null,
      density: 'usual',
      ownSeedG: null,
      germinationPct: null,
      soakH: null,
      stackOf: null,
      aim: { kind: 'now' }
    },
    {
      rhythm,
      latitudeDeg: 43.4,
      places: new Map([[place.id, place]]),
      ...(learnt.learned ? { learned: learnt.learned } : {}),
      now
    }
  );
  if (!planned || planned.plan.hindered) return null;
  const setup: SowingSetup = { ...planned.setup, id: chance.id() };
  const warned =
    tooShort(
      { crop, medium, container: AREA, place, gapH: planned.projected.gapH, method: planned.setup.method },
      [place]
    ) !== null;
  const { path } = planned.projected;
  const plant = new Plant(crop, natureOf(crop, pace, chance), path.lightFrom === null);
  const events: SowingEvent[] = [];
  const record = (at: Millis, body: EventBody, taskKey: string | null = null) =>
    events.push({ id: chance.id(), at: Math.round(at), by: null, taskKey, body });
  let tray: Tray | null = null;
  let said: MarkForecast | null = null;
  let readAt = now;
  let [givenG, ready, falseReady, readyLooked, falseReadyLooked, late, falseLate] = [0, 0, 0, 0, 0, 0, 0];
  /** Of each cue, how many rounds somebody who tells late still waits. */
  const waits = new Map<Cue, number>();
  let [moulded, clung, mouldAt] = [false, false, -Infinity];
  let mouldSaid: MouldLevel = 'low';
  const silentFrom = now + (2 + chance.uniform() * 6) * DAY;
  const isSilent = (at: Millis) => habit === 'silences' && at > silentFrom && at < silentFrom + 2.2 * DAY;
  /** A mark looks as though it were there a little early or late. */
  const sees = (cue: Cue, at: Millis): boolean => {
    const is = plant.when(cue) !== null && plant.when(cue)! <= at;
    const nearly = plant.age > plant.nature[cue] * 0.96;
    let seen = is || (nearly && chance.uniform() < 0.2);
    if (habit === 'late' && seen) {
      const left = waits.get(cue) ?? (chance.uniform() < 0.5 ? 1 : 2);
      waits.set(cue, left - 1);
      seen = left <= 0;
    }
    return chance.uniform() < (habit === 'wrong' ? 0.08 : 0.01) ? !seen : seen;
  };
  /** Said to be late where the plant is not there yet, or the medium is wet still. */
  const isFalse = (kind: StepKind): boolean =>
    kind === 'uncover'
      ? plant.when('rooted') === null
      : kind === 'light'
        ? plant.when('lightReady') === null
        : kind === 'water' && tray !== null && tray.share > 0.75;
  const walkedRounds = roundsBetween(rhythm, now - HOUR, now + LONGEST_D * DAY);
  for (const due of walkedRounds) {
    // Whole milliseconds, as a log has them: half of one later, and what a look brings would not be due yet.
    const at = Math.round(due + chance.uniform() * 50 * MINUTE);
    tray?.live(at);
    if (chance.uniform() < FORGETS) continue;
    // What it measured is read anew once a day.
    if (sensor && at - readAt > 20 * HOUR) {
      readAt = at;
      facts = { ...facts, places: new Map([[place.id, placeAt(at)]]) };
    }
    if (tray && isSilent(at)) {
      // By its own head, and nothing said: watered when it feels dry, and brought to light when it looks so.
      if (tray.share < 0.4) {
        givenG += tray.holdsG * 0.5;
        tray.pour(tray.holdsG * 0.5);
      }
      continue;
    }
    const round = roundAt(rhythm, due);
    if (tray) {
      const { level } = mouldRisk(project(facts, setup, events), at);
      if (!moulded && (level === 'high' || mouldSaid === 'low')) mouldSaid = level;
      // What befell it is seen by most, told by those who tell of such things, and dealt with.
      if (tray.mishaps.mouldShows && chance.uniform() < 0.8) {
        moulded = true;
        tray.mishaps.wipe();
        if (habit !== 'near-cut' && at - mouldAt > SPOKEN_MS) record(at, { type: 'saw', sight: 'mould' });
        mouldAt = at;
      }
      if (tray.mishaps.clinging && chance.uniform() < 0.5) {
        clung = true;
        tray.mishaps.brush();
        if (habit !== 'near-cut') record(at, { type: 'saw', sight: 'hulls' });
      }
    }
    let projected = project(facts, setup, events);
    const { look, again, feel, notes } = askOf(projected, round, at);
    const stands = tray !== null && feel.includes('standing') && tray.standsCm > 0.1;
    if (stands && habit !== 'near-cut' && chance.uniform() < 0.5)
      // Who pours off what still stands sees it, and some say so.
      record(at, { type: 'felt', moisture: 'standing' });
    else if (tray && feel.length > 0) {
      const unsure = notes.some(
        ({ kind }) => kind === 'unsure' || kind === 'touch-it' || kind === 'may-be-lost'
      );
      const share = tray.feels + chance.normal(0.06);
      if (unsure || chance.uniform() < 0.15)
        record(at, { type: 'felt', moisture: share < 0.3 ? 'dry' : share < 0.88 ? 'right' : 'wet' });
    }
    if (tray && look) {
      const seen = sees(look.cue, at);
      const answers =
        habit === 'good-news'
          ? seen && chance.uniform() < 0.9
          : habit === 'near-cut'
            ? look.cue === 'windowOpen' && seen
            : chance.uniform() < 0.93;
      if (answers) record(at, { type: 'looked', cue: look.cue, reached: seen });
    } else if (tray && again && chance.uniform() < SAYS_AGAIN) {
      const seen = sees(again, at);
      const tells = habit !== 'good-news' || seen;
      if (tells) record(at, { type: 'looked', cue: again, reached: seen });
    }
    projected = project(facts, setup, events);
    let cut = false;
    // What is ticked brings the next step onto the same card: done as well, before the hand goes on.
    const done = new Set<string>();
    for (let pass = 0, more = true; more && pass < 4; pass += 1) {
      const then = at + pass * 3 * MINUTE;
      const asked = askOf(project(facts, setup, events), round, then).steps.filter(
        ({ key }) => !done.has(key)
      );
      more = asked.length > 0;
      for (const task of asked) {
        done.add(task.key);
        if (task.late) {
          late += 1;
          if (isFalse(task.body.kind)) falseLate += 1;
        }
        if (task.body.kind === 'cut') {
          const isReady = task.body.sure ? 1 : 0;
          const isEarly = plant.age < plant.nature.windowOpen * 0.9 ? isReady : 0;
          const looked = events.filter(({ body }) => body.type === 'looked').length >= 2;
          ready += isReady;
          falseReady += isEarly;
          if (looked) [readyLooked, falseReadyLooked] = [readyLooked + isReady, falseReadyLooked + isEarly];
          if (plant.age < plant.nature.windowOpen * 0.9) continue;
          if (plant.when('windowOpen') !== null) cut = true;
          continue;
        }
        const body = ticked(task.body);
        if (!body) continue;
        // As the card has it: where some still stands, that is poured off, said in the same touch, and less is given.
        const stood = tickedIfStood(task.body);
        if (stood && tray && tray.standsCm > 0.1 && chance.uniform() < 0.8) {
          tray.pourOff();
          for (const one of stood) {
            if ('waterG' in one) {
              const poured = one.waterG * Math.exp(chance.normal(0.06));
              givenG += poured;
              tray.pour(poured);
            }
            record(then + MINUTE, one, one === stood.at(-1) ? task.key : null);
          }
          continue;
        }
        if (body.type === 'sown') {
          tray = new Tray(plant, new Mishaps(crop, chance), room, 450, {
            medium,
            depthCm: mediumDepthCm(medium, AREA.depthCm),
            reservoirG: medium === 'mesh' ? 675 : 0,
            covered: path.cover !== 'none',
            sownAt: at
          });
          tray.lit = path.lightFrom === 'sown';
        }
        if (body.type === 'lit' && tray) [tray.covered, tray.lit] = [false, true];
        if (
          (body.type === 'sown' ||
            body.type === 'watered' ||
            body.type === 'misted' ||
            body.type === 'fed') &&
          tray
        ) {
          const poured = body.waterG * Math.exp(chance.normal(0.06));
          givenG += poured;
          if (task.body.kind === 'water' && task.body.how === 'below' && hasPool(medium)) tray.pourOff();
          if (task.body.kind === 'water' && task.body.how === 'reservoir') tray.fillUp(poured);
          else tray.pour(poured);
        }
        record(then + MINUTE, body, task.key);
        if (body.type === 'sown') said = project(facts, setup, events).forecast.marks.windowOpen;
      }
    }
    const opened = project(facts, setup, events).state.seen.some(
      ({ mark, reachedAt }) => mark === 'windowOpen' && reachedAt !== null
    );
    if (cut || (opened && plant.when('windowOpen') !== null) || tray?.driedOut || tray?.mishaps.isLost) break;
  }
  if (!tray || !said) return null;
  const { driedOut, drowned, lostG } = tray;
  const lostToMould = tray.mishaps.isLost;
  const sownAt = events.find(({ body }) => body.type === 'sown')!.at;
  // Whatever became of it: when it would have opened.
  for (let at = events.at(-1)!.at; plant.when('windowOpen') === null && at < sownAt + 90 * DAY; at += HOUR)
    tray.live(at);
  const openedAt = plant.when('windowOpen');
  return openedAt === null
    ? null
    : {
        setup,
        events,
        sownAt,
        openedAt,
        said,
        driedOut,
        drowned,
        givenG,
        lostG,
        ready,
        falseReady,
        readyLooked,
        falseReadyLooked,
        late,
        falseLate,
        moulded: moulded || lostToMould,
        lostToMould,
        mouldSaid,
        clung,
        warned
      };
}
