import { Clock, type RateStretch } from './clock.ts';
import { warmthEdges } from '../places/air/airAt.ts';
import { warmthRates } from '../places/air/rates.ts';
import { lightResponses, shadedResponses, type Place } from '../places/place.ts';
import type { Crop } from '../crops/crop.ts';
import type { LightFrom } from '../supplies/methods/path.ts';
import { DAY, type Millis, type Zone } from '../time/zone.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { phi } from '../stats/normal.ts';
import { quantile, type MarkForecast } from './forecastMark.ts';
import { OF_SEED, OF_STUBS } from './germination.ts';
import { NEW_HOUSEHOLD } from './learn.ts';
import { intervalsOf, NOTHING_HEARD, type Answering, type Heard, type Interval, type Look } from './looks.ts';
import { MARKS, tableOptimumDays, UNSOAKED_DELAY, type Mark } from './marks.ts';
import { messageFrom, momentsOf, normed, overGermination, pacePrior, STAGE_SD, type Prior } from './pace.ts';
import {
  clockOn,
  firstLight,
  waysOf,
  type Clocks,
  type Lighting,
  type PaceClock,
  type Sources,
  type PaceWay
} from './paceClocks.ts';
import { PaceGrid, type Reached, type OnGrid } from './paceGrid.ts';
import { SPREAD } from './spread.ts';
import { ANYBODY, leavesOf, RELIABLE, tellingOf, type CueMark, type Telling } from './telling.ts';

/**
 * Which way of working out windows this is. It is raised with every change that moves one: a household is then told that an
 * update moved its window. Tests hold the windows of each version.
 */
export const FORECAST_VERSION = 3;

/** Where a sowing stood from a moment on. */
export interface Stay {
  from: Millis;
  place: Place;
}

/** Where a sowing stood at a moment; before all of them, where it stood first. */
export const placeAt = (stays: readonly Stay[], at: Millis): Place =>
  (stays.findLast(({ from }) => from <= at) ?? stays[0]!).place;

/** The same as it is to be carried, too. */
export const standsAt = (
  { stays, carriedTo, forecast }: { stays: readonly Stay[]; carriedTo: Place | null; forecast: Forecast },
  at: Millis
): Place => (carriedTo !== null && at >= forecast.litAt ? carriedTo : placeAt(stays, at));

export interface ForecastInput {
  crop: Crop;
  zone: Zone;
  latitudeDeg: number;
  /** When its clock starts: sown, or cut back to stubs that grow again. */
  startAt: Millis;
  /** Its seed should have been soaked and was not. */
  unsoaked: boolean;
  /** Optimum days that it is ahead of seed: what grows again from its stubs has rooted. */
  headStart?: number;
  /** At least one; the first holds from sowing on, whatever its `from`. */
  stays: readonly Stay[];
  /** Where it is carried as it comes to light, where it stands in the dark until then. */
  carriedTo?: Place | null;
  lightFrom: LightFrom;
  /** Days under the dome after rooting, where the method counts them; light then does not wait for a mark. */
  domeDays?: number | null;
  /** The age at which its stems stand so high that dome or lid comes off, days at 21 degC, where it goes by that. */
  domeD21?: number | null;
  /** Days in the dark from sowing on, where they are counted. */
  darkDays?: number | null;
  /** When the shade on a sill comes off; absent for no shade. */
  shadedUntil?: Millis | null;
  /** Days that its cover stays on once it has rooted. */
  coveredOnD?: number;
  /** When it was pressed, where that comes once it has rooted and was done. */
  pressedAt?: Millis | null;
  /** When the weight or lid came off, where it did. */
  uncoveredAt?: Millis | null;
  /** The grower chose to keep it covered until then. */
  coveredUntil?: Millis;
  /** When it came to light, where it did. */
  litAt: Millis | null;
  /** What is due waits so long for a round, on average, h; not at all where not given. */
  waitH?: number;
  /** What was said of its marks, and what was not. */
  heard?: Heard;
  /** How its household tells, as far as that is known. */
  telling?: Telling | undefined;
  /** The household's belief of H + h for this crop. */
  belief: Gaussian;
}

/** What is expected of one sowing, with how sure that is. */
export interface Forecast {
  marks: Readonly<Record<Mark, MarkForecast>>;
  /** The clock of a middling pace, for what is drawn and measured by age. */
  clock: PaceClock;
  /** First light, as it was or as it is expected; Infinity for what stays dark. Nobody works it out a second time. */
  litAt: Millis;
  /** When its stems stand so high that dome or lid comes off, at a middling pace; null where it does not go by that. */
  highAt: Millis | null;
  /** Chance that a mark is reached by a moment, given all that was said and not said. */
  chance(mark: Mark, at: Millis): number;
  /** The same if the household's answers are wrong as often as they plausibly are, for what must not be claimed too soon. */
  careful(mark: Mark, at: Millis): number;
  /** How likely what a look says is by all the rest, its own errors left out. */
  likelihoodOf(look: Look): number;
  /** What it says of its household with its crop, taken for anybody's; null while that is nothing. */
  message(): Gaussian | null;
  /** The same taken for somebody's who is to be relied on where they told, and who says nothing by silence where they did not. */
  reliable(): Gaussian | null;
}

