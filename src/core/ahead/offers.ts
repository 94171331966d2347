import { cutAtShare } from '../growth/yield.ts';
import { wholeYieldG } from '../harvest/expected.ts';
import { isColdStore } from '../growth/coldStore.ts';
import { coolerPlaces } from '../harvest/hold.ts';
import type { Place } from '../places/place.ts';
import type { Projected } from '../sowing/project.ts';
import type { AheadInput, Built } from './build.ts';
import { eat, type DayAhead } from './eat.ts';
import { gapsOf, glutsOf, startFor, type Stretch } from './mends.ts';
import { standsNow, type AheadProblem } from './problem.ts';
import { proposalOf, type Proposed } from './proposal.ts';
import { supplyOf } from './supply.ts';

/** The smallest things that mend a gap or a glut, with how many grams of it they take away. */
export type Offer =
  /** A planned sowing is begun so many days sooner (negative) or later. */
  | { kind: 'move'; sowingId: string; crop: string; days: number; g: number }
  /** A part of a tray is cut before its window opens, and gives less for it. */
  | { kind: 'cut-early'; sowingId: string; crop: string; g: number; lessG: number }
  /** Somewhere cooler it opens and closes later. */
  | { kind: 'cool'; sowingId: string; crop: string; place: string; g: number }
  | { kind: 'give-away'; crop: string; byDay: number; g: number }
  | { kind: 'begin'; change: Proposed; g: number };

/** A gap or a glut in what stands, with what mends it, the smallest first. */
export interface Mending extends Stretch {
  of: 'gap' | 'glut';
  offers: Offer[];
}

/** A planned sowing is offered so many days sooner or later at most. */
const MOST_MOVE_D = 6;
/** Mending less than this share of it is no mend. */
const MENDS_SHARE = 0.25;
/** So many are shown: what comes later is known better then. */
const MOST = 2;

/** A sowing as though it were moved now; null where that cannot be told. */
export type Moved = (sowing: Projected, to: Place) => Projected | null;

/** The next gaps and gluts of what stands, each with the smallest mends. */
export function mendingsOf(built: Built, input: AheadInput, moved: Moved): Mending[] {
  const { problem } = built;
  const { days } = eat(problem, standsNow(problem));
  const gaps = gapsOf(days).slice(0, MOST);
  const gluts = glutsOf(days).slice(0, MOST);
  return [
    ...gaps.map((gap): Mending => ({ of: 'gap', ...gap, offers: forGap(gap, built, input, days) })),
    ...gluts.map((glut): Mending => ({
      of: 'glut',
      ...glut,
      offers: forGlut(glut, built, input, days, moved)
    }))
  ].sort((a, b) => a.from - b.from);
}

const missingIn = (days: readonly DayAhead[], { from, until }: Stretch): number =>
  days.slice(from, until + 1).reduce((sum, { missingG }) => sum + missingG, 0);

const thrownIn = (days: readonly DayAhead[], { from, until }: Stretch): number =>
  days.slice(from, until + 1).reduce((sum, { thrownG }) => sum + thrownG, 0);

function forGap(gap: Stretch, built: Built, input: AheadInput, days: readonly DayAhead[]): Offer[] {
  const { problem } = built;
  const before = missingIn(days, gap);
  const worth = (g: number) => g > MENDS_SHARE * before;
  const offers = moves(built, -1, (after) => before - missingIn(after, gap)).filter(({ g }) => worth(g));
  offers.push(...cutsEarly(gap, built, input).filter(({ g }) => worth(g)));
  const start = startFor(problem, standsNow(problem), gap);
  if (start && worth(start.g)) {
    const counts = standsNow(problem);
    counts[start.index]! += 1;
    const { changes } = proposalOf(built, { counts, outcome: eat(problem, counts) }, input);
    if (changes[0]) offers.push({ kind: 'begin', change: changes[0], g: start.g });
  }
  return offers;
}

