import type { Period } from '../away/period.ts';
import type { Prices } from '../costs/prices.ts';
import type { PantryItem } from '../pantry/item.ts';
import { boardOf, type Place } from '../places/place.ts';
import type { PlanContext } from '../sowing/planSowing.ts';
import type { Projected } from '../sowing/project.ts';
import { beginsAt } from '../sowing/soak.ts';
import { emptyG } from '../shelf/weight.ts';
import { standingOf } from '../sowing/standing.ts';
import { areaCm2, type ContainerStock } from '../supplies/containers/container.ts';
import { longestGapH } from '../time/rhythm.ts';
import {
  begunNow,
  coursesOf,
  seedCostG,
  whyNotAt,
  type Course,
  type Growable,
  type Where
} from './growable.ts';
import { appetiteOn, fondness, nobodyEats, usualAppetiteG, type Eater, type Taste } from './appetite.ts';
import { dayIndex, dayOf, isAwayOn, type Horizon } from './horizon.ts';
import type { AheadCrop, AheadProblem, StandingSupply, Start } from './problem.ts';
import { Resources } from './resources.ts';
import { pantrySupply, supplyOf, type Supply } from './supply.ts';
import { hasWish, type Variety } from './variety.ts';

/** All that a household's weeks ahead follow from. */
export interface AheadInput {
  context: PlanContext;
  horizon: Horizon;
  eaters: readonly Eater[];
  tastes: readonly Taste[];
  variety: Variety;
  away: readonly Period[];
  /** Weekdays on which nobody has time to soak or sow, 1 for Monday to 7. */
  daysOff: readonly number[];
  places: readonly Place[];
  containers: readonly ContainerStock[];
  growables: readonly Growable[];
  /** Under way, planned, and what standing orders will lay. */
  sowings: readonly Projected[];
  /** Planned sowings that stay as they are. */
  locked: ReadonlySet<string>;
  pantry: readonly PantryItem[];
  prices: Prices;
}

/** A problem with what its starts stand for. */
export interface Built {
  problem: AheadProblem;
  /** Of each start: how it goes, in what. Null for a sowing that is planned already. */
  starts: ({ course: Course; container: ContainerStock } | null)[];
  /** The sowing of each start that is planned. */
  planned: (Projected | null)[];
  /** Of what stands: the sowing that it is, null for what is in the pantry. */
  standing: (Projected | null)[];
  /** Whether somebody has time to soak or sow, day by day. */
  works: boolean[];
}

/** No crop is more than so much of a week where nobody said otherwise (starting figure). */
const USUAL_SHARE = 0.5;
/** As many of one kind may be begun on a day. */
const MOST_A_DAY = 3;
/** Every day of the next weeks may be the one; of those after them every other, for they are planned again before. */
const NEAR_D = 21;
const FAR_EVERY_D = 2;
/** What has not opened to this share within the horizon feeds nobody in it. */
const FEEDS_SHARE = 0.5;

