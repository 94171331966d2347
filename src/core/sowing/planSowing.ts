import type { Place } from '../places/place.ts';
import { leavesForLight } from './carried.ts';
import { areaCm2, type Container } from '../supplies/containers/container.ts';
import type { Crop, Density } from '../crops/crop.ts';
import { leftG, lotGermination, type LotStock } from '../supplies/seed/lot.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import type { Method } from '../supplies/methods/method.ts';
import type { Path } from '../supplies/methods/path.ts';
import { sowingThirst, thirstBelief } from '../water/thirst.ts';
import type { HouseholdFacts, Projected } from './project.ts';
import { reduceEvents } from './reduce.ts';
import { besidePath, cropAsSet, pathIn, sowingOf, type SowingSetup } from './sowing.ts';
import { planHalves } from './halves.ts';
import { blend } from '../crops/blend.ts';
import { mixParts } from '../supplies/seed/parts.ts';
import { areaShares, type ShareOf } from '../crops/shares.ts';
import { plan, type Aim, type Plan } from './plan.ts';
import { suitOf } from '../growth/suit.ts';
import { densityOf } from '../supplies/seed/amount.ts';
import { yieldBelief } from '../growth/yieldLearned.ts';
import { longestGapH } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';
import { learnedBelief, learnedTelling } from '../growth/learned.ts';

/** How several crops share a container: not at all, side by side as sowings of their own, or as one blend of seed. */
export type SowingKind = 'one' | 'halves' | 'blended';

/** One crop of what was chosen. */
export interface ChosenPart {
  crop: Crop;
  /** The lot its seed comes from; null for seed that is not kept. */
  lot: LotStock | null;
  /** Its share in a blend, on any scale. */
  share: number;
  /** What this kind of the crop is called, where somebody named it. */
  variety?: string;
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
  /** The household's own medium, where it is one. */
  mediumId: string | null;
  method: Method;
  place: Place;
  /** Of what is sown in the dark, where it is carried as it comes to light; null where it is not. */
  lightPlace: Place | null;
  /** By the crop's own figures, or seeds per cm2. */
  density: Density | number;
  /** Grams of one's own for all of it, which win over the density; null for what is worked out. */
  ownSeedG: number | null;
  /** As typed, percent; null for each lot's own. */
  germinationPct: number | null;
  /** Hours of soaking of one's own, 0 for none; null for each crop's own. */
  soakH: number | null;
  /** Trays in a stack, where the grower chose how many; null for as many as the seed at the bottom bears. */
  stackOf: number | null;
  aim: Aim;
}

/** The household that it is planned for, and when. */
export interface PlanContext extends HouseholdFacts {
  now: Millis;
}

/** One sowing as it is shown, and as it is stored. */
export interface PlannedSowing {
  plan: Plan;
  /** What is stored of it, but for its id and those of what it stands in. */
  setup: SowingSetup;
  /** As it will go: the same that every view takes of one under way. */
  projected: Projected;
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
  { container, count, medium, method, place, aim, soakH }: SowingChoice,
  { learned, rhythm, latitudeDeg, now }: PlanContext
) => ({
  container,
  count,
  medium,
  method,
  place,
  aim,
  soakH,
  ...(learned ? { telling: learnedTelling(learned) } : {}),
  rhythm,
  latitudeDeg,
  now
});

/** Where it is carried from the dark, if at all. */
const carriedFrom = ({ place, lightPlace }: SowingChoice, path: Path): Place | null =>
  leavesForLight(place, path) ? lightPlace : null;

/** Seed beyond what its lots hold, g: parts of one packet draw on it together. */
function shortOf(
  parts: readonly ChosenPart[],
  lines: readonly { lotId: string | null; seedG: number }[]
): number {
  const lots = new Map(parts.flatMap(({ lot }) => (lot ? [[lot.id, lot] as const] : [])));
  return [...lots].reduce((sum, [id, lot]) => {
    const wanted = lines.reduce((all, { lotId, seedG }) => (lotId === id ? all + seedG : all), 0);
    return sum + Math.max(0, wanted - leftG(lot));
  }, 0);
}