function forGlut(
  glut: Stretch,
  built: Built,
  input: AheadInput,
  days: readonly DayAhead[],
  moved: Moved
): Offer[] {
  const { problem } = built;
  const before = thrownIn(days, glut);
  const worth = (g: number) => g > MENDS_SHARE * before;
  const offers = held(glut, built, input, before, moved).filter(({ g }) => worth(g));
  offers.push(...moves(built, 1, (after) => before - thrownIn(after, glut)).filter(({ g }) => worth(g)));
  // What is too much can be given while it is good.
  problem.crops.forEach(({ key }, crop) => {
    const thrown = days.slice(glut.from, glut.until + 1).map(({ thrownByCrop }) => thrownByCrop[crop]!);
    const g = thrown.reduce((sum, one) => sum + one, 0);
    // What would be thrown on a day is good on that day still, and not on the next.
    if (g > MENDS_SHARE * before)
      offers.push({
        kind: 'give-away',
        crop: nameOf(key, built),
        byDay: glut.from + thrown.findIndex((one) => one > 0),
        g
      });
  });
  return offers;
}

/** Each planned sowing begun a little sooner or later, by the fewest days that mend most. */
function moves({ problem, planned }: Built, way: -1 | 1, mends: (after: DayAhead[]) => number): Offer[] {
  const counts = standsNow(problem);
  return planned.flatMap((sowing, index): Offer[] => {
    if (!sowing) return [];
    const start = problem.starts[index]!;
    let best: { days: number; g: number } | null = null;
    for (let by = 1; by <= MOST_MOVE_D && start.day + way * by >= 0; by += 1) {
      const moved: AheadProblem = {
        ...problem,
        starts: problem.starts.with(index, {
          ...start,
          opened: shifted(start.opened, way * by),
          gone: shifted(start.gone, way * by)
        })
      };
      const g = mends(eat(moved, counts).days);
      if (g > (best?.g ?? 0) + 1) best = { days: way * by, g };
    }
    return best ? [{ kind: 'move', sowingId: sowing.setup.id, crop: sowing.crop.name, ...best }] : [];
  });
}

const shifted = (grams: Float64Array, by: number): Float64Array =>
  Float64Array.from(grams, (_, day) => {
    const at = day - by;
    return at < 0 ? 0 : grams[Math.min(at, grams.length - 1)]!;
  });

/** Trays whose stems are even already and whose window opens after the gap begins. */
function cutsEarly(gap: Stretch, { standing }: Built, { horizon }: AheadInput): Offer[] {
  const at = horizon.supperAt[gap.from]!;
  return standing.flatMap((sowing): Offer[] => {
    if (!sowing || sowing.state.sownAt === null || sowing.state.stage === 'ended') return [];
    const share = cutAtShare(sowing.forecast, at);
    if (share <= 0 || share >= 1 || at >= sowing.forecast.marks.windowOpen.p50) return [];
    const whole = wholeYieldG(sowing).usual * (1 - sowing.state.cutShare);
    const g = Math.min(gap.g, whole * share);
    return [
      { kind: 'cut-early', sowingId: sowing.setup.id, crop: sowing.crop.name, g, lessG: g / share - g }
    ];
  });
}

/** Trays that would close later somewhere cooler. */
function held(
  glut: Stretch,
  { problem, standing }: Built,
  input: AheadInput,
  before: number,
  moved: Moved
): Offer[] {
  const { horizon, context, places } = input;
  return standing.flatMap((sowing, index): Offer[] => {
    if (!sowing || sowing.state.sownAt === null) return [];
    const cooler = coolerPlaces(sowing, places, context.now).filter(
      (place) => isColdStore(place) || place.light.kind !== 'dark' || sowing.path.lightFrom === null
    );
    const offers = cooler.flatMap((place): Offer[] => {
      const there = moved(sowing, place);
      if (!there) return [];
      const { opened, gone } = supplyOf(there, horizon, context.now);
      const after = eat(
        { ...problem, standing: problem.standing.with(index, { ...problem.standing[index]!, opened, gone }) },
        standsNow(problem)
      );
      const g = before - thrownIn(after.days, glut);
      return g > 0
        ? [{ kind: 'cool', sowingId: sowing.setup.id, crop: sowing.crop.name, place: place.name, g }]
        : [];
    });
    return offers.sort((a, b) => b.g - a.g).slice(0, 1);
  });
}

const nameOf = (key: string, { standing, planned }: Built): string =>
  [...standing, ...planned].find((sowing) => sowing?.setup.cropKey === key)?.crop.name ?? key;
