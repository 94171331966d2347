import type { Place } from '$core/clock/place.ts';
import { checkContainer } from '$core/containers/check.ts';
import { SIZE_BOUNDS, type Container } from '$core/containers/container.ts';
import { findCrop } from '$core/crops/library.ts';
import type { Density } from '$core/crops/crop.ts';
import type { MediumKind } from '$core/medium/medium.ts';
import { methodOf } from '$core/methods/method.ts';
import { aimOf } from '$core/plan/aim.ts';
import { plan, type Plan } from '$core/plan/plan.ts';
import { readNumber } from '$core/units/parseQuantity.ts';
import type { Rhythm } from '$core/time/rhythm.ts';

/** What a person has chosen so far for a new sowing, as typed where it is typed. */
export interface Draft {
  cropKey: string;
  container: Container;
  count: string;
  medium: MediumKind;
  methodKey: string;
  placeId: string;
  newPlace: Place | null;
  density: Density | 'own';
  ownDensity: string;
  germination: string;
  when: 'now' | 'by';
  readyBy: string;
}

export interface Worked {
  plan: Plan | null;
  /** What keeps it from being worked out or sown, by field. */
  wrong: Record<string, string>;
  seedsPerCm2: number;
  germinationPct: number | null;
  count: number;
}

/** Works a draft out with the core, as far as it goes. */
export function workOut(
  draft: Draft,
  places: readonly Place[],
  rhythm: Rhythm,
  latitudeDeg: number,
  now: number
): Worked {
  const wrong: Record<string, string> = {};
  const crop = findCrop(draft.cropKey);
  if (!crop) wrong.cropKey = 'Choose a crop.';
  for (const [field, say] of Object.entries(checkContainer(draft.container)))
    wrong[`container.${field}`] = say;
  const count = readNumber(draft.count) ?? NaN;
  const [fewest, most] = SIZE_BOUNDS.count;
  if (!Number.isInteger(count) || count < fewest || count > most)
    wrong.count = `Give a whole number from ${fewest} to ${most}.`;
  const typedGermination = draft.germination.replace('%', '').trim();
  const germinationPct = typedGermination === '' ? null : (readNumber(typedGermination) ?? NaN);
  if (germinationPct !== null && !(germinationPct > 0 && germinationPct <= 100))
    wrong.germinationPct =
      germinationPct === 0
        ? 'Seed of which nothing sprouts cannot be sown: choose another lot.'
        : 'Give a percentage up to 100, or leave it out.';
  const own = readNumber(draft.ownDensity) ?? NaN;
  const seedsPerCm2 = draft.density === 'own' ? own : (crop?.seedsPerCm2[draft.density] ?? NaN);
  if (draft.density === 'own' && !(own > 0 && own <= 60))
    wrong.seedsPerCm2 = 'Give seeds per cm², over 0 and up to 60.';
  const place = draft.newPlace ?? places.find(({ id }) => id === draft.placeId);
  if (!place) wrong.placeId = 'Choose a place.';
  if (draft.newPlace && draft.newPlace.name.trim() === '')
    wrong['newPlace.name'] = 'Name the place, such as “Kitchen sill”.';
  const aim = draft.when === 'now' ? aimOf(null, rhythm) : aimOf(draft.readyBy || 'none', rhythm);
  if (!aim) wrong.readyBy = 'Choose the day it is to be ready.';
  else if (aim.kind === 'by' && aim.at < now) wrong.readyBy = 'This day has passed: choose one to come.';
  const blocking = Object.keys(wrong).filter((field) => field !== 'newPlace.name');
  if (blocking.length > 0 || !crop || !place || !aim)
    return { plan: null, wrong, seedsPerCm2, germinationPct, count };
  const worked = plan({
    crop,
    container: draft.container,
    count,
    medium: draft.medium,
    method: methodOf(draft.methodKey),
    place,
    seedsPerCm2,
    germinationPct,
    aim,
    rhythm,
    latitudeDeg,
    now
  });
  return { plan: worked, wrong, seedsPerCm2, germinationPct, count };
}
