import { beginsAt } from '../sowing/soak.ts';
import type { EventBody } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { standingOf, type Standing } from '../sowing/standing.ts';
import { ROUND_LEAD_H, type Round } from '../time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import { cleaningOf, type ToClean } from '../cleaning/cleaning.ts';
import { askOf, type Ask } from './ask.ts';
import { alongsideWater } from './care.ts';
import { isCuttable } from './cut.ts';
import type { DueStep } from './due.ts';
import type { BodyOf, StepBody, StepKind } from './step.ts';
import { ticked, tickedIfStood } from './ticked.ts';

/** One sowing at a stop. */
export interface StopPart {
  projected: Projected;
  ask: Ask;
}

/** A step at a stop, with what doing it records of each sowing that it is done to. */
export interface StopStep extends DueStep {
  of: {
    projected: Projected;
    records: EventBody | null;
    /** What it records instead where water still stood under it; null where none could. */
    ifStood: EventBody[] | null;
    key: string;
  }[];
}

/** What one container, or several alike, asks for: two halves are one stop. */
export interface Stop {
  key: string;
  parts: StopPart[];
  steps: StopStep[];
}

/** Today's walk: every container that is under way or begins soon in the order given, and what stands above the list. */
export interface Walk {
  round: Round;
  stops: Stop[];
  /** One sowing of each container that is to be begun no sooner than in the next round but one, the soonest first. */
  later: Projected[];
  /** How many stops still ask for something to be done. */
  open: number;
  windowsOpen: Projected[];
  /** Windows expected to open by the same hour tomorrow. */
  opening: Projected[];
  /** Sowings whose preparation starts within a day. */
  toPrepare: Projected[];
  /** Emptied containers that are not clean and dry yet: washed up together, one stop. */
  washUp: ToClean[];
}

/**
 * The walk of a round.
 * @param all the sowings under way, and those whose containers are to be cleaned, in the order the trays stand
 */
export function walk(all: readonly Projected[], round: Round, now: Millis): Walk {
  const projected = all.filter(({ state }) => state.stage !== 'ended');
  const washUp = standingOf(all).flatMap((standing) => cleaningOf(standing) ?? []);
  const standing = standingOf(projected);
  const isLater = ({ sowings }: Standing): boolean => sowings.every((sowing) => beginsLater(sowing, round));
  const stops = standing.filter((one) => !isLater(one)).map((one) => stopOf(one, round, now));
  const grown = projected.filter((sowing) => isCuttable(sowing, now) || sowing.state.stage === 'blackout');
  const opensAt = (sowing: Projected) => sowing.forecast.marks.windowOpen.p50;
  return {
    round,
    stops,
    open: stops.filter(({ steps }) => steps.length > 0).length + (washUp.length > 0 ? 1 : 0),
    washUp,
    later: standing
      .filter(isLater)
      .map(({ sowings }) => sowings.reduce((a, b) => (beginsAt(b.soak) < beginsAt(a.soak) ? b : a)))
      .sort((a, b) => beginsAt(a.soak) - beginsAt(b.soak)),
    windowsOpen: grown.filter((sowing) => opensAt(sowing) <= now),
    opening: grown.filter((sowing) => opensAt(sowing) > now && opensAt(sowing) <= now + 1.25 * DAY),
    toPrepare: projected.filter(({ state, soak }) => state.stage === 'prepare' && beginsAt(soak) < now + DAY)
  };
}

/** What ticking a step records of each sowing that it is done to; nothing for a cut, which is weighed first. */
export const recordsOfStep = ({ of }: StopStep): { sowingId: string; body: EventBody; taskKey: string }[] =>
  of.flatMap(({ projected, records, key }) =>
    records ? [{ sowingId: projected.setup.id, body: records, taskKey: key }] : []
  );

/** Whether the medium has to be felt before anybody can say how much water it needs. */
export const isUnsure = ({ parts }: Stop): boolean =>
  parts.some(({ ask }) => ask.notes.some(({ kind }) => kind === 'unsure'));

/** The waterings of some stops that may be done without feeling the medium first. */
export const sureWaterings = (stops: readonly Stop[]): StopStep[] =>
  stops
    .filter((stop) => !isUnsure(stop))
    .flatMap(({ steps }) =>
      steps.filter(({ body, of }) => body.kind === 'water' && of.every(({ records }) => records !== null))
    );

/** Whether a stop asks for nothing: no step, no look, and no question about what became of it. */
export const needsNothing = ({ steps, parts }: Stop): boolean =>
  steps.length === 0 &&
  parts.every(
    ({ ask: { look, notes } }) =>
      !look && notes.every(({ kind }) => kind !== 'not-begun' && kind !== 'may-be-lost')
  );

/** What one container asks for in a round, whenever it is to be begun. */
export function stopOf({ key, sowings }: Standing, round: Round, now: Millis): Stop {
  const parts = sowings.map((sowing) => ({ projected: sowing, ask: askOf(sowing, round, now) }));
  return { key, parts, steps: parts.length === 1 ? alone(parts[0]!) : together(parts, round, now) };
}

/**
 * Whether nothing was done for it yet, and nothing is to be before the next round but one. What was put off in this round stays
 * in it, to be taken back.
 */
