import { isColdStore } from '../growth/coldStore.ts';
import { cutAtShare } from '../growth/yield.ts';
import { wholeYieldG } from '../harvest/expected.ts';
import { coolerPlaces } from '../harvest/hold.ts';
import type { Place } from '../places/place.ts';
import { mostWeightG } from '../shelf/load.ts';
import { footprints } from '../shelf/stack.ts';
import type { Projected } from '../sowing/project.ts';
import { standingOf, type Standing as Container } from '../sowing/standing.ts';
import type { AheadInput, Built } from './build.ts';
import { eat, type DayAhead, type PlanOutcome } from './eat.ts';
import { dayIndex } from './horizon.ts';
import { gapsOf, glutsOf, type DayStretch } from './mends.ts';
import { fits, leftOf, standsNow, type AheadProblem, type Use } from './problem.ts';
import { proposalOf, type Proposed } from './proposal.ts';
import { frontCm } from './room.ts';
import { keepsD, lastCutAt, supplyOf, type Supply } from './supply.ts';

/** How much less is missing and thrown over all the weeks ahead, g; negative where it is more. */
export interface Effect {
  missingG: number;
  thrownG: number;
}

/** A small change that mends a gap or a glut, with what it does to all the weeks ahead. */
export type Offer = Effect &
  (
    | { kind: 'move'; sowingId: string; crop: string; days: number }
    /** A part of a tray is cut before its window opens, and gives less for it. */
    | { kind: 'cut-early'; sowingId: string; crop: string; g: number; lessG: number }
    /** Somewhere cooler it opens and closes later. */
    | { kind: 'cool'; sowingId: string; crop: string; place: string }
    | { kind: 'give-away'; crop: string; byDay: number }
    | { kind: 'begin'; change: Proposed }
  );

/** A gap or a glut in what stands, with what mends it, the smallest change first. */
export interface Mending extends DayStretch {
  of: 'gap' | 'glut';
  offers: Offer[];
}

/** A planned sowing is offered so many days sooner or later at most. */
const MOST_MOVE_D = 6;
/** Mending less than this share of a stretch is no mend. */
const MENDS_SHARE = 0.25;
/** So many stretches are shown: what comes later is known better then. */
const MOST = 2;
/** So many crops are offered to begin. */
const MOST_BEGUN = 2;
/** Of two moves, the longer has to mend so much more, g. */
const WORTH_A_DAY_G = 1;

/** A sowing as though it were moved now; null where that cannot be told. */
export type Moved = (sowing: Projected, to: Place) => Projected | null;

/** What stands, and what comes of it. */
interface Ground {
  built: Built;
  input: AheadInput;
  counts: number[];
  before: PlanOutcome;
  left: readonly Float64Array[];
}

/** The next gaps and gluts of what stands, each with the smallest changes that mend it and make nothing else worse by more. */
export function mendingsOf(built: Built, input: AheadInput, moved: Moved): Mending[] {
  const counts = standsNow(built.problem);
  const before = eat(built.problem, counts);
  const ground: Ground = { built, input, counts, before, left: leftOf(built.problem, counts) };
  const gaps = gapsOf(before.days).slice(0, MOST);
  const gluts = glutsOf(before.days).slice(0, MOST);
  return [
    ...gaps.map((gap): Mending => ({ of: 'gap', ...gap, offers: forGap(gap, ground) })),
    ...gluts.map((glut): Mending => ({ of: 'glut', ...glut, offers: forGlut(glut, ground, moved) }))
  ].sort((a, b) => a.from - b.from);
}

const sumIn = (days: readonly DayAhead[], { from, until }: DayStretch, of: 'missingG' | 'thrownG'): number =>
  days.slice(from, until + 1).reduce((sum, day) => sum + day[of], 0);

/**
 * What a change does over all the weeks; null where it does not mend this stretch, only moves what is wrong with it, or costs
 * more than it mends.
 */
function effectOn(
  stretch: DayStretch,
  of: 'missingG' | 'thrownG',
  { before }: Pick<Ground, 'before'>,
  after: PlanOutcome
): Effect | null {
  const effect = { missingG: before.missingG - after.missingG, thrownG: before.thrownG - after.thrownG };
  const here = sumIn(before.days, stretch, of);
  const mended = here - sumIn(after.days, stretch, of);
  const isMend = Math.min(mended, effect[of]) > MENDS_SHARE * here;
  return isMend && after.costG < before.costG ? effect : null;
}

