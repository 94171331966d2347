import { BENCH_STEPS, type BenchStep } from '../sowing/event.ts';
import type { Solution } from '../supplies/seed/disinfect.ts';
import { stepsOf } from './compile.ts';
import { isBenchStep, type Step, type StepBody } from './step.ts';
import { timersOf } from './timer.ts';
import type { Projected } from '../sowing/project.ts';
import { beginsAt, soakFrom } from '../sowing/soak.ts';
import type { Rhythm } from '../time/rhythm.ts';
import { HOUR, type Millis } from '../time/zone.ts';

/** One step of one sowing on the sheet. */
export interface SheetLine {
  projected: Projected;
  step: Step;
  /** The event that ticked it; null while it is to be done. */
  done: { at: Millis; eventId: string } | null;
  /** Ticked, and still at work until then, as a solution on its seed; null where it is not. */
  runsUntil: Millis | null;
  /** A soak put in now would have to come out while everybody sleeps: better then. Null where it would not. */
  waitUntil: Millis | null;
  /** Not ticked, and the work is past it: nothing is asked any more. */
  passed: boolean;
}

export interface SheetSection {
  /** Names it among the sections: what is damped before the seed, and after it, are two. */
  key: string;
  kind: BenchStep;
  lines: SheetLine[];
}

/** One solution for all the seed that is disinfected the same way. */
export interface SharedSolution {
  product: 'hypochlorite' | 'peroxide';
  target: number;
  productPct: number;
  /** What the household calls the product; null where it typed a strength. */
  productName: string | null;
  minutes: number;
  source: string;
  total: Solution;
  /** Each jar's own share of it. */
  jars: { name: string; solution: Solution }[];
}

/** Everything for the next preparation, all its sowings together, in the order of the hands. */
export interface Sheet {
  sowings: Projected[];
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

const isAfterSeed = (body: StepBody): boolean => body.kind === 'damp' && body.how === 'after-seed';

interface SectionKind {
  key: string;
  kind: BenchStep;
  holds?: (body: StepBody) => boolean;
}

/** The sections in the order of the hands: a medium that is watered after the seed is damped once that lies on it. */
const SECTIONS = BENCH_STEPS.flatMap((kind): SectionKind[] => {
  if (kind === 'damp') return [{ key: kind, kind, holds: (body) => !isAfterSeed(body) }];
  const own = { key: kind, kind };
  return kind === 'cover' ? [own, { key: 'damp-after', kind: 'damp', holds: isAfterSeed }] : [own];
});

/**
 * The sheet at a moment.
 * @param projected the sowings under way
 */
export function sheetOf(projected: readonly Projected[], rhythm: Rhythm, now: Millis): Sheet {
  const sowings = projected.filter((sowing) => isOnSheet(sowing, now));
  const lines = sowings.flatMap((sowing) => linesOf(sowing, rhythm, now));
  const sections = SECTIONS.map(({ key, kind, holds }) => ({
    key,
    kind,
    lines: lines
      .filter(({ step }) => step.body.kind === kind && (!holds || holds(step.body)))
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

function isOnSheet({ state, soak }: Projected, now: Millis): boolean {
  if (state.stage === 'ended') return false;
  if (state.sownAt !== null) return now - state.sownAt < AFTER_SOWING_H * HOUR;
  return state.stage !== 'prepare' || beginsAt(soak) < now + TOGETHER_H * HOUR;
}

function linesOf(projected: Projected, rhythm: Rhythm, now: Millis): SheetLine[] {
  const steps = stepsOf(projected).filter(({ body }) => isBenchStep(body.kind));
  const timers = timersOf(projected, now);
  const doneOf = (step: Step) => projected.state.prepared.get(step.body.kind as BenchStep) ?? null;
  // What is before a stage that was begun is over, ticked or not.
  const lastStage = steps.findLastIndex(
    (step) => ['soak', 'drain', 'sow'].includes(step.body.kind) && doneOf(step) !== null
  );
  return steps.map((step, index) => {
    const done = doneOf(step);
    const timer = timers.find(({ kind }) => kind === step.body.kind);
    return {
      projected,
      step,
      done,
      runsUntil: done && timer && timer.endsAt > now ? timer.endsAt : null,
      waitUntil:
        step.body.kind === 'soak' &&
        !done &&
        index >= lastStage &&
        isTooEarly(projected, step.from, rhythm, now)
          ? step.from
          : null,
      passed: done === null && index < lastStage
    };
  });
}

/** So near its hour, a soak may as well begin. */
const NEAR_H = 0.5;

const isTooEarly = ({ crop }: Projected, from: Millis, rhythm: Rhythm, now: Millis): boolean =>
  now < from - NEAR_H * HOUR && soakFrom(crop, rhythm, now).endsAsleep;

function sharedSolutions(lines: readonly SheetLine[]): SharedSolution[] {
  const shared = new Map<string, SharedSolution>();
  for (const { step, passed } of lines) {
    if (step.body.kind !== 'disinfect' || passed) continue;
    const { product, rule, jars } = step.body;
    if (jars.length === 0) continue;
    const key = `${product}|${rule.target}|${rule.productPct}|${rule.productId ?? ''}|${rule.minutes}`;
    const one = shared.get(key) ?? {
      product,
      target: rule.target,
      productPct: rule.productPct,
      productName: rule.productName ?? null,
      minutes: rule.minutes,
      source: rule.source,
      total: { solutionMl: 0, productMl: 0, waterMl: 0 },
      jars: []
    };
    for (const { name, solution } of jars) {
      one.total = {
        solutionMl: one.total.solutionMl + solution.solutionMl,
        productMl: one.total.productMl + solution.productMl,
        waterMl: one.total.waterMl + solution.waterMl
      };
      one.jars.push({ name, solution });
    }
    shared.set(key, one);
  }
  return [...shared.values()];
}