/** How far ahead a sill's light is followed day by day; after that it stays as it is. */
const LIGHT_HORIZON_D = 70;

/**
 * The forecast of one sowing: a clock for each pace from where it stands, its own pace from what was said and not said of
 * it, and the time of each mark with its range (docs/model.md, 2 to 5).
 */
export function forecast(input: ForecastInput): Forecast {
  const { crop, heard = NOTHING_HEARD } = input;
  const table = tableOptimumDays(crop);
  const sources = sourcesOf(input);
  const prior = pacePrior(input.belief, crop.durationCv, germinationOf(input));
  const lighting: Lighting = {
    lightFrom: input.lightFrom,
    domeDays: input.domeDays ?? null,
    domeD21: input.domeD21 ?? null,
    darkDays: input.darkDays ?? null,
    coveredOnD: input.coveredOnD ?? 0,
    pressedAt: input.pressedAt ?? null,
    uncoveredAt: input.uncoveredAt ?? null,
    coveredUntil: input.coveredUntil ?? -Infinity,
    litAt: input.litAt,
    startAt: input.startAt,
    waitH: input.waitH ?? 0,
    darkUntil: heard.darkUntil,
    untold: untoldOf(input, prior, sources, table)
  };
  const wayOf = waysOf(crop, sources, lighting);
  const offered = isOffered(prior, wayOf, sources, table);
  const said = saidOf(heard, offered, answeringBy(input.telling));
  const { grid, told } = toldOn(new PaceGrid(prior, table, sources, wayOf), said);
  const weights = weighed(prior, [...told.values()]);
  const pace = momentsOf(prior, weights);
  const way = wayOf(pace.mean, pace.late);
  const clock = clockOn(way, sources);
  const highAt = (): Millis => clock.when(way.highTau);
  const weighedWithout = (mark: Mark): Float64Array =>
    weighed(
      prior,
      [...told.values()].filter((one) => one.mark !== mark)
    );
  let careful: Forecast | undefined;
  const reached = new Map<Mark, Reached>();
  const reachedOf = (mark: Mark): Reached => {
    let of = reached.get(mark);
    if (!of) {
      const own = told.get(mark);
      of = own ? grid.seenChance(weighedWithout(mark), own) : grid.plainChance(weights, mark);
      reached.set(mark, of);
    }
    return of;
  };
  const chance = (mark: Mark, at: Millis): number => reachedOf(mark).by(at);
  const marks = byMark(
    (mark) =>
      new LazyMark(
        (share) => quantile(share, reachedOf(mark), (x) => clock.when(Math.exp(x))),
        () => isSeen(heard, mark, chance)
      )
  );
  return {
    marks,
    clock,
    get litAt() {
      return firstLight(lighting, (reached) => (reached === 'high' ? highAt() : marks[reached].p50));
    },
    get highAt() {
      return lighting.domeD21 === null ? null : highAt();
    },
    chance,
    careful: (mark, at) => (careful ??= carefully(input)).chance(mark, at),
    likelihoodOf: (look) => {
      const others = weighedWithout(look.mark);
      const looks = heard.looks.filter(({ eventId }) => eventId !== look.eventId);
      const rest = saidOf({ ...heard, looks }, offered, answeringBy(input.telling)).get(look.mark);
      const by = rest
        ? grid.seenChance(others, { mark: look.mark, intervals: rest }).by(look.at)
        : grid.plainChance(others, look.mark).by(look.at);
      return look.reached ? by : 1 - by;
    },
    message: () => messageOf(input, saidOf(heard, offered), sources, wayOf),
    reliable: () => {
      const told = new Set(heard.looks.map(({ mark }) => mark));
      return messageOf(
        input,
        saidOf(heard, offered, (mark) => (told.has(mark) ? RELIABLE : SAYS_NOTHING)),
        sources,
        wayOf
      );
    }
  };
}

/** The same forecast, assuming that the household's answers are wrong as often as they plausibly are. */
const carefully = (input: ForecastInput): Forecast => {
  const telling = input.telling ?? tellingOf([]);
  return forecast({ ...input, telling: { ...telling, errs: telling.errsAtMost } });
};

const germinationOf = ({ headStart = 0 }: ForecastInput) => (headStart > 0 ? OF_STUBS : OF_SEED);

