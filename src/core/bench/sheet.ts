import type { EventBody } from '../events/event.ts';
import type { Solution } from '../prepare/disinfect.ts';
import { protocolOf } from '../protocol/ofSowing.ts';
import { BENCH_STEPS, isBenchStep, type BenchStep, type Step } from '../protocol/step.ts';
import type { Followed } from '../sowing/follow.ts';
import type { OwnCrops } from '../sowing/sowing.ts';
import { HOUR, type Millis } from '../time/zone.ts';
import { sowingWaterG } from '../water/level.ts';

/** One step of one sowing on the sheet. */
export interface SheetLine {
  followed: Followed;
  step: Step;
  /** The event that ticked it; null while it is to be done. */
  done: { at: Millis; eventId: string } | null;
  /** Not ticked, and the work is past it: nothing is asked any more. */
  passed: boolean;
}

export interface SheetSection {
  kind: BenchStep;
  lines: SheetLine[];
}

/** One solution for all the seed that is disinfected the same way. */
export interface SharedSolution {
  product: 'hypochlorite' | 'peroxide';
  target: number;
  productPct: number;
  minutes: number;
  source: string;
  total: Solution;
  jars: { name: string; solutionMl: number }[];
}

/** Everything for the next preparation, all its sowings together, in the order of the hands. */
export interface Sheet {
  sowings: Followed[];
  sections: SheetSection[];
  solutions: SharedSolution[];
  /** Medium to have ready in all, mL, by kind or the household's own medium. */
  mediumMl: number;
  /** How many lines are to be ticked yet. */
  open: number;
}

/** Sowings whose preparation starts within this time are prepared together. */
const TOGETHER_H = 36;
/** A tray that was sown stays on the sheet until it has been covered and pressed. */
const AFTER_SOWING_H = 6;

/**
 * The sheet at a moment.
 * @param followed the sowings under way
 */
export function sheetOf(followed: readonly Followed[], now: Millis, own?: OwnCrops): Sheet {
  const sowings = followed.filter((sowing) => isOnSheet(sowing, now));
  const lines = sowings.flatMap((sowing) => linesOf(sowing, own));
  const sections = BENCH_STEPS.map((kind) => ({
    kind,
    lines: lines
      .filter(({ step }) => step.body.kind === kind)
      .sort((a, b) => (kind === 'soak' || kind === 'drain' ? a.step.from - b.step.from : 0))
  })).filter((section) => section.lines.length > 0);
  return {
    sowings,
    sections,
    solutions: sharedSolutions(lines),
    mediumMl: lines.reduce((sum, { step }) => sum + (step.body.kind === 'fill' ? step.body.mediumMl : 0), 0),
    open: lines.filter(({ done, passed }) => !done && !passed).length
  };
}

function isOnSheet({ state, soak }: Followed, now: Millis): boolean {
  if (state.stage === 'ended') return false;
  if (state.sownAt !== null) return now - state.sownAt < AFTER_SOWING_H * HOUR;
  return state.stage !== 'prepare' || (soak.soakStart ?? soak.sowAt) < now + TOGETHER_H * HOUR;
}

function linesOf(followed: Followed, own?: OwnCrops): SheetLine[] {
  const steps = protocolOf(followed, own).filter(({ body }) => isBenchStep(body.kind));
  const doneOf = (step: Step) => followed.state.prepared.get(step.body.kind as BenchStep) ?? null;
  // What is before a stage that was begun is over, ticked or not.
  const lastStage = steps.findLastIndex(
    (step) => ['soak', 'drain', 'sow'].includes(step.body.kind) && doneOf(step) !== null
  );
  return steps.map((step, index) => {
    const done = doneOf(step);
    return { followed, step, done, passed: done === null && index < lastStage };
  });
}

function sharedSolutions(lines: readonly SheetLine[]): SharedSolution[] {
  const shared = new Map<string, SharedSolution>();
  for (const { step, followed, passed } of lines) {
    if (step.body.kind !== 'disinfect' || passed) continue;
    const { product, rule, solution } = step.body;
    if (solution === null) continue;
    const key = `${product}|${rule.target}|${rule.productPct}|${rule.minutes}`;
    const one = shared.get(key) ?? {
      product,
      target: rule.target,
      productPct: rule.productPct,
      minutes: rule.minutes,
      source: rule.source,
      total: { solutionMl: 0, productMl: 0, waterMl: 0 },
      jars: []
    };
    one.total = {
      solutionMl: one.total.solutionMl + solution.solutionMl,
      productMl: one.total.productMl + solution.productMl,
      waterMl: one.total.waterMl + solution.waterMl
    };
    one.jars.push({ name: followed.crop.name, solutionMl: solution.solutionMl });
    shared.set(key, one);
  }
  return [...shared.values()];
}

/** What ticking a line records; soaking, draining and sowing are the same tasks that a round asks for. */
export function benchTick({ step, followed }: SheetLine): { body: EventBody; taskKey: string } {
  const kind = step.body.kind as BenchStep;
  switch (kind) {
    case 'soak':
      return { body: { type: 'soaked' }, taskKey: 'soak' };
    case 'drain':
      return { body: { type: 'drained' }, taskKey: 'drain' };
    case 'sow':
      return { body: { type: 'sown', waterG: Math.round(sowingWaterG(followed)) }, taskKey: 'sow' };
    default:
      return { body: { type: 'prepared', step: kind }, taskKey: `bench:${kind}` };
  }
}
