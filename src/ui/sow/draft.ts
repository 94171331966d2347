import { t } from '$messages/t.ts';
import type { Place } from '$core/places/place.ts';
import type { Container } from '$core/supplies/containers/container.ts';
import { ofSize, sizeOf } from '$core/supplies/containers/sizes.ts';
import type { Density } from '$core/crops/crop.ts';
import type { MediumKind } from '$core/supplies/media/medium.ts';
import type { Method } from '$core/supplies/methods/method.ts';
import type { ShareOf } from '$core/crops/shares.ts';
import type { ProblemKind } from '$core/problem.ts';
import type { ChoiceData } from '$core/choice/choiceData.ts';
import {
  planSowing,
  type PlannedSowing,
  type SowingChoice,
  type SowingKind
} from '$core/sowing/planSowing.ts';
import { plannedProblems, resolve, type HouseholdOptions } from '$core/choice/resolve.ts';
import { fieldWords } from '$words/problems.ts';
import { suggestedName } from '$words/containers.ts';
import { factsOf, type Household } from '$core/sowing/household.ts';
import { UNIT_OF_DENSITY, type Units } from '$core/units/format.ts';
import { parseQuantity, readNumber } from '$core/units/parseQuantity.ts';

/** One crop of a draft, with the lot its seed comes from and its share as typed. */
export interface DraftPart {
  cropKey: string;
  lotId: string;
  share: string;
  /** What this kind is called, where several of one crop are blended. */
  variety?: string;
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
export interface DraftContext extends HouseholdOptions {
  household: Household;
}

export interface Worked {
  /** What was chosen, as it is sent. */
  data: ChoiceData;
  /** What that stands for, where it is whole; null where something is missing or wrong. */
  choice: SowingChoice | null;
  sowings: PlannedSowing[];
  /** What keeps it from being worked out or sown, by field. */
  wrong: Record<string, string>;
  /** Fields that are still empty: nobody is told so before they are done. */
  missing: ReadonlySet<string>;
}

const EMPTY: ReadonlySet<ProblemKind> = new Set<ProblemKind>(['no-crop', 'no-day']);

/** Works a draft out with the core, as far as it goes. */
export function workOut(draft: Draft, context: DraftContext): Worked {
  const data = choiceDataOf(draft, context);
  const { places } = context.household;
  const household = {
    ...context.household,
    places: draft.newPlace ? [...places, draft.newPlace] : places
  };
  const resolved = resolve(data, { ...context, household });
  const choice = resolved.ok ? resolved.choice : null;
  const sowings = choice ? planSowing(choice, { ...factsOf(household), now: context.now }) : [];
  // A day that is too near is answered with the next that is not, beside what was chosen.
  const planned = plannedProblems(sowings).filter(({ field }) => field !== 'readyBy');
  const problems = resolved.ok ? planned : resolved.problems;
  const wrong = fieldWords(problems);
  if (draft.newPlace && draft.newPlace.name.trim() === '')
    wrong['newPlace.name'] = t('sow.namePlaceSuchAsKitchen');
  const missing = new Set(
    problems.filter(({ problem }) => EMPTY.has(problem.code)).map(({ field }) => field)
  );
  return { data, choice, sowings, wrong, missing };
}

/** A figure as typed; null for an empty field, NaN for what is no number. */
const typed = (text: string): number | null => (text.trim() === '' ? null : (readNumber(text) ?? NaN));

/** A density as typed, to the cm2: in the household's unit where none is typed. */
export function typedDensity(text: string, units: Units): number | null {
  if (text.trim() === '') return null;
  const parsed = parseQuantity(text, 'density', UNIT_OF_DENSITY[units]);
  return parsed.ok ? parsed.value : NaN;
}

/** What was chosen, with the figures that were typed as numbers. */
function choiceDataOf(draft: Draft, context: DraftContext): ChoiceData {
  const parts = draft.kind === 'one' ? draft.parts.slice(0, 1) : draft.parts;
  return {
    kind: draft.kind,
    parts: parts.map(({ cropKey, lotId, share, variety }) => ({
      cropKey,
      lotId: lotId || null,
      share: draft.kind === 'blended' ? (readNumber(share) ?? NaN) : 1,
      ...(draft.kind === 'blended' && variety?.trim() ? { variety: variety.trim() } : {})
    })),
    shareOf: draft.shareOf,
    staggered: draft.staggered,
    container: namedContainer(draft, context),
    count: readNumber(draft.count) ?? NaN,
    medium: draft.medium,
    mediumId: draft.mediumId || null,
    methodKey: draft.methodKey,
    method: draft.method,
    placeId: draft.newPlace?.id ?? draft.placeId,
    lightPlaceId: draft.lightPlaceId || null,
    density: draft.density,
    seedsPerCm2: draft.density === 'own' ? typedDensity(draft.ownDensity, context.household.units) : null,
    ownSeedG: draft.ownSeedG,
    germinationPct: typed(draft.germination.replace('%', '')),
    soakH: typed(draft.soak),
    stackOf: typed(draft.stack),
    readyBy: draft.when === 'by' ? draft.readyBy : null,
    beginOn: null
  };
}

/**
 * The container with the name it goes by: a size that the household has keeps its own, a new one has what was typed
 * for it, or a name that says its size.
 */
function namedContainer(draft: Draft, { containers, household: { units } }: DraftContext): Container {
  const size = { ...draft.container, ...sizeOf(draft.container) };
  const known = ofSize(size, containers);
  return known
    ? { ...size, name: known.name }
    : { ...size, name: draft.containerName.trim() || suggestedName(size, units) };
}
