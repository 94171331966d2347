import { isPromised } from '../growth/suit.ts';
import { meanTempC } from '../places/place.ts';
import { Unworkable } from '../problem.ts';
import { isSoaked } from '../crops/crop.ts';
import { onTopOf, stackingOf } from '../shelf/stack.ts';
import { drainHours, softAt } from '../sowing/soak.ts';
import type { Projected } from '../sowing/project.ts';
import { coverOn, shadedUntil, standsSince, uncoversAt } from '../sowing/stage.ts';
import { pressingOf, type Pressing } from '../supplies/methods/pressing.ts';
import { hypochlorite, peroxide } from '../supplies/seed/disinfect.ts';
import { jarFor } from '../supplies/seed/jar.ts';
import { RINSE_MIN } from '../supplies/seed/rinse.ts';
import { reservoirMlOf } from '../supplies/containers/container.ts';
import { hasPool } from '../supplies/media/below.ts';
import { mediumVolumeMl } from '../supplies/media/medium.ts';
import { DAY, HOUR, MINUTE, type Millis } from '../time/zone.ts';
import { FULL_SHARE, hasReservoir, lossGPerDay, mistMl, storeOf } from '../water/bucket.ts';
import { cleaningPlan } from '../cleaning/cleaning.ts';
import { keepingDays } from '../pantry/keeping.ts';
import { isDisinfected, PREPARING_MIN } from '../sowing/preparing.ts';
import { cutStep } from './cut.ts';
import { feedOf, firstFeed, peroxideAtSowing, peroxideIn } from './doses.ts';
import type { BodyOf, OffBy, SeedLine, Step, StepBody } from './step.ts';

/** Minutes that work at the bench takes (starting figures). */
const WORK_MIN = {
  fill: 8,
  damp: 4,
  sow: 8,
  cover: 4,
  mist: 2,
  press: 3,
  cut: 20,
  wash: 10
};
/** Air and a slower lamp in these last days before the window. */
const AIR_D = 2;
/** Dry hours before a cut, where the tray can stand it. */
const DRY_H = 12;

/** What wants at least so much on it is large seed, g per cm2 (starting figure). */
const LARGE_G_CM2 = 4;

const compiled = new WeakMap<Projected, Step[]>();

/**
 * All steps of a sowing, from weighing to a clean tray: crop x container x medium x method x place, with amounts. In
 * order, and never over one another. Those of the growing stages stand at their expected times, which looks move.
 * Whatever shows a step shows one of these.
 */
export function stepsOf(sowing: Projected): Step[] {
  let steps = compiled.get(sowing);
  if (!steps) compiled.set(sowing, (steps = [...benchSteps(sowing), ...growingSteps(sowing)]));
  return steps;
}

type Timed = [body: StepBody, minutes: number];

function benchSteps(sowing: Projected): Step[] {
  const { soak, state } = sowing;
  const before = preparation(sowing);
  const soaks = soak.soakStart !== null && soak.soakEnd !== null;
  const length = before.reduce((sum, [, minutes]) => sum + minutes, 0) * MINUTE;
  const steps = inARow(before, soaks ? soak.soakStart! - length : soak.sowAt);
  if (soaks) {
    const drainH = drainHours(sowing.crop);
    const sowAt = state.sownAt ?? soak.sowAt;
    steps.push(
      { body: soaking(sowing, soak.soakStart!, soak.soakEnd!), from: soak.soakStart!, until: soak.soakEnd! },
      {
        body: {
          kind: 'drain',
          hours: drainH,
          endsAt: soak.soakEnd!,
          latestAt: softAt(sowing.crop, soak.soakStart!)
        },
        from: soak.soakEnd!,
        until: Math.max(soak.soakEnd!, Math.min(sowAt, soak.soakEnd! + Math.max(drainH * HOUR, 5 * MINUTE)))
      }
    );
  }
  return [...steps, ...inARow(sowingSteps(sowing), Math.max(soak.sowAt, steps.at(-1)!.until))];
}

function inARow(work: readonly Timed[], from: Millis): Step[] {
  let time = from;
  return work.map(([body, minutes]) => {
    const step = { body, from: time, until: time + minutes * MINUTE };
    time = step.until;
    return step;
  });
}

const linesOf = ({ parts }: Projected): SeedLine[] =>
  parts.map(({ crop, seedG, lotId, variety }) => ({
    cropKey: crop.key,
    name: crop.name,
    variety,
    seedG,
    lotId,
    intoWaterAfterH: 0
  }));