/** What a sowing says of its household with its crop, told against what a new household believes. */
function messageOf(
  input: ForecastInput,
  said: Said,
  sources: Sources,
  wayOf: (pace: number, late: number) => PaceWay
): Gaussian | null {
  if (said.size === 0) return null;
  const { crop } = input;
  const prior = pacePrior(NEW_HOUSEHOLD, crop.durationCv, germinationOf(input));
  const { told } = toldOn(new PaceGrid(prior, tableOptimumDays(crop), sources, wayOf), said);
  const agrees = productOf(prior.weights.length, [...told.values()]);
  return messageFrom(NEW_HOUSEHOLD, crop.durationCv, prior.paces, overGermination(prior, agrees));
}

const byMark = <T>(of: (mark: Mark) => T): Record<Mark, T> =>
  Object.fromEntries(MARKS.map((mark) => [mark, of(mark)] as const)) as Record<Mark, T>;

/** Worked out when it is asked for: few views ask for all of it. */
class LazyMark implements MarkForecast {
  private readonly known = new Map<number, Millis>();
  private wasSeen: boolean | undefined;
  constructor(
    private readonly time: (share: number) => Millis,
    private readonly look: () => boolean
  ) {}
  private at(share: number): Millis {
    let at = this.known.get(share);
    if (at === undefined) this.known.set(share, (at = this.time(share)));
    return at;
  }
  get p10(): Millis {
    return this.at(0.1);
  }
  get p50(): Millis {
    return this.at(0.5);
  }
  get p90(): Millis {
    return this.at(0.9);
  }
  get seen(): boolean {
    return (this.wasSeen ??= this.look());
  }
}

type Said = ReadonlyMap<Mark, readonly Interval[]>;

/** A cue is offered from this chance of its stage on: before, nobody could have said it. */
const OFFERED = 0.05;

/** The spread of ln of the time to a mark before anything was seen. @param sd of ln pace */
const priorSd = (sd: number, table: Record<Mark, number>, mark: Mark): number =>
  Math.hypot(sd, STAGE_SD, (SPREAD.germination * table.rooted) / table[mark]);

/** Whether a cue was offered at a moment, by what was believed before anything was seen. */
function isOffered(
  prior: Prior,
  wayOf: (pace: number, late: number) => PaceWay,
  sources: Sources,
  table: Record<Mark, number>
): (mark: Mark, at: Millis) => boolean {
  const { mean, sd, late } = momentsOf(prior, prior.weights);
  const { tau } = clockOn(wayOf(mean, late), sources);
  return (mark, at) => {
    const shows = tau(at);
    return shows > 0 && phi((Math.log(shows / table[mark]) - mean) / priorSd(sd, table, mark)) >= OFFERED;
  };
}

/**
 * A yes that came without a word before it: a household walks past its trays every day, and whoever said it today most
 * likely passed by the day before, did nothing there that was recorded, and did not say it. Taken for one silence.
 */
function dayBefore({ looks, silent }: Heard, mark: Mark): Millis[] {
  const first = looks.find((look) => look.mark === mark);
  if (!first?.reached) return [];
  const since = first.at - DAY;
  return silent[mark]?.some((at) => at >= since - DAY / 4 && at < first.at) ? [] : [since];
}

/** A stage of which nobody speaks is asked for by its 90 %: then the cover comes off, and the tray comes to light, so late. */
const LATE_SD = 1.2816;

function untoldOf(
  { telling, litAt, heard = NOTHING_HEARD }: ForecastInput,
  prior: Prior,
  { warm }: Sources,
  table: Record<Mark, number>
): NonNullable<Lighting['untold']> {
  if (!telling || litAt !== null) return {};
  const { mean, sd } = momentsOf(prior, prior.weights);
  const late = (mark: Mark) => Math.exp(mean + LATE_SD * priorSd(sd, table, mark));
  const isSaid = (mark: Mark) => heard.looks.some((look) => look.mark === mark && look.reached);
  const of = (mark: 'rooted' | 'lightReady') => ({
    // What was said is dealt with then.
    chance: isSaid(mark) ? 0 : Math.max(0, 1 - telling.answers[mark] / ANYBODY.answers),
    askedAt: warm.when(table[mark] * late(mark))
  });
  return { rooted: of('rooted'), lightReady: of('lightReady') };
}

/** Whose silence means nothing. */
const SAYS_NOTHING: Answering = { answers: 0, leaves: 1 };

const answeringBy =
  (telling: Telling | undefined) =>
  (mark: Mark): Answering => {
    const answers = telling?.answers[mark as CueMark];
    if (!telling || answers === undefined) return ANYBODY;
    return { answers, leaves: leavesOf(answers), errs: telling.errs };
  };