/** What a plan is made of: what stands, what may be begun on which day, and what there is of board, containers and seed. */
export function buildProblem(input: AheadInput): Built {
  const { horizon, context } = input;
  const { rhythm } = context;
  const resources = new Resources(input);
  const crops = new Map<string, number>();
  const tastes = new Map(input.tastes.map((taste) => [taste.cropKey, taste]));
  const fondOf = (key: string) => fondness(key, input.eaters, input.tastes);
  const cropIndex = (key: string): number => {
    if (!crops.has(key)) crops.set(key, crops.size);
    return crops.get(key)!;
  };
  const standing: StandingSupply[] = [];
  const starts: Start[] = [];
  const of: Built['starts'] = [];
  const planned: Built['planned'] = [];
  const whose: Built['standing'] = [];
  const worked = Array.from({ length: horizon.days }, () => false);
  const stands = ({ cropKey, ...supply }: Supply, sowing: Projected | null): void => {
    standing.push({ crop: cropIndex(cropKey), ...supply });
    whose.push(sowing);
  };

  for (const container of standingOf(input.sowings)) {
    const { sowings } = container;
    const begun = sowings.some(({ state }) => state.sownAt !== null || state.soakedAt !== null);
    const first = sowings[0]!;
    const uses = resources.of(container);
    const works = workDaysOf(first, horizon, input);
    // Two halves are one container: neither is begun without the other.
    if (begun || sowings.length > 1 || sowings.some(({ setup }) => input.locked.has(setup.id))) {
      for (const one of sowings) stands(supplyOf(one, horizon, context.now), one);
      for (const use of uses) resources.take(use);
      for (const day of begun ? [] : works) if (day >= 0 && day < horizon.days) worked[day] = true;
      continue;
    }
    const supply = supplyOf(first, horizon, context.now);
    starts.push({
      crop: cropIndex(supply.cropKey),
      placeId: first.place.id,
      lightPlaceId: first.carriedTo?.id ?? null,
      containerId: '',
      day: Math.max(0, works[0]!),
      workDays: works.filter((day) => day >= 0 && day < horizon.days),
      yieldG: supply.yieldG,
      opened: supply.opened,
      gone: supply.gone,
      uses,
      costG: 0,
      sowingId: first.setup.id,
      most: 1
    });
    of.push(null);
    planned.push(first);
  }
  for (const item of input.pantry) {
    const supply = pantrySupply(item, horizon, rhythm, context.now);
    if (supply) stands(supply, null);
  }

  const gapH = longestGapH(rhythm);
  const works = Array.from({ length: horizon.days }, (_, day) => canWork(day, input));
  const darkPlaces = input.places.filter(({ light }) => light.kind === 'dark');
  for (const growable of input.growables) {
    if (nobodyEats(fondOf(growable.crop.key))) continue;
    const soonest = (wheres: readonly Where[]) =>
      wheres
        .filter((where) => whyNotAt(growable, where, gapH) === null)
        .flatMap((where) => begunNow(growable, where, horizon, context) ?? [])
        .sort((a, b) => a.opensAt - b.opensAt);
    const crowded = resources.mightBeFull;
    // Where all there is finds room on each board, it is begun where it opens first; else at every place that suits it.
    const staying = soonest(input.places.map((place) => ({ place, lightPlace: null }))).slice(
      0,
      crowded ? Infinity : 1
    );
    // Where light is short, it may sprout in the dark and be carried to where it would have stood.
    const carried = crowded
      ? staying.flatMap(({ where }) =>
          soonest(darkPlaces.map((place) => ({ place, lightPlace: where.place }))).slice(0, 1)
        )
      : [];
    const courses = [...staying, ...carried]
      .map(({ where, planned: now }) => coursesOf(growable, where, now, horizon, context))
      .filter((along) => along.length > 0);
    for (const [nth, along] of courses.entries())
      for (const container of input.containers)
        for (const start of startsOf(along, container, resources, { ...input, works })) {
          const every = (nth + 1) * (start.day > NEAR_D ? FAR_EVERY_D : 1);
          if (start.day % every > 0) continue;
          starts.push({ ...start, crop: cropIndex(growable.crop.key) });
          of.push({ course: along.findLast(({ from }) => from <= start.day)!, container });
          planned.push(null);
        }
  }
  const keys = [...crops.keys()];
  const appetiteG = appetiteOn(input.eaters, horizon, input.away);
  return {
    problem: {
      days: horizon.days,
      appetiteG,
      crops: keys.map((key): AheadCrop => {
        const taste = tastes.get(key);
        const { liked, disliked } = fondOf(key);
        const mostShare = taste?.mostShare ?? (keys.length > 1 ? USUAL_SHARE : 1);
        return {
          key,
          liked,
          leastShare: taste?.leastShare ?? 0,
          // Who does not eat it leaves their share to others. What nobody eats stands all the same, and is counted as it is.
          mostShare: disliked < 1 ? Math.min(mostShare, 1 - disliked) : mostShare
        };
      }),
      standing,
      starts,
      resources: resources.all,
      worked,
      ...(hasWish(input.variety) ? { variety: input.variety } : {})
    },
    starts: of,
    planned,
    standing: whose,
    works
  };
}