/** Seed that may get wet before it lies where it is to grow: none that gels. */
const wettable = ({ parts }: Projected): Projected['parts'] => parts.filter(({ crop }) => !crop.gelSeed);

/** A soak: parts that soak shorter than the whole go in later, so that all come out together. */
function soaking(sowing: Projected, from: Millis, until: Millis): StepBody {
  const hours = (until - from) / HOUR;
  const wet = wettable(sowing);
  const jar = wet
    .map(({ crop, seedG }) => jarFor(crop, seedG))
    .reduce((sum, one) => ({
      dryMl: sum.dryMl + one.dryMl,
      swollenMl: sum.swollenMl + one.swollenMl,
      waterMl: sum.waterMl + one.waterMl,
      jarMl: sum.jarMl + one.jarMl
    }));
  const alone = sowing.parts.length === 1;
  return {
    kind: 'soak',
    jar,
    seed: wet.map(({ crop, seedG, lotId, variety }) => ({
      cropKey: crop.key,
      name: crop.name,
      variety,
      seedG,
      lotId,
      intoWaterAfterH: !alone && hours > crop.soakMaxH ? Math.max(0, hours - crop.soakBestH) : 0
    })),
    dry: sowing.parts.flatMap(({ crop }) => (crop.gelSeed ? [crop.name] : [])),
    hours,
    until,
    latestAt: softAt(sowing.crop, from),
    peroxideMl: peroxideIn(sowing.method, jar.waterMl)
  };
}

function preparation(sowing: Projected): Timed[] {
  const { crop, method } = sowing;
  const lines = linesOf(sowing);
  const wet = wettable(sowing);
  const disinfected = wet.filter((part) => isDisinfected(part.crop, method));
  const disinfects = disinfected.length > 0;
  const advised = wet.flatMap((part) => (part.crop.disinfect === 'advised' ? [part.crop.name] : []));
  const steps: Timed[] = [
    [{ kind: 'weigh', seed: lines, disinfect: disinfects ? [] : advised }, PREPARING_MIN.weigh * lines.length]
  ];
  if (wet.length > 0 && (disinfects || isSoaked(crop)))
    steps.push([{ kind: 'rinse', minutes: RINSE_MIN }, PREPARING_MIN.rinse]);
  if (disinfects && method.disinfect !== 'none') {
    const rule = method.disinfectRule;
    steps.push(
      [
        { kind: 'disinfect', product: method.disinfect, rule, ...solutionsFor(method, disinfected) },
        rule.minutes
      ],
      [{ kind: 'rinse-off' }, PREPARING_MIN.rinseOff]
    );
  }
  return steps;
}

function solutionsFor({ disinfect, disinfectRule: rule }: Projected['method'], parts: Projected['parts']) {
  const mix = disinfect === 'hypochlorite' ? hypochlorite : peroxide;
  try {
    const jars = parts.map(({ crop, seedG }) => ({
      name: crop.name,
      solution: mix(seedG, rule.target, rule.productPct, rule.ratioLKg)
    }));
    return { jars, refused: null };
  } catch (error) {
    if (!(error instanceof Unworkable)) throw error;
    return { jars: [], refused: error.problem };
  }
}