/** What was said of each mark, and what was not although it was offered; marks of which nothing was are left out. */
const saidOf = (
  heard: Heard,
  offered: (mark: Mark, at: Millis) => boolean,
  answering: (mark: Mark) => Answering = () => ANYBODY
): Said =>
  new Map(
    MARKS.flatMap((mark) => {
      const silent = [...(heard.silent[mark] ?? []), ...dayBefore(heard, mark)].filter((at) =>
        offered(mark, at)
      );
      const intervals = intervalsOf({ ...heard, silent: { [mark]: silent } }, mark, answering(mark));
      return intervals.length > 0 ? [[mark, intervals] as const] : [];
    })
  );

/**
 * The likelihood of what was said about each mark: first for the marks that light does not affect, then for the others, with clocks
 * that switch at the germination that the first ones suggest.
 */
function toldOn(grid: PaceGrid, said: Said): { grid: PaceGrid; told: Map<Mark, OnGrid> } {
  const told = new Map<Mark, OnGrid>();
  const hear = (on: PaceGrid, marks: readonly Mark[]) => {
    for (const mark of marks) {
      const intervals = said.get(mark);
      if (intervals) told.set(mark, on.hear(mark, intervals));
    }
  };
  hear(grid, MARKS.slice(0, 2));
  const informed = told.size > 0 ? grid.expecting(weighed(grid.prior, [...told.values()])) : grid;
  hear(informed, MARKS.slice(2));
  return { grid: informed, told };
}

function productOf(size: number, told: readonly OnGrid[]): Float64Array {
  const product = new Float64Array(size).fill(1);
  for (const { agrees } of told) for (let cell = 0; cell < size; cell += 1) product[cell]! *= agrees[cell]!;
  return product;
}

/** The prior, weighed by how well each pace agrees with what was seen; as it was where nothing agrees at all. */
function weighed({ weights }: Prior, told: readonly OnGrid[]): Float64Array {
  if (told.length === 0) return weights;
  const after = productOf(weights.length, told);
  let all = 0;
  for (let cell = 0; cell < after.length; cell += 1) {
    after[cell]! *= weights[cell]!;
    all += after[cell]!;
  }
  return all > 0 ? normed(after) : weights;
}

/** Whether somebody saw a mark, and that is believed: a slip of the thumb at six hours is not. */
function isSeen({ looks }: Heard, mark: Mark, chance: (mark: Mark, at: Millis) => number): boolean {
  const last = looks.findLast((look) => look.mark === mark && look.reached);
  return last !== undefined && chance(mark, last.at) >= 0.5;
}

const head = ({ unsoaked, headStart = 0 }: ForecastInput): number =>
  headStart - (unsoaked ? UNSOAKED_DELAY : 0);

/**
 * The clock of warmth alone and that of warmth and light, in stretches of one rate: a new one at each move, every three
 * hours that were measured, and daily while a sill's light changes.
 */
function clocksOf(input: ForecastInput, stays: readonly Stay[]): Clocks {
  const { startAt, crop } = input;
  const edges = new Set([startAt]);
  stays.forEach((stay, index) => {
    const from = Math.max(stay.from, startAt);
    const until = stays[index + 1]?.from ?? Infinity;
    if (stay.from > startAt) edges.add(stay.from);
    if (until > from) for (const edge of warmthEdges(stay.place, from, until)) edges.add(edge);
  });
  const shadedUntil = input.shadedUntil ?? -Infinity;
  const onSill = stays.some(({ place }) => place.light.kind === 'sill');
  if (onSill && shadedUntil > startAt) edges.add(shadedUntil);
  if (onSill) for (let day = 0; day <= LIGHT_HORIZON_D; day += 1) edges.add(startAt + day * DAY);
  const here = stays.map(({ place }) => {
    const light = lightResponses(place, input.latitudeDeg);
    const shaded = shadedUntil > startAt ? shadedResponses(place, input.latitudeDeg) : light;
    return { warmth: warmthRates(crop, place), light, shaded };
  });
  let stay = 0;
  const warm: RateStretch[] = [];
  const lit: RateStretch[] = [];
  for (const from of [...edges].sort((a, b) => a - b)) {
    while (stay + 1 < stays.length && stays[stay + 1]!.from <= from) stay += 1;
    const { warmth, light, shaded } = here[stay]!;
    const rate = warmth(from);
    warm.push({ from, rate });
    lit.push({ from, rate: rate * (from < shadedUntil ? shaded : light)(input.zone.dayOfYear(from)) });
  }
  return { warm: new Clock(warm, head(input)), lit: new Clock(lit, 0) };
}

const sourcesOf = (input: ForecastInput): Sources => ({
  ...clocksOf(input, input.stays),
  then: input.carriedTo ? clocksOf(input, [{ from: -Infinity, place: input.carriedTo }]) : null
});