function planApart(choice: SowingChoice, context: PlanContext): PlannedSowing[] {
  const { parts, kind, staggered, density } = choice;
  const areaShare = 1 / parts.length;
  const area = areaCm2(choice.container) * choice.count * areaShare;
  const paths = parts.map(({ crop }) => pathIn(cropAsSet(crop, choice), choice));
  const halves = parts
    .map((part, index) => {
      const germinationPct = germinationOf(choice, part);
      const own = choice.ownSeedG === null ? null : choice.ownSeedG * areaShare;
      return {
        crop: part.crop,
        areaShare,
        germinationPct,
        // Two halves are one container: they go one way.
        path: parts.reduce(
          (path, other) => (other === part ? path : besidePath(part.crop, path, other.crop, choice)),
          paths[index]!
        ),
        seedsPerCm2:
          own === null
            ? typeof density === 'number'
              ? density
              : part.crop.seedsPerCm2[density]
            : densityOf(part.crop, area, own, germinationPct ?? undefined),
        belief: learnedBelief(context.learned, part.crop),
        yields: yieldBelief(context.yields, part.crop.key)
      };
    })
    .map((half) => ({ ...half, carriedTo: carriedFrom(choice, half.path) }));
  const plans = planHalves(commonOf(choice, context), halves, kind === 'halves' && staggered);
  return plans.map((planned, index) => {
    const part = parts[index]!;
    const { seedG } = planned.seed;
    const beside = kind === 'halves' ? parts[1 - index]! : null;
    return withSetup(
      choice,
      planned,
      {
        cropKey: part.crop.key,
        mix: null,
        areaShare,
        seedsPerCm2: halves[index]!.seedsPerCm2,
        germinationPct: halves[index]!.germinationPct,
        seedG,
        lotId: part.lot?.id ?? null,
        half: beside ? { trayId: '', besideKey: beside.crop.key } : null
      },
      context
    );
  });
}

/** A plan with what is stored of it and how it will go. */
function withSetup(
  choice: SowingChoice,
  plan: Plan,
  of: Pick<
    SowingSetup,
    'cropKey' | 'mix' | 'areaShare' | 'seedsPerCm2' | 'germinationPct' | 'seedG' | 'lotId' | 'half'
  >,
  { rhythm, latitudeDeg, places, thirst }: PlanContext
): PlannedSowing {
  const { container, count, medium, mediumId, method, place, soakH, stackOf, parts } = choice;
  const { soakStart, soakEnd, sowAt } = plan.soak;
  const carriedTo = carriedFrom(choice, plan.path);
  const setup: SowingSetup = {
    ...of,
    id: '',
    container,
    count,
    medium,
    mediumId,
    method,
    placeId: place.id,
    lightPlaceId: carriedTo?.id ?? null,
    soakStartAt: soakStart,
    soakEndAt: soakEnd,
    sowAt,
    soakH,
    stackOf,
    trayNo: null
  };
  const crops = new Map(parts.map(({ crop }) => [crop.key, crop]));
  const lines = of.mix ?? [of];
  const sowing = sowingOf(setup, crops);
  return {
    plan,
    setup,
    projected: {
      ...sowing,
      state: reduceEvents([]),
      soak: plan.soak,
      startAt: sowAt,
      place,
      stays: [{ from: -Infinity, place }],
      carriedTo,
      forecast: plan.forecast,
      firstGrowth: null,
      suit: suitOf(
        {
          crop: sowing.crop,
          needsLight: plan.path.lightFrom !== null,
          latitudeDeg,
          zone: rhythm.zone,
          startAt: sowAt
        },
        { place, carriedTo },
        [...places.values()]
      ),
      yields: plan.yields,
      gapH: longestGapH(rhythm),
      thirst: sowingThirst(thirstBelief(thirst))
    },
    shortG: shortOf(parts, lines)
  };
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
    germinationPct: germinationOf(choice, part),
    ...(part.variety ? { variety: part.variety } : {})
  }));
  const crop = blend(portions, choice.method.taking);
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
    lots: parts.length,
    crop,
    carriedTo: carriedFrom(choice, pathIn(cropAsSet(crop, choice), choice)),
    seedsPerCm2,
    germinationPct: choice.germinationPct,
    belief: learnedBelief(context.learned, crop),
    yields: yieldBelief(context.yields, crop.key)
  });
  const seedG = sumG(mix);
  // The blend's own figures know nothing of its lots: its seed is that of its parts.
  return withSetup(
    choice,
    { ...planned, seed: seedOf(planned, seedG) },
    {
      cropKey: parts[0]!.crop.key,
      mix,
      areaShare: 1,
      seedsPerCm2,
      germinationPct: choice.germinationPct,
      seedG,
      lotId: null,
      half: null
    },
    context
  );
}

/** The blend's seed as its parts make it, so that what is shown of it multiplies to what is weighed. */
const seedOf = ({ seed }: Plan, seedG: number): Plan['seed'] => {
  const factor = seedG / seed.seedG;
  return { ...seed, seedG, seeds: seed.seeds * factor, germinationFactor: seed.germinationFactor * factor };
};

const sumG = (parts: readonly { seedG: number }[]): number =>
  parts.reduce((sum, { seedG }) => sum + seedG, 0);