function sowingSteps(sowing: Projected): Timed[] {
  const { method, path, areaCm2, mediumDepthCm, setup, crop } = sowing;
  const { firstG, mediumG } = storeOf(areaCm2, mediumDepthCm, setup.medium, reservoirMlOf(setup));
  const straightIn = { mesh: 'reservoir', none: 'film' } as const;
  const into = setup.medium === 'mesh' || setup.medium === 'none' ? straightIn[setup.medium] : null;
  // On seed that gels nothing is poured: its medium is damped before.
  const after = method.firstWater === 'after-seed' && !crop.gelSeed && into === null;
  const damp: Timed = [
    {
      kind: 'damp',
      waterMl: firstG,
      how: into ?? (method.firstWater === 'after-seed' && !after ? 'before-seed' : method.firstWater),
      feed: firstFeed(sowing, firstG),
      peroxideMl: peroxideAtSowing(method, firstG)
    },
    WORK_MIN.damp
  ];
  const mediumMl = mediumVolumeMl(areaCm2, mediumDepthCm, setup.medium);
  // A bare tray is filled with nothing.
  const steps: Timed[] =
    mediumMl > 0 ? [[{ kind: 'fill', mediumMl, depthCm: mediumDepthCm }, WORK_MIN.fill]] : [];
  if (!after) steps.push(damp);
  steps.push([{ kind: 'sow', seedG: setup.seedG, onWaterMl: firstG }, WORK_MIN.sow]);
  const { seedCover, seedCoverCm } = path;
  if (seedCover !== 'none')
    steps.push([
      { kind: 'cover', cover: seedCover, cm: seedCoverCm, volumeMl: areaCm2 * seedCoverCm },
      WORK_MIN.cover
    ]);
  if (after) steps.push(damp);
  const waterMl = mistMl(areaCm2);
  steps.push([
    {
      kind: 'mist',
      waterMl,
      fine: crop.gelSeed,
      peroxideMl: peroxideAtSowing(method, waterMl),
      first: { cover: path.cover, then: path.mists, leftShare: shareLeft(sowing, mediumG) }
    },
    WORK_MIN.mist
  ]);
  if (path.cover !== 'none')
    steps.push([
      {
        kind: 'press',
        cover: path.cover,
        watch: path.cover === 'lid' && lifts(sowing),
        // Two halves lie under one weight.
        pressing: path.pressesLate ? null : path.cover === 'stacked' ? topWeight(sowing) : pressingIn(sowing),
        later: path.pressesLate ? pressingIn(sowing) : null,
        shared: setup.half !== null,
        onTop: path.cover === 'stacked' ? onTopOf(sowing) : 0,
        stacking: path.cover === 'stacked' ? stackingOf(sowing) : null
      },
      WORK_MIN.press
    ]);
  return steps;
}

const pressingIn = ({ path, areaCm2, setup }: Projected): Pressing | null =>
  pressingOf(path, areaCm2 / setup.areaShare, setup.count);

/** The weight on each top tray of a stack: so much that the lowest bears it with the trays between them. */
function topWeight(sowing: Projected): Pressing | null {
  const { path, areaCm2, setup } = sowing;
  if (!(path.pressGCm2 > 0)) return null;
  const { stacks, topGCm2, lowestGCm2, mostGCm2 } = stackingOf(sowing);
  const each = areaCm2 / setup.areaShare / setup.count;
  const above = lowestGCm2 - topGCm2;
  return {
    eachG: topGCm2 * each,
    leastG: path.bearsGCm2[0] * each,
    mostG: Math.max(topGCm2, mostGCm2 - above) * each,
    containers: stacks
  };
}

/** The weight that comes once it has rooted. */
const lateWeight = (sowing: Projected): BodyOf<'weight'> => ({
  kind: 'weight',
  pressing: pressingIn(sowing)!,
  shared: sowing.setup.half !== null
});

/** Large seed wants a weight: under nothing but a lid it lifts that, and itself out of the medium. */
const lifts = ({ parts }: Projected): boolean => parts.some(({ crop }) => crop.pressMinGCm2 >= LARGE_G_CM2);

/** Share of its water that a tray has left when its cover comes off, if nothing is added until then. */
function shareLeft({ path, place, areaCm2, forecast, soak }: Projected, capacity: number): number {
  if (capacity === 0) return 0;
  const until = path.blackout ? forecast.litAt : forecast.marks.rooted.p50;
  const days = Math.max(0, (Number.isFinite(until) ? until : forecast.marks.rooted.p50) - soak.sowAt) / DAY;
  const air = { tempC: meanTempC(place), humidityPct: place.humidityPct, movingAir: place.movingAir };
  const lost = lossGPerDay(areaCm2, path.cover === 'none' ? 'germinating' : 'covered', air) * days;
  return Math.max(0, FULL_SHARE - lost / capacity);
}

/** What takes its cover off, if it has one: the bench laid it on, the round takes it off. */
export function uncovering(sowing: Projected): Extract<StepBody, { kind: 'uncover' }> | null {
  const { path } = sowing;
  if (path.cover === 'none') return null;
  return {
    kind: 'uncover',
    off: coverOn(sowing) === 'weight' ? 'weight' : path.cover,
    to: path.blackout || path.lightFrom === null ? 'blackout' : 'light',
    where: sowing.place.light.kind,
    by: path.cover === 'clear' || !path.blackout ? offBy(sowing) : null
  };
}

/** What brings it from under its dome to light. */
export const lighting = (sowing: Projected): BodyOf<'light'> => ({
  kind: 'light',
  where: sowing.place.light.kind,
  by: offBy(sowing)
});