/** What nothing can be planned without; null where there is some of each. */
export const nothingWithout = ({
  growables,
  containers,
  places
}: Pick<AheadInput, 'growables' | 'containers' | 'places'>): 'crops' | 'containers' | 'places' | null =>
  growables.length === 0
    ? 'crops'
    : containers.every(({ owned }) => owned === 0)
      ? 'containers'
      : places.length === 0
        ? 'places'
        : null;

/** Whether somebody is there, and has time, on a day. */
const canWork = (day: number, { horizon, away, daysOff }: AheadInput): boolean =>
  !daysOff.includes(dayOf(horizon, day).dayOfWeek) && !isAwayOn(horizon, day, away);

/** The days on which a planned sowing is soaked and sown. */
function workDaysOf({ soak, startAt }: Projected, horizon: Horizon, { context }: AheadInput): number[] {
  const days = [beginsAt(soak), startAt].map((at) => dayIndex(horizon, context.rhythm, at));
  return [...new Set(days)];
}

/** All days on which one container of a crop may be begun at a place. */
function startsOf(
  courses: readonly Course[],
  container: ContainerStock,
  resources: Resources,
  { horizon, eaters, prices, works }: AheadInput & { works: readonly boolean[] }
): Omit<Start, 'crop'>[] {
  const area = areaCm2(container);
  const found: Omit<Start, 'crop'>[] = [];
  const owned = resources.containers(container);
  const halfWeekG = (7 * usualAppetiteG(eaters) * USUAL_SHARE) / 2;
  const { where } = courses[0]!;
  const along = where.lightPlace ? [where.place, where.lightPlace] : [where.place];
  const fitsBoard = along.every((place) => boardOf(place).depthCm >= container.widthCm);
  if (owned === 0 || !fitsBoard) return [];
  for (let day = courses[0]!.from; day < horizon.days; day += 1) {
    const course = courses.findLast(({ from }) => from <= day)!;
    const { growable, sowD, curve } = course;
    const workDays = [...new Set([day, day + sowD])];
    if (workDays.some((one) => !works[one])) continue;
    const yieldG = course.yieldGCm2 * area;
    const opened = shifted(curve.opened, day, yieldG);
    if (opened.at(-1)! < FEEDS_SHARE * yieldG) break;
    const seed = course.seedGCm2.map((part) => ({ ...part, g: part.g * area }));
    found.push({
      placeId: where.place.id,
      lightPlaceId: where.lightPlace?.id ?? null,
      containerId: container.id,
      day,
      workDays,
      yieldG,
      opened,
      gone: shifted(curve.gone, day, yieldG),
      uses: resources.wanted(staysOf(course, day), container, {
        seed,
        loadG: course.loadGCm2 * area + emptyG(container)
      }),
      costG: seedCostG(growable, seed, prices),
      sowingId: null,
      // More of one crop on one day than half a week's share of it would be a glut.
      most: Math.min(owned, Math.max(1, Math.min(MOST_A_DAY, Math.floor(halfWeekG / yieldG))))
    });
  }
  return found;
}

/** Where it stands from which day to which: on the day it is carried, at both. */
const staysOf = (
  { where: { place, lightPlace }, sowD, litD, freeD }: Course,
  day: number
): { place: Place; from: number; until: number }[] =>
  lightPlace
    ? [
        { place, from: day + sowD, until: day + litD + 1 },
        { place: lightPlace, from: day + litD, until: day + freeD }
      ]
    : [{ place, from: day + sowD, until: day + freeD }];

/** Shares by day of what is begun on the first, as grams of what is begun on another. */
function shifted(shares: Float64Array, day: number, yieldG: number): Float64Array {
  const grams = new Float64Array(shares.length);
  for (let at = day; at < grams.length; at += 1) grams[at] = shares[at - day]! * yieldG;
  return grams;
}
