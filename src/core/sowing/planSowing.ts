import type { Place } from '../clock/place.ts';
import { areaCm2, reservoirMlOf, type Container } from '../containers/container.ts';
import type { Crop, Density } from '../crops/crop.ts';
import { leftG, lotGermination, type LotStock } from '../lots/lot.ts';
import type { MediumKind } from '../medium/medium.ts';
import type { Method } from '../methods/method.ts';
import { planHalves } from '../mix/halves.ts';
import { blend, type MixPart } from '../mix/mix.ts';
import { mixParts } from '../mix/parts.ts';
import { areaShares, type ShareOf } from '../mix/shares.ts';
import { plan, type Aim, type Plan } from '../plan/plan.ts';
import { protocolOfPlan } from '../protocol/ofPlan.ts';
import type { Step } from '../protocol/step.ts';
import { densityOf } from '../seed/amount.ts';
import type { Rhythm } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';
import { learnedBelief, type Learned } from '../window/learned.ts';

/** How several crops share a container: not at all, side by side as sowings of their own, or as one blend of seed. */
export type SowingKind = 'one' | 'halves' | 'blended';

/** One crop of what was chosen. */
export interface ChosenPart {
  crop: Crop;
  /** The lot its seed comes from; null for seed that is not kept. */
  lot: LotStock | null;
  /** Its share in a blend, on any scale. */
  share: number;
}

/** What a person chose for a sowing, in base units; all else follows from it. */
export interface SowingChoice {
  kind: SowingKind;
  /** One crop, two halves, or the parts of a blend. */
  parts: readonly ChosenPart[];
  shareOf: Exclude<ShareOf, 'area'>;
  /** Of halves: the faster later, so that both are best on one day. */
  staggered: boolean;
  container: Container;
  count: number;
  medium: MediumKind;
  method: Method;
  place: Place;
  /** By the crop's own figures, or seeds per cm2. */
  density: Density | number;
  /** Grams of one's own for all of it, which win over the density; null for what is worked out. */
  ownSeedG: number | null;
  /** As typed, percent; null for each lot's own. */
  germinationPct: number | null;
  aim: Aim;
}

/** What it is worked out against. */
export interface PlanContext {
  learned: Learned;
  rhythm: Rhythm;
  latitudeDeg: number;
  now: Millis;
}

/** One sowing as it is shown, and as it is stored. */
export interface PlannedSowing {
  /** The crop; of a blend, what its parts come to. */
  crop: Crop;
  plan: Plan;
  /** The parts of a blend with their seed; null for one crop. */
  mix: MixPart[] | null;
  cropKey: string;
  lotId: string | null;
  /** Seed in all, g: what the headline says, what is weighed, and what is drawn from lots. */
  seedG: number;
  /** Share of the containers that it takes. */
  areaShare: number;
  seedsPerCm2: number;
  germinationPct: number | null;
  /** What it asks for, step by step. */
  steps: Step[];
  /** Seed beyond what its lots hold, g; 0 where it is enough or nobody knows. */
  shortG: number;
}

/** What is known of a part's germination: as typed, else of its lot; null for the crop's usual. */
const germinationOf = (choice: SowingChoice, { lot }: ChosenPart): number | null =>
  choice.germinationPct ?? (lot ? (lotGermination(lot)?.pct ?? null) : null);

/**
 * Plans what was chosen: one sowing, or two where it is halves. The page shows what comes of it and the server stores
 * what comes of it, so that both are the same to the gram.
 */
export function planSowing(choice: SowingChoice, context: PlanContext): PlannedSowing[] {
  return choice.kind === 'blended' ? [planBlend(choice, context)] : planApart(choice, context);
}

const commonOf = (
  { container, count, medium, method, place, aim }: SowingChoice,
  { rhythm, latitudeDeg, now }: PlanContext
) => ({ container, count, medium, method, place, aim, rhythm, latitudeDeg, now });

/** Seed beyond what a lot holds, g. */
const shortOf = ({ lot }: ChosenPart, seedG: number): number => (lot ? Math.max(0, seedG - leftG(lot)) : 0);