function forGap(gap: DayStretch, ground: Ground): Offer[] {
  const { built, input, counts } = ground;
  const offers = [...moves(gap, 'missingG', ground), ...cutsEarly(gap, ground)];
  for (const { index, effect } of startsFor(gap, ground)) {
    const begun = counts.with(index, counts[index]! + 1);
    const { changes } = proposalOf(built, { counts: begun, outcome: eat(built.problem, begun) }, input);
    if (changes[0]) offers.push({ kind: 'begin', change: changes[0], ...effect });
  }
  return offers;
}

function forGlut(glut: DayStretch, ground: Ground, moved: Moved): Offer[] {
  const { built, before } = ground;
  const offers = [...held(glut, ground, moved), ...moves(glut, 'thrownG', ground)];
  // What is too much can be given while it is good.
  built.problem.crops.forEach(({ key }, crop) => {
    const thrown = before.days
      .slice(glut.from, glut.until + 1)
      .map(({ thrownByCrop }) => thrownByCrop[crop]!);
    const g = thrown.reduce((sum, one) => sum + one, 0);
    // What would be thrown on a day is good on that day still, and not on the next.
    const byDay = glut.from + thrown.findIndex((one) => one > 0);
    if (g > MENDS_SHARE * glut.g)
      offers.push({ kind: 'give-away', crop: nameOf(key, built), byDay, missingG: 0, thrownG: g });
  });
  return offers;
}

/** Of the crops of which one start more mends most of a gap by all that is weighed, that start. */
function startsFor(gap: DayStretch, ground: Ground): { index: number; effect: Effect }[] {
  const { built, counts, before, left } = ground;
  const best = new Map<number, { index: number; effect: Effect; costG: number }>();
  built.problem.starts.forEach((start, index) => {
    if (start.sowingId !== null || counts[index]! >= start.most || !fits(left, start)) return;
    const there = start.opened[gap.until]! - (gap.from > 0 ? start.gone[gap.from - 1]! : 0);
    if (there <= 0) return;
    const after = eat(built.problem, counts.with(index, counts[index]! + 1));
    if (after.costG >= (best.get(start.crop)?.costG ?? before.costG)) return;
    const effect = effectOn(gap, 'missingG', ground, after);
    if (effect) best.set(start.crop, { index, effect, costG: after.costG });
  });
  return [...best.values()].sort((a, b) => a.costG - b.costG).slice(0, MOST_BEGUN);
}

/** Each planned sowing begun a little sooner (for a gap) or later (for a glut), by the fewest days that mend most. */
function moves(stretch: DayStretch, of: 'missingG' | 'thrownG', ground: Ground): Offer[] {
  const { built, counts, left } = ground;
  const { problem, planned, works } = built;
  const way = of === 'missingG' ? -1 : 1;
  return planned.flatMap((sowing, index): Offer[] => {
    if (!sowing) return [];
    const start = problem.starts[index]!;
    // What it takes now it gives back for another day.
    const free = left.map((amounts) => Float64Array.from(amounts));
    for (const { resource, from, until, amount } of start.uses)
      for (let day = from; day < Math.min(until, free[resource]!.length); day += 1)
        free[resource]![day]! += amount;
    let best: { days: number; effect: Effect } | null = null;
    for (let by = 1; by <= MOST_MOVE_D; by += 1) {
      const days = way * by;
      const uses = start.uses.map((use) => shiftedUse(use, days));
      const canWork = start.workDays.every((day) => works[day + days]);
      if (start.day + days < 0 || !canWork || !fits(free, { uses })) continue;
      const shifted = {
        ...start,
        uses,
        day: start.day + days,
        workDays: start.workDays.map((day) => day + days),
        opened: shiftedG(start.opened, days),
        gone: shiftedG(start.gone, days)
      };
      const after = eat({ ...problem, starts: problem.starts.with(index, shifted) }, counts);
      const effect = effectOn(stretch, of, ground, after);
      if (effect && effect[of] > (best?.effect[of] ?? 0) + WORTH_A_DAY_G) best = { days, effect };
    }
    if (!best) return [];
    const { days, effect } = best;
    return [{ kind: 'move', sowingId: sowing.setup.id, crop: sowing.crop.name, days, ...effect }];
  });
}

/** Seed is taken once, whatever the day. */
const shiftedUse = (use: Use, by: number): Use =>
  use.from === 0 && use.until === 1
    ? use
    : { ...use, from: Math.max(0, use.from + by), until: use.until + by };

