import type { Place } from '../clock/place.ts';
import { meanTempC } from '../clock/place.ts';
import { isSoaked, type Crop } from '../crops/crop.ts';
import type { MediumKind } from '../medium/medium.ts';
import type { Method } from '../methods/method.ts';
import type { Path } from '../methods/path.ts';
import { pressingOf } from '../methods/pressing.ts';
import { hypochlorite, peroxide, weakPeroxideMl } from '../prepare/disinfect.ts';
import { RINSE_MIN } from '../prepare/rinse.ts';
import { jarFor } from '../soak/jar.ts';
import { drainHours, type SoakPlan } from '../soak/schedule.ts';
import { DAY, HOUR, MINUTE, type Millis } from '../time/zone.ts';
import { FULL_SHARE, lossGPerDay, mistMl, storeOf } from '../water/bucket.ts';
import type { Forecast } from '../window/forecast.ts';
import type { SeedLine, Step, StepBody } from './step.ts';

/** What a protocol is compiled from: crop x container x medium x method x place, and when. */
export interface ProtocolInput {
  crop: Crop;
  method: Method;
  path: Path;
  medium: MediumKind;
  mediumDepthCm: number;
  /** Of all its containers together. */
  areaCm2: number;
  containers: number;
  /** What their reservoirs hold together; null for none of their own. */
  reservoirMl: number | null;
  place: Place;
  seed: readonly Omit<SeedLine, 'intoWaterAfterH'>[];
  /** Crops of the seed lines, in the same order. */
  seedCrops: readonly Crop[];
  soak: SoakPlan;
  forecast: Forecast;
}

/** Minutes that work at the bench takes (starting figures). */
const WORK_MIN = {
  weigh: 4,
  rinse: RINSE_MIN,
  rinseOff: 5,
  fill: 8,
  damp: 4,
  sow: 8,
  cover: 4,
  mist: 2,
  press: 3
};
/** Air and a slower lamp in these last days before the window (methods). */
const AIR_D = 2;
/** Dry hours before a cut, where the tray can stand it. */
const DRY_H = 12;

/**
 * The protocol of one sowing, from weighing to a clean tray. Steps are in order and never overlap. Those
 * of the growing stages stand at their expected times, which looks then move.
 */
export function compileProtocol(input: ProtocolInput): Step[] {
  return [...benchSteps(input), ...growingSteps(input)];
}

type Timed = [body: StepBody, minutes: number];

function benchSteps(input: ProtocolInput): Step[] {
  const { soak, crop } = input;
  const before = preparation(input);
  const soaks = soak.soakStart !== null && soak.soakEnd !== null;
  const length = before.reduce((sum, [, minutes]) => sum + minutes, 0) * MINUTE;
  const steps = inARow(before, soaks ? soak.soakStart! - length : soak.sowAt);
  if (soaks) {
    const hours = (soak.soakEnd! - soak.soakStart!) / HOUR;
    const latestAt = soak.soakStart! + crop.soakMaxH * HOUR;
    const seed = soakLines(input, hours);
    const jar = seed
      .map((line, index) => jarFor(input.seedCrops[index]!, line.seedG))
      .reduce((sum, one) => ({
        dryMl: sum.dryMl + one.dryMl,
        swollenMl: sum.swollenMl + one.swollenMl,
        waterMl: sum.waterMl + one.waterMl,
        jarMl: sum.jarMl + one.jarMl
      }));
    const drainH = drainHours(crop);
    steps.push(
      { body: { kind: 'soak', jar, seed, hours, latestAt }, from: soak.soakStart!, until: soak.soakEnd! },
      {
        body: { kind: 'drain', hours: drainH },
        from: soak.soakEnd!,
        until: Math.min(soak.sowAt, soak.soakEnd! + Math.max(drainH * HOUR, 5 * MINUTE))
      }
    );
  }
  return [...steps, ...inARow(sowing(input), Math.max(soak.sowAt, steps.at(-1)!.until))];
}