function planApart(choice: SowingChoice, context: PlanContext): PlannedSowing[] {
  const { parts, kind, staggered, density } = choice;
  const areaShare = 1 / parts.length;
  const area = areaCm2(choice.container) * choice.count * areaShare;
  const halves = parts.map((part) => {
    const germinationPct = germinationOf(choice, part);
    const own = choice.ownSeedG === null ? null : choice.ownSeedG * areaShare;
    return {
      crop: part.crop,
      areaShare,
      germinationPct,
      seedsPerCm2:
        own === null
          ? typeof density === 'number'
            ? density
            : part.crop.seedsPerCm2[density]
          : densityOf(part.crop, area, own, germinationPct ?? undefined),
      belief: learnedBelief(context.learned, part.crop)
    };
  });
  const plans = planHalves(commonOf(choice, context), halves, kind === 'halves' && staggered);
  return plans.map((planned, index) => {
    const part = parts[index]!;
    const { seedG } = planned.seed;
    return {
      ...halves[index]!,
      plan: planned,
      mix: null,
      cropKey: part.crop.key,
      lotId: part.lot?.id ?? null,
      seedG,
      steps: stepsOf(choice, planned, part.crop, areaShare, [{ part, seedG }]),
      shortG: shortOf(part, seedG)
    };
  });
}

function planBlend(choice: SowingChoice, context: PlanContext): PlannedSowing {
  const { parts, density } = choice;
  const shares = areaShares(
    parts.map(({ crop }) => crop),
    parts.map(({ share }) => share),
    choice.shareOf
  );
  const portions = parts.map((part, index) => ({
    crop: part.crop,
    areaShare: shares[index]!,
    lotId: part.lot?.id ?? null,
    germinationPct: germinationOf(choice, part)
  }));
  const crop = blend(portions);
  const area = areaCm2(choice.container) * choice.count;
  // Each part lies as close against its own usual as the whole does against the blend's.
  const chosen = typeof density === 'number' ? density : crop.seedsPerCm2[density];
  const asChosen = mixParts(portions, area, chosen / crop.seedsPerCm2.usual);
  const worked = sumG(asChosen);
  const scale = choice.ownSeedG === null ? 1 : choice.ownSeedG / worked;
  const mix = asChosen.map((one) => ({ ...one, seedG: one.seedG * scale }));
  const seedsPerCm2 = chosen * scale;
  const planned = plan({
    ...commonOf(choice, context),
    crop,
    seedsPerCm2,
    germinationPct: choice.germinationPct,
    belief: learnedBelief(context.learned, crop)
  });
  const seedG = sumG(mix);
  const lines = mix.map((one, index) => ({ part: parts[index]!, seedG: one.seedG }));
  return {
    crop,
    // The blend's own figures know nothing of its lots: its seed is that of its parts.
    plan: { ...planned, seed: seedOf(planned, seedG) },
    mix,
    cropKey: parts[0]!.crop.key,
    lotId: null,
    seedG,
    areaShare: 1,
    seedsPerCm2,
    germinationPct: choice.germinationPct,
    steps: stepsOf(choice, planned, crop, 1, lines),
    shortG: lines.reduce((sum, line) => sum + shortOf(line.part, line.seedG), 0)
  };
}

/** The blend's seed as its parts make it, so that what is shown of it multiplies to what is weighed. */
const seedOf = ({ seed }: Plan, seedG: number): Plan['seed'] => {
  const factor = seedG / seed.seedG;
  return { ...seed, seedG, seeds: seed.seeds * factor, germinationFactor: seed.germinationFactor * factor };
};

const sumG = (parts: readonly { seedG: number }[]): number =>
  parts.reduce((sum, { seedG }) => sum + seedG, 0);

const stepsOf = (
  { method, medium, container, count, place }: SowingChoice,
  planned: Plan,
  crop: Crop,
  areaShare: number,
  lines: readonly { part: ChosenPart; seedG: number }[]
): Step[] =>
  protocolOfPlan(planned, {
    crop,
    method,
    medium,
    containerDepthCm: container.depthCm,
    containers: count,
    reservoirMl: reservoirMlOf({ container, count, areaShare }),
    place,
    seed: lines.map(({ part, seedG }) => ({
      crop: part.crop,
      cropKey: part.crop.key,
      name: part.crop.name,
      seedG,
      lotId: part.lot?.id ?? null
    }))
  });
