import { Clock, type Stretch } from './clock.ts';
import { warmthEdges } from '../places/air/airAt.ts';
import { warmthRates } from '../places/air/rates.ts';
import { GOOD_DLI, lampDli } from '../places/light.ts';
import { lightResponses, type Place } from '../places/place.ts';
import type { Crop } from '../crops/crop.ts';
import type { LightFrom } from '../supplies/methods/path.ts';
import { DAY, type Millis, type Zone } from '../time/zone.ts';
import { evidenceOf, type MarkSeen } from './evidence.ts';
import { chanceBy, forecastMark, type MarkForecast } from './forecastMark.ts';
import { add, observe, type Gaussian } from '../stats/gaussian.ts';
import { MARKS, tableOptimumDays, UNSOAKED_DELAY, type Mark } from './marks.ts';
import { SPREAD } from './spread.ts';

/** Where a sowing stood from a moment on. */
export interface Stay {
  from: Millis;
  place: Place;
}

/** Where a sowing stood at a moment; before all of them, where it stood first. */
export const placeAt = (stays: readonly Stay[], at: Millis): Place =>
  (stays.findLast(({ from }) => from <= at) ?? stays[0]!).place;

export interface ForecastInput {
  crop: Crop;
  zone: Zone;
  latitudeDeg: number;
  sownAt: Millis;
  /** Its seed should have been soaked and was not. */
  unsoaked: boolean;
  /** Optimum days that it is ahead of seed: what grows again from its stubs has rooted. */
  headStart?: number;
  /** At least one; the first holds from sowing on, whatever its `from`. */
  stays: readonly Stay[];
  lightFrom: LightFrom;
  /** Days under the dome after rooting, where the method counts them; light then does not wait for a mark. */
  domeDays?: number | null;
  /** When the weight or lid came off, where it did. */
  uncoveredAt?: Millis | null;
  /** When it came to light, where it did. */
  litAt: Millis | null;
  /** What looks said, at most one entry a mark. */
  seen: readonly MarkSeen[];
  /** The household's belief of H + h for this crop. */
  belief: Gaussian;
}

/** What is expected of one sowing, with how sure that is. */
export interface Forecast {
  marks: Record<Mark, MarkForecast>;
  clock: Clock;
  /** First light, as it was or as it is expected; Infinity for what stays dark. Nobody works it out a second time. */
  litAt: Millis;
  /** Chance that a mark is reached by a moment, given the looks so far. */
  chance(mark: Mark, at: Millis): number;
}

/** How far ahead a sill's light is followed day by day; after that it stays as it is. */
const LIGHT_HORIZON_D = 70;

/**
 * The forecast of one sowing: its clock from where it stands, its own pace from the looks so far, and
 * the time of each mark with its range (docs/model.md, 2 to 5).
 */
export function forecast(input: ForecastInput): Forecast {
  const { litAt, clock, belief } = input.litAt === null ? inTheDark(input) : inLight(input, input.litAt);
  const { forecastOf, durations, notYet, reached, clockOf } = belief;
  const marks = Object.fromEntries(MARKS.map((mark) => [mark, forecastOf(mark)])) as Record<
    Mark,
    MarkForecast
  >;
  return {
    marks,
    clock,
    litAt,
    chance: (mark, at) => {
      const seenAt = reached.get(mark);
      return seenAt === undefined
        ? chanceBy(clockOf(mark), durations[mark], at, notYet.get(mark) ?? null)
        : at >= seenAt
          ? 1
          : 0;
    }
  };
}

interface Believed {
  litAt: Millis;
  clock: Clock;
  belief: ReturnType<typeof believe>;
}

const inLight = (input: ForecastInput, litAt: Millis): Believed => {
  const clock = new Clock(stretches(input, { litAt, ripeAt: Infinity }), head(input));
  const belief = believe(input, clock);
  const ripeAt = belief.forecastOf('windowOpen').p50;
  // What is ripe ages by warmth alone, wherever it is carried: dimness keeps nothing fresh (docs/model.md, 3).
  const dims =
    Number.isFinite(litAt) && Number.isFinite(ripeAt) && input.stays.some(({ place }) => !isBright(place));
  return dims
    ? {
        litAt,
        clock,
        belief: believe(input, clock, new Clock(stretches(input, { litAt, ripeAt }), head(input)))
      }
    : { litAt, clock, belief };
};

/** Whether its light never slows the clock. */
const isBright = ({ light }: Place): boolean =>
  light.kind === 'lamp' && lampDli(light.ppfd, light.hours) >= GOOD_DLI;