/** What it is brought to light by, or its clear lid comes off by. */
function offBy({ path: { domeCm, domeStemCm, domeDays, darkDays } }: Projected): OffBy | null {
  if (darkDays !== null) return { kind: 'dark-days', days: darkDays };
  if (domeDays !== null) return { kind: 'dome-days', days: domeDays };
  return domeCm === null || domeStemCm === null
    ? null
    : { kind: 'height', overRimCm: domeCm, stemCm: domeStemCm };
}

/** When the shade of a sill comes off, where it stands on one and is not meant to be in the dark until then; null for none. */
export function unshadesAt(sowing: Projected): Millis | null {
  const { path, forecast, state, startAt, place, carriedTo } = sowing;
  const at = shadedUntil(path, startAt, state);
  const lit = carriedTo ?? place;
  return at !== null && lit.light.kind === 'sill' && at > forecast.litAt ? at : null;
}

function growingSteps(sowing: Projected): Step[] {
  const { crop, method, path, forecast, soak, state } = sowing;
  const { marks, litAt } = forecast;
  if (!isPromised(sowing)) return [];
  const sownAt = state.sownAt ?? soak.sowAt;
  const open = Math.max(marks.windowOpen.p50, sownAt + HOUR);
  const rooted = uncoversAt(sowing, marks.rooted.p50);
  const dark = path.lightFrom === null;
  const stands =
    path.blackout && !dark ? litAt : Number.isFinite(standsSince(sowing)) ? standsSince(sowing) : rooted;
  const dryFrom = crop.droughtRisk === 'high' ? open : open - DRY_H * HOUR;
  const airFrom = Math.max(stands, Math.min(dryFrom, open - AIR_D * DAY));
  const moments: [Millis, StepBody][] = [];
  const uncover = uncovering(sowing);
  if (path.pressesLate) moments.push([state.pressedAt ?? marks.rooted.p50, lateWeight(sowing)]);
  if (uncover) moments.push([rooted, uncover]);
  if (path.blackout && !dark) moments.push([litAt, lighting(sowing)]);
  const perL = peroxideIn(method, 1000);
  moments.push([
    Math.min(stands, open),
    {
      kind: 'water',
      waterMl: null,
      staysMl: null,
      share: null,
      ifStoodMl: null,
      why: null,
      how: lightWay(sowing),
      timesADay: path.poursADay,
      feed: feedOf(sowing, null),
      peroxideMl: perL
    }
  ]);
  if (!dark)
    for (const { name, timesADay } of method.sprays)
      moments.push([
        Math.min(stands, open),
        { kind: 'spray', name, waterMl: mistMl(sowing.areaCm2), timesADay }
      ]);
  const unshades = unshadesAt(sowing);
  if (unshades !== null && unshades < open) moments.push([unshades, { kind: 'unshade' }]);
  if (!dark) moments.push([Math.min(airFrom, open), { kind: 'air', drivers: [] }]);
  if (dryFrom < open) moments.push([Math.max(dryFrom, Math.min(airFrom, open)), { kind: 'dry' }]);
  // Washing, keeping and cleaning follow the cut, whenever that is.
  const wash = open + WORK_MIN.cut * MINUTE;
  const keep = wash + WORK_MIN.wash * MINUTE;
  moments.push([open, cutStep(sowing, open)]);
  moments.push([wash, { kind: 'wash', washing: method.washing }]);
  moments.push([keep, { kind: 'keep', ...keepingDays(crop, method.washing), keepAtC: crop.keepAtC }]);
  moments.push([keep, { kind: 'clean', ...cleaningPlan(sowing) }]);
  const steps: Step[] = [];
  moments.forEach(([at, body], index) => {
    const from = Math.max(at, steps.at(-1)?.until ?? sownAt);
    // Each lasts until the next begins: taking the lid off opens the stage that the next step ends.
    steps.push({ body, from, until: Math.max(from, moments[index + 1]?.[0] ?? from) });
  });
  return steps;
}

/** Where its water goes in light: what lives from a reservoir or a pool is filled there, all else goes by its method. */
function lightWay({ method, setup, path }: Projected): Extract<StepBody, { kind: 'water' }>['how'] {
  if (hasReservoir(setup)) return 'reservoir';
  if (path.poursADay > 0) return 'through';
  if (hasPool(setup.medium)) return 'below';
  return method.lightWater === 'first-above' ? 'above' : method.lightWater;
}