function inARow(work: readonly Timed[], from: Millis): Step[] {
  let time = from;
  return work.map(([body, minutes]) => {
    const step = { body, from: time, until: time + minutes * MINUTE };
    time = step.until;
    return step;
  });
}

/** Parts that soak shorter than the whole go in later, so that all come out together. */
function soakLines({ seed, seedCrops }: ProtocolInput, hours: number): SeedLine[] {
  return seed.map((line, index) => {
    const part = seedCrops[index]!;
    return { ...line, intoWaterAfterH: hours > part.soakMaxH ? Math.max(0, hours - part.soakBestH) : 0 };
  });
}

function preparation(input: ProtocolInput): Timed[] {
  const { crop, method, seed } = input;
  const lines = seed.map((line) => ({ ...line, intoWaterAfterH: 0 }));
  const steps: Timed[] = [[{ kind: 'weigh', seed: lines }, WORK_MIN.weigh * lines.length]];
  // Seed that gels must not get wet before it lies where it is to grow.
  if (crop.gelSeed) return steps;
  const disinfects = method.disinfect !== 'none' && crop.disinfect !== 'no';
  if (disinfects || isSoaked(crop)) steps.push([{ kind: 'rinse', minutes: RINSE_MIN }, WORK_MIN.rinse]);
  if (disinfects && method.disinfect !== 'none') {
    const seedG = seed.reduce((sum, line) => sum + line.seedG, 0);
    const rule = method.disinfectRule;
    steps.push(
      [
        { kind: 'disinfect', product: method.disinfect, rule, ...solutionFor(method.disinfect, rule, seedG) },
        rule.minutes
      ],
      [{ kind: 'rinse-off' }, WORK_MIN.rinseOff]
    );
  }
  return steps;
}

function solutionFor(product: 'hypochlorite' | 'peroxide', rule: Method['disinfectRule'], seedG: number) {
  const mix = product === 'hypochlorite' ? hypochlorite : peroxide;
  try {
    return { solution: mix(seedG, rule.target, rule.productPct, rule.ratioLKg), refused: '' };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { solution: null, refused: error.message };
  }
}

function sowing(input: ProtocolInput): Timed[] {
  const { method, path, areaCm2, mediumDepthCm, medium, seed, crop } = input;
  const seedG = seed.reduce((sum, line) => sum + line.seedG, 0);
  const store = storeOf(areaCm2, mediumDepthCm, medium, input.reservoirMl);
  const { firstG: poured, mediumG: held } = store;
  const damp: Timed = [
    {
      kind: 'damp',
      waterMl: poured,
      firstWater: method.firstWater,
      peroxideMl: method.peroxide === 'none' ? 0 : weakPeroxideMl(poured)
    },
    WORK_MIN.damp
  ];
  const steps: Timed[] = [
    [{ kind: 'fill', mediumMl: areaCm2 * mediumDepthCm, depthCm: mediumDepthCm }, WORK_MIN.fill]
  ];
  if (poured > 0 && method.firstWater !== 'after-seed') steps.push(damp);
  steps.push([{ kind: 'sow', seedG }, WORK_MIN.sow]);
  if (path.seedCover !== 'none')
    steps.push([
      { kind: 'cover', cover: path.seedCover, cm: path.seedCoverCm, volumeMl: areaCm2 * path.seedCoverCm },
      WORK_MIN.cover
    ]);
  if (poured > 0 && method.firstWater === 'after-seed') steps.push(damp);
  steps.push([
    {
      kind: 'mist',
      waterMl: mistMl(areaCm2),
      fine: crop.gelSeed,
      covered: path.cover !== 'none',
      then: path.mists,
      leftShare: shareLeft(input, held)
    },
    WORK_MIN.mist
  ]);
  if (path.cover !== 'none')
    steps.push([
      { kind: 'press', cover: path.cover, pressing: pressingOf(crop, path, areaCm2, input.containers) },
      WORK_MIN.press
    ]);
  return steps;
}