/** Until it has come to light, when it will follows from how it gets on in the dark. */
function inTheDark(input: ForecastInput): Believed {
  if (input.lightFrom === 'sown') return inLight(input, input.sownAt);
  const dark = inLight(input, Infinity);
  const litAt = expectedLight(input, dark.belief.forecastOf);
  return litAt === Infinity ? dark : inLight(input, litAt);
}

const head = ({ unsoaked, headStart = 0 }: ForecastInput): number =>
  headStart - (unsoaked ? UNSOAKED_DELAY : 0);

function expectedLight(input: ForecastInput, forecastOf: (mark: Mark) => MarkForecast): Millis {
  if (input.lightFrom === null || input.lightFrom === 'sown') return Infinity;
  if (input.lightFrom === 'lightReady' && typeof input.domeDays === 'number')
    return (input.uncoveredAt ?? forecastOf('rooted').p50) + input.domeDays * DAY;
  // Nothing stands in light before its cover came off.
  return Math.max(forecastOf(input.lightFrom).p50, input.uncoveredAt ?? -Infinity);
}

/**
 * Stretches of one rate: a new one at each move, at first light, every three hours that were measured, and
 * daily while a sill's light changes.
 */
function stretches(input: ForecastInput, { litAt, ripeAt }: { litAt: Millis; ripeAt: Millis }): Stretch[] {
  const { sownAt, stays, crop } = input;
  const edges = new Set([sownAt]);
  if (Number.isFinite(ripeAt) && ripeAt > sownAt) edges.add(ripeAt);
  stays.forEach((stay, index) => {
    const from = Math.max(stay.from, sownAt);
    const until = stays[index + 1]?.from ?? Infinity;
    if (stay.from > sownAt) edges.add(stay.from);
    if (until > from) for (const edge of warmthEdges(stay.place, from, until)) edges.add(edge);
  });
  if (Number.isFinite(litAt)) {
    const lit = Math.max(litAt, sownAt);
    const daily = stays.some(({ place }) => place.light.kind === 'sill') ? LIGHT_HORIZON_D : 0;
    for (let day = 0; day <= daily; day += 1) edges.add(lit + day * DAY);
  }
  const here = stays.map(({ place }) => ({
    warmth: warmthRates(crop, place),
    light: lightResponses(place, input.latitudeDeg)
  }));
  let stay = 0;
  return [...edges]
    .sort((a, b) => a - b)
    .map((from) => {
      while (stay + 1 < stays.length && stays[stay + 1]!.from <= from) stay += 1;
      const { warmth, light } = here[stay]!;
      return {
        from,
        rate: warmth(from) * (from >= litAt && from < ripeAt ? light(input.zone.dayOfYear(from)) : 1)
      };
    });
}

/** Marks that what is ripe comes to. */
const RIPE: readonly Mark[] = ['windowBest', 'windowClose'];

/**
 * This sowing's pace from the looks so far, and from it the duration of each mark.
 * @param ageing the clock of what is ripe
 */
function believe(input: ForecastInput, clock: Clock, ageing: Clock = clock) {
  const { crop, seen } = input;
  const table = tableOptimumDays(crop);
  const prior = add(input.belief, { mean: 0, variance: crop.durationCv ** 2 });
  const pace = seen.reduce((belief, mark) => {
    const evidence = evidenceOf(crop, clock, mark);
    return evidence ? observe(belief, evidence) : belief;
  }, prior);
  const durations = Object.fromEntries(
    MARKS.map((mark) => [
      mark,
      { mean: Math.log(table[mark]) + pace.mean, variance: pace.variance + SPREAD.stage ** 2 }
    ])
  ) as Record<Mark, Gaussian>;
  const reached = new Map(
    seen.flatMap(({ mark, reachedAt }) => (reachedAt === null ? [] : [[mark, reachedAt] as const]))
  );
  const notYet = lastNotYet(seen);
  const clockOf = (mark: Mark): Clock => (RIPE.includes(mark) ? ageing : clock);
  const forecastOf = (mark: Mark): MarkForecast => {
    const seenAt = reached.get(mark);
    if (seenAt !== undefined) return { p10: seenAt, p50: seenAt, p90: seenAt, seen: true };
    return forecastMark(clockOf(mark), durations[mark], notYet.get(mark) ?? null);
  };
  return { durations, notYet, reached, forecastOf, clockOf };
}

/** The last "not yet" for each mark: a mark not reached says so of every later mark as well. */
function lastNotYet(seen: readonly MarkSeen[]): Map<Mark, Millis> {
  const last = new Map<Mark, Millis>();
  let latest = -Infinity;
  for (const mark of MARKS) {
    latest = Math.max(latest, seen.find((entry) => entry.mark === mark)?.notYetAt ?? -Infinity);
    if (latest > -Infinity) last.set(mark, latest);
  }
  return last;
}
