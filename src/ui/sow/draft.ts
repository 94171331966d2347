import type { Place } from '$core/places/place.ts';
import { checkContainer } from '$core/supplies/containers/check.ts';
import { SIZE_BOUNDS, type Container } from '$core/supplies/containers/container.ts';
import { isNameOfAnother, ofSize, sizeOf } from '$core/supplies/containers/sizes.ts';
import { findCrop } from '$core/crops/library.ts';
import type { Crop, Density } from '$core/crops/crop.ts';
import { isDead, type LotStock } from '$core/supplies/seed/lot.ts';
import type { MediumKind } from '$core/supplies/media/medium.ts';
import type { Method } from '$core/supplies/methods/method.ts';
import type { ShareOf } from '$core/crops/shares.ts';
import { lightPlaceFor } from '$core/sowing/carried.ts';
import { aimOf } from '$core/sowing/aim.ts';
import {
  planSowing,
  type PlanContext,
  type PlannedSowing,
  type SowingChoice,
  type SowingKind
} from '$core/sowing/planSowing.ts';
import { isStackTooHigh } from '$core/shelf/stack.ts';
import { MOST_SOAK_H, TOO_HIGH_STACK } from '$contract/schemas/sowing.ts';
import { problemWords } from '$words/problems.ts';
import { suggestedName } from '$words/containers.ts';
import type { Units } from '$core/units/format.ts';
import { readNumber } from '$core/units/parseQuantity.ts';

/** One crop of a draft, with the lot its seed comes from and its share as typed. */
export interface DraftPart {
  cropKey: string;
  lotId: string;
  share: string;
}

/** The crops of a draft. */
export interface SeedDraft {
  kind: SowingKind;
  /** One part for one crop, two halves, or the parts of blended seed. */
  parts: DraftPart[];
  shareOf: Exclude<ShareOf, 'area'>;
}

/** What a person has chosen so far for a new sowing, as typed where it is typed. */
export interface Draft extends SeedDraft {
  staggered: boolean;
  container: Container;
  /** As typed for a size that is new; empty for the name that is suggested. */
  containerName: string;
  count: string;
  medium: MediumKind;
  /** The household's own medium, or an empty string. */
  mediumId: string;
  methodKey: string;
  /** The method as it is to be for this sowing, where it differs. */
  method: Method | null;
  placeId: string;
  /** Where it is carried to light; empty for where it grows fastest. */
  lightPlaceId: string;
  newPlace: Place | null;
  density: Density | 'own';
  ownDensity: string;
  germination: string;
  /** Hours of soaking as typed; empty for the crop's own. */
  soak: string;
  /** Trays in a stack as chosen; empty for as many as the seed bears. */
  stack: string;
  /** Seed overruled by hand, g for all of it; null for what is worked out. */
  ownSeedG: number | null;
  when: 'now' | 'by';
  readyBy: string;
}

/** What a draft is worked out against. */
export interface DraftContext extends PlanContext {
  places: readonly Place[];
  containers: readonly Container[];
  units: Units;
  methods: readonly Method[];
  ownCrops: readonly Crop[];
  lots: readonly LotStock[];
}

export interface Worked {
  sowings: PlannedSowing[];
  /** What was chosen, where it is whole; null where something is missing or wrong. */
  choice: SowingChoice | null;
  method: Method | null;
  /** What keeps it from being worked out or sown, by field. */
  wrong: Record<string, string>;
  count: number;
}