const shiftedG = (grams: Float64Array, by: number): Float64Array =>
  Float64Array.from(grams, (_, day) => {
    const at = day - by;
    return at < 0 ? 0 : grams[Math.min(at, grams.length - 1)]!;
  });

/** What comes of all with some of what stands going otherwise. */
const eatWith = (
  problem: AheadProblem,
  counts: readonly number[],
  others: ReadonlyMap<number, Pick<Supply, 'opened' | 'gone'>>
): PlanOutcome =>
  eat({ ...problem, standing: problem.standing.map((one, at) => ({ ...one, ...others.get(at) })) }, counts);

/** Trays whose stems are even already and whose window opens after the gap begins. */
function cutsEarly(gap: DayStretch, ground: Ground): Offer[] {
  const { built, input, counts } = ground;
  const at = input.horizon.supperAt[gap.from]!;
  return built.standing.flatMap((sowing, index): Offer[] => {
    if (!sowing || sowing.state.sownAt === null || sowing.state.stage === 'ended') return [];
    const share = cutAtShare(sowing.forecast, at);
    if (share <= 0 || share >= 1 || at >= sowing.forecast.marks.windowOpen.p50) return [];
    const whole = wholeYieldG(sowing).usual * (1 - sowing.state.cutShare);
    const g = Math.min(gap.g, whole * share);
    const rest = 1 - g / share / whole;
    const { opened, gone } = built.problem.standing[index]!;
    const keeps = keepsD(sowing.crop, sowing.method);
    const early = {
      opened: opened.map((grams, day) => rest * grams + (day >= gap.from ? g : 0)),
      gone: gone.map((grams, day) => rest * grams + (day >= gap.from + keeps - 1 ? g : 0))
    };
    const effect = effectOn(
      gap,
      'missingG',
      ground,
      eatWith(built.problem, counts, new Map([[index, early]]))
    );
    if (!effect) return [];
    const { setup, crop } = sowing;
    return [{ kind: 'cut-early', sowingId: setup.id, crop: crop.name, g, lessG: g / share - g, ...effect }];
  });
}

/** Trays that would close later somewhere cooler where there is room for them, of each the place that helps most. */
function held(glut: DayStretch, ground: Ground, moved: Moved): Offer[] {
  const { built, input, counts } = ground;
  const { horizon, context, places } = input;
  const sown = built.standing.filter((one) => one !== null && one.state.sownAt !== null) as Projected[];
  return standingOf(sown).flatMap(({ key, sowings }): Offer[] => {
    const first = sowings[0]!;
    const cooler = coolerPlaces(first, places, context.now).filter(
      (place) => isColdStore(place) || place.light.kind !== 'dark' || first.path.lightFrom === null
    );
    const offers = cooler.flatMap((place): Offer[] => {
      const there = sowings.flatMap((sowing) => moved(sowing, place) ?? []);
      if (there.length < sowings.length || !hasRoom(place, { key, sowings: there }, ground)) return [];
      const supplies = there.map((one) => supplyOf(one, horizon, context.now));
      const others = new Map(sowings.map((sowing, n) => [built.standing.indexOf(sowing), supplies[n]!]));
      const effect = effectOn(glut, 'thrownG', ground, eatWith(built.problem, counts, others));
      return effect
        ? [{ kind: 'cool', sowingId: first.setup.id, crop: first.crop.name, place: place.name, ...effect }]
        : [];
    });
    return offers.sort((a, b) => b.thrownG - a.thrownG).slice(0, 1);
  });
}

/** Whether a place has board for a container, and may carry it, from now until it is cut. */
function hasRoom(place: Place, container: Container, { built, input, left }: Ground): boolean {
  const { horizon, context } = input;
  const [{ setup }] = container.sowings as [Projected];
  const until =
    1 + Math.max(...container.sowings.map((one) => dayIndex(horizon, context.rhythm, lastCutAt(one))));
  const takes: Partial<Record<string, number>> = {
    board: frontCm(setup.container, footprints(container)),
    load: container.sowings.reduce((sum, one) => sum + mostWeightG(one), 0)
  };
  const uses = built.problem.resources.flatMap(({ kind, id }, resource): Use[] => {
    const amount = takes[kind];
    return id === place.id && amount !== undefined ? [{ resource, from: 0, until, amount }] : [];
  });
  return fits(left, { uses });
}

const nameOf = (key: string, { standing, planned }: Built): string =>
  [...standing, ...planned].find((sowing) => sowing?.crop.key === key)?.crop.name ?? key;