/** Share of its water that a tray has left when its cover comes off, if nothing is added until then. */
function shareLeft({ path, place, areaCm2, forecast, soak }: ProtocolInput, capacity: number): number {
  if (capacity === 0) return 0;
  const until = lightAt(path, forecast);
  const days = Math.max(0, (Number.isFinite(until) ? until : forecast.marks.rooted.p50) - soak.sowAt) / DAY;
  const air = { tempC: meanTempC(place), humidityPct: place.humidityPct, movingAir: place.movingAir };
  const lost = lossGPerDay(areaCm2, path.cover === 'none' ? 'germinating' : 'covered', air) * days;
  return Math.max(0, FULL_SHARE - lost / capacity);
}

/** When it is expected to come to light; Infinity for what stays dark. */
function lightAt(path: Path, { marks }: Forecast): Millis {
  if (path.lightFrom === null) return Infinity;
  if (path.lightFrom === 'sown') return marks.rooted.p50;
  if (path.domeDays !== null) return marks.rooted.p50 + path.domeDays * DAY;
  return marks[path.lightFrom].p50;
}

function growingSteps({ crop, method, path, place, areaCm2, forecast, soak }: ProtocolInput): Step[] {
  const { marks } = forecast;
  if (!Number.isFinite(marks.windowOpen.p50)) return [];
  const steps: Step[] = [];
  const open = Math.max(marks.windowOpen.p50, soak.sowAt + HOUR);
  const close = Math.max(marks.windowClose.p50, open + HOUR);
  const lit = Math.min(lightAt(path, forecast), open);
  const dryFrom = crop.droughtRisk === 'high' ? open : open - DRY_H * HOUR;
  const airFrom = path.lightFrom === null ? -Infinity : Math.max(lit, Math.min(dryFrom, open - AIR_D * DAY));
  const moments: [Millis, StepBody][] = [];
  if (path.cover !== 'none')
    moments.push([marks.rooted.p50, { kind: 'uncover', to: path.blackout ? 'blackout' : 'light' }]);
  if (path.lightFrom !== null && (path.blackout || path.lightFrom === 'sown'))
    moments.push([lit, { kind: 'light', lamp: place.light.kind === 'lamp' }]);
  if (method.feed !== 'none' && path.lightFrom !== null)
    moments.push([
      lit,
      { kind: 'feed', strength: method.feed === 'half' ? 0.5 : 1, reservoir: method.feed === 'reservoir' }
    ]);
  if (path.lightFrom !== null) moments.push([airFrom, { kind: 'air' }]);
  if (dryFrom < open) moments.push([Math.max(dryFrom, airFrom), { kind: 'dry' }]);
  const expectedG = (crop.yieldMidGM2 * areaCm2) / 10_000;
  moments.push([open, { kind: 'cut', tool: method.cutting, taking: method.taking, expectedG }]);
  moments.push([close, { kind: 'wash', washing: method.washing }]);
  const days = method.washing === 'washed' ? WASHED_COST_D : 0;
  moments.push([
    close,
    {
      kind: 'keep',
      minD: Math.max(1, crop.keepsMinD - days),
      maxD: Math.max(1, crop.keepsMaxD - days),
      keepAtC: crop.keepAtC
    }
  ]);
  moments.push([close, { kind: 'clean', compost: true }]);
  const earliest = soak.sowAt;
  moments.forEach(([at, body], index) => {
    const from = Math.max(at, steps.at(-1)?.until ?? earliest);
    // Each lasts until the next begins: taking the lid off opens the stage that the next step ends.
    const until = Math.max(from, moments[index + 1]?.[0] ?? from);
    steps.push({ body, from, until });
  });
  return steps;
}

/** Washing costs two or three days of keeping (methods). */
const WASHED_COST_D = 2;