/** Works a draft out with the core, as far as it goes. */
export function workOut(draft: Draft, context: DraftContext): Worked {
  const { rhythm, now } = context;
  const wrong: Record<string, string> = {};
  const crops = cropsOf(draft, context, wrong);
  for (const [field, found] of Object.entries(checkContainer(draft.container)))
    wrong[`container.${field}`] = problemWords(found);
  const container = namedContainer(draft, context);
  if (isNameOfAnother(container, context.containers))
    wrong['container.name'] =
      `“${container.name}” is the name of another size: call this one something else.`;
  const count = readNumber(draft.count) ?? NaN;
  const [fewest, most] = SIZE_BOUNDS.count;
  if (!Number.isInteger(count) || count < fewest || count > most)
    wrong.count = `Give a whole number from ${fewest} to ${most}.`;
  const typed = typedGermination(draft, wrong);
  if (typed === null && draft.parts.some((part) => isDeadLot(part.lotId, context)))
    wrong.lotId = 'Nothing sprouted of this lot in its test: choose another, or test it again.';
  const own = readNumber(draft.ownDensity) ?? NaN;
  if (draft.density === 'own' && !(own > 0 && own <= 60))
    wrong.seedsPerCm2 = 'Give seeds per cm², over 0 and up to 60.';
  const soakH = draft.soak.trim() === '' ? null : (readNumber(draft.soak) ?? NaN);
  if (soakH !== null && !(soakH >= 0 && soakH <= MOST_SOAK_H))
    wrong.soakH = `Give hours from 0 to ${MOST_SOAK_H}, 0 for no soak; or leave it empty for the crop’s own.`;
  const place = draft.newPlace ?? context.places.find(({ id }) => id === draft.placeId);
  if (!place) wrong.placeId = 'Choose a place.';
  if (draft.newPlace && draft.newPlace.name.trim() === '')
    wrong['newPlace.name'] = 'Name the place, such as “Kitchen sill”.';
  const aim = draft.when === 'now' ? aimOf(null, rhythm) : aimOf(draft.readyBy || 'none', rhythm);
  if (!aim) wrong.readyBy = 'Choose the day it is to be ready.';
  else if (aim.kind === 'by' && aim.at < now) wrong.readyBy = 'This day has passed: choose one to come.';
  const method = draft.method ?? context.methods.find(({ key }) => key === draft.methodKey) ?? null;
  if (!method) wrong.methodKey = 'This method is no longer there: choose another.';
  const blocking = Object.keys(wrong).filter((field) => field !== 'newPlace.name');
  if (blocking.length > 0 || !crops || !place || !aim || !method)
    return { sowings: [], choice: null, method, wrong, count };

  const choice: SowingChoice = {
    kind: draft.kind,
    parts: crops.map((crop, index) => ({
      crop,
      lot: context.lots.find(({ id }) => id === draft.parts[index]?.lotId) ?? null,
      share: readNumber(draft.parts[index]?.share ?? '') ?? 1
    })),
    shareOf: draft.shareOf,
    staggered: draft.staggered,
    container,
    count,
    medium: draft.medium,
    mediumId: draft.mediumId || null,
    method,
    place,
    lightPlace: lightPlaceFor(crops[0]!, draft.lightPlaceId, context.places, {
      latitudeDeg: context.latitudeDeg,
      zone: rhythm.zone,
      sownAt: now
    }),
    density: draft.density === 'own' ? own : draft.density,
    ownSeedG: draft.ownSeedG,
    germinationPct: typed,
    soakH,
    stackOf: draft.stack ? Number(draft.stack) : null,
    aim
  };
  const sowings = planSowing(choice, context);
  if (sowings.some(({ projected }) => isStackTooHigh(projected))) wrong.stackOf = TOO_HIGH_STACK;
  return { sowings, choice, method, wrong, count };
}

function cropsOf(draft: Draft, { ownCrops }: DraftContext, wrong: Record<string, string>): Crop[] | null {
  const wanted = draft.kind === 'one' ? draft.parts.slice(0, 1) : draft.parts;
  const crops = wanted.map(({ cropKey }) => findCrop(cropKey, ownCrops));
  crops.forEach((crop, index) => {
    if (!crop) wrong[index === 0 ? 'cropKey' : `parts.${index}.cropKey`] = 'Choose a crop.';
    else if (
      wanted.findIndex((one) => one.cropKey === crop.key && one.lotId === wanted[index]!.lotId) < index
    )
      wrong[`parts.${index}.cropKey`] =
        'This crop is in the mix already, of the same lot: choose another crop or lot.';
  });
  if (draft.kind === 'blended')
    wanted.forEach(({ share }, index) => {
      const value = readNumber(share) ?? NaN;
      if (!(value > 0 && value <= 1000)) wrong[`parts.${index}.share`] = 'Give its parts, such as 1 or 2,5.';
    });
  return crops.every((crop) => crop !== undefined) ? (crops as Crop[]) : null;
}

/**
 * The container with the name it goes by: a size that the household has keeps its own, a new one has what was typed
 * for it, or a name that says its size.
 */
function namedContainer(draft: Draft, { containers, units }: DraftContext): Container {
  const size = { ...draft.container, ...sizeOf(draft.container) };
  const known = ofSize(size, containers);
  return known
    ? { ...size, name: known.name }
    : { ...size, name: draft.containerName.trim() || suggestedName(size, units) };
}

/** Whether of a lot nothing sprouted: no amount of it makes a tray. */
const isDeadLot = (lotId: string, { lots }: DraftContext): boolean =>
  lots.some((lot) => lot.id === lotId && isDead(lot));

function typedGermination(draft: Draft, wrong: Record<string, string>): number | null {
  const text = draft.germination.replace('%', '').trim();
  const pct = text === '' ? null : (readNumber(text) ?? NaN);
  if (pct !== null && !(pct > 0 && pct <= 100))
    wrong.germinationPct =
      pct === 0
        ? 'Seed of which nothing sprouts cannot be sown: choose another lot.'
        : 'Give a percentage up to 100, or leave it out.';
  return pct;
}