const beginsLater = ({ state, soak }: Projected, { at, afterNextAt }: Round): boolean =>
  state.stage === 'prepare' &&
  state.prepared.size === 0 &&
  beginsAt(soak) >= afterNextAt &&
  state.log.every(({ event }) => event.at < at - ROUND_LEAD_H * HOUR);

const stepOf = (sowing: Projected, step: DueStep): StopStep['of'][number] => ({
  projected: sowing,
  records: ticked(step.body),
  ifStood: tickedIfStood(step.body),
  key: step.key
});

const alone = ({ projected, ask }: StopPart): StopStep[] =>
  ask.steps.map((step) => ({ ...step, of: [stepOf(projected, step)] }));

/** What a hand does to a whole container at once. */
const AT_ONCE: readonly StepKind[] = ['weight', 'uncover', 'light', 'mist', 'water', 'spray', 'turn', 'air'];

/** Two halves of one container: what is done to it is done once, and each is soaked, sown and cut by itself. */
function together(parts: readonly StopPart[], round: Round, now: Millis): StopStep[] {
  const apart = parts.flatMap(({ projected, ask }) =>
    ask.steps
      .filter(({ body }) => !AT_ONCE.includes(body.kind))
      .map((step) => ({ ...step, key: `${projected.setup.id}:${step.key}`, of: [stepOf(projected, step)] }))
  );
  // One sort of spray after the other.
  const sprays = parts.flatMap(({ ask }) =>
    ask.steps.flatMap(({ body }) => (body.kind === 'spray' ? [body.name] : []))
  );
  const all = AT_ONCE.flatMap((kind) =>
    kind === 'spray'
      ? [...new Set(sprays)].flatMap((name) => atOnce(kind, parts, round, now, name) ?? [])
      : (atOnce(kind, parts, round, now) ?? [])
  );
  return [...apart, ...all];
}

/** @param spray of sprays, the one that is meant */
function atOnce(
  kind: StepKind,
  parts: readonly StopPart[],
  round: Round,
  now: Millis,
  spray?: string
): StopStep | null {
  const standing = parts.filter(
    ({ projected: { state } }) => state.sownAt !== null && state.stage !== 'ended'
  );
  const asking = standing.flatMap(({ projected, ask }) => {
    const step = ask.steps.find(
      ({ body }) => body.kind === kind && (body.kind !== 'spray' || body.name === spray)
    );
    return step ? [{ projected, step }] : [];
  });
  const [first] = asking;
  if (!first) return null;
  // One cover lies over both: it comes off when the slower is ready.
  if (kind === 'weight' || kind === 'uncover' || kind === 'light') {
    const waits = standing.some(
      ({ projected: { state } }) =>
        state.stage === first.projected.state.stage &&
        asking.every(({ projected }) => projected.state !== state)
    );
    if (waits) return null;
  }
  // Watered by the thirstier: what stands beside it drinks from the same water.
  const others =
    kind === 'water'
      ? standing.flatMap(({ projected }) => {
          if (asking.some((one) => one.projected === projected)) return [];
          const step = alongsideWater(projected, first.step, round, now);
          return step ? [{ projected, step }] : [];
        })
      : [];
  // Nobody turns or airs half a tray.
  const beside =
    kind === 'turn' || kind === 'air'
      ? standing.flatMap(({ projected }) =>
          asking.some((one) => one.projected === projected) ? [] : [{ projected, step: first.step }]
        )
      : [];
  const all = [...asking, ...others, ...beside];
  return {
    ...first.step,
    key: `${kind}:${first.step.key}`,
    body: sumOf(all.map(({ step }) => step.body)),
    late: asking.some(({ step }) => step.late),
    of: all.map(({ projected, step }) => stepOf(projected, step))
  };
}

/** One step of several of a kind: amounts are added up. */
function sumOf(bodies: readonly StepBody[]): StepBody {
  const [first] = bodies;
  if (first?.kind === 'mist') {
    const all = bodies as readonly BodyOf<'mist'>[];
    return {
      ...first,
      waterMl: sum(all, ({ waterMl }) => waterMl),
      peroxideMl: sum(all, ({ peroxideMl }) => peroxideMl),
      fine: all.some(({ fine }) => fine)
    };
  }
  if (first?.kind === 'spray') {
    const all = bodies as readonly BodyOf<'spray'>[];
    return { ...first, waterMl: sum(all, ({ waterMl }) => waterMl) };
  }
  if (first?.kind === 'water') {
    const all = bodies as readonly BodyOf<'water'>[];
    return {
      ...first,
      waterMl: sum(all, ({ waterMl }) => waterMl ?? 0),
      share: Math.min(...all.map(({ share }) => share ?? 1)),
      ifStoodMl: first.ifStoodMl === null ? null : sum(all, ({ ifStoodMl }) => ifStoodMl ?? 0),
      peroxideMl: sum(all, ({ peroxideMl }) => peroxideMl),
      feed: first.feed && {
        ...first.feed,
        mL: first.feed.mL === null ? null : sum(all, ({ feed }) => feed?.mL ?? 0)
      }
    };
  }
  return first!;
}

const sum = <T>(all: readonly T[], of: (one: T) => number): number =>
  all.reduce((total, one) => total + of(one), 0);
