import type { Container } from '../../core/supplies/containers/container.ts';
import { isNameOfAnother, ofSize } from '../../core/supplies/containers/sizes.ts';
import { findCrop } from '../../core/crops/library.ts';
import type { Place } from '../../core/places/place.ts';
import { holds, isDead } from '../../core/supplies/seed/lot.ts';
import type { Method } from '../../core/supplies/methods/method.ts';
import { lightPlaceFor } from '../../core/sowing/carried.ts';
import { aimOf, beginningOn } from '../../core/sowing/aim.ts';
import { rhythmOf } from '../../core/sowing/facts.ts';
import { planSowing, type PlannedSowing, type SowingChoice } from '../../core/sowing/planSowing.ts';
import { isStackTooHigh } from '../../core/shelf/stack.ts';
import {
  MOST_SEED_G,
  MUCH_SEED,
  TOO_HIGH_STACK,
  type newSowingSchema
} from '../../contract/schemas/sowing.ts';
import type { InferType } from 'yup';
import { rebuild } from './rebuild.ts';
import type { Tx } from '../db/connection.ts';
import { householdNow } from '../households/household.ts';
import { addPlace, listPlaces } from '../households/places.ts';
import type { Session } from '../sessions/sessions.ts';
import { listChoices } from '../sowings/choices.ts';
import { listContainers } from '../sowings/containers.ts';
import { addSowing, findSowing } from '../sowings/sowings.ts';

export type NewSowing = InferType<typeof newSowingSchema>;

/** A sowing that cannot be: thrown, so that nothing of it stays behind, not even its new place. */
export class Wrong extends Error {
  override readonly name = 'Wrong';
  constructor(
    readonly field: string,
    say: string,
    readonly status: 409 | 422 = 422
  ) {
    super(say);
  }
}
const wrong = (field: string, say: string): never => {
  throw new Wrong(field, say);
};

/** Shown and planned are the same but for what a screen rounds. */
const isAsShown = (shownG: number, seedG: number): boolean =>
  Math.abs(shownG - seedG) <= 0.001 + seedG * 1e-6;

/**
 * Plans and keeps what somebody chose: one sowing, or the two of a tray of halves, all or nothing. Sending it again
 * adds nothing.
 * @returns their ids, and whether they are new
 * @throws Wrong naming the field that keeps it from being sown
 */
export async function sow(
  tx: Tx,
  { household, memberId }: Pick<Session, 'household' | 'memberId'>,
  sent: NewSowing
): Promise<{ ids: string[]; added: boolean }> {
  const ids = sent.kind === 'halves' ? [sent.ids.first, sent.ids.second] : [sent.ids.first];
  if (await findSowing(tx, sent.ids.first)) return { ids, added: false };
  if (sent.newPlace) await addPlace(tx, household.id, sent.newPlace as Place);
  const [places, choices, known] = await Promise.all([listPlaces(tx), listChoices(tx), listContainers(tx)]);
  const now = householdNow(household);
  const rhythm = rhythmOf(household);
  const place =
    places.find(({ id }) => id === sent.placeId) ??
    wrong('placeId', 'This place is no longer there: choose another.');
  const carriedTo = sent.lightPlaceId ? places.find(({ id }) => id === sent.lightPlaceId) : null;
  if (carriedTo === undefined) return wrong('lightPlaceId', 'This place is no longer there: choose another.');
  if (carriedTo?.light.kind === 'dark')
    wrong('lightPlaceId', `${carriedTo.name} is dark too: choose a place with light.`);
  const method = (sent.method ??
    choices.methods.find(({ key }) => key === sent.methodKey) ??
    wrong('methodKey', 'This method is no longer there: choose another.')) as Method;
  const parts = sent.parts.map(({ cropKey, lotId, share }) => {
    const crop = findCrop(cropKey, choices.ownCrops) ?? wrong('cropKey', 'Choose a crop from the library.');
    const lot = lotId ? choices.lots.find(({ id }) => id === lotId) : null;
    if (lot === undefined || (lot && !holds(lot, cropKey)))
      return wrong('lotId', 'This lot is not in your cupboard any more, or of another crop: choose another.');
    if (lot && sent.germinationPct === null && isDead(lot))
      wrong('lotId', 'Nothing sprouted of this lot in its test: choose another, or test it again.');
    return { crop, lot, share };
  });
  if (sent.mediumId && choices.media.every(({ id }) => id !== sent.mediumId))
    wrong('medium', 'This medium is not in your cupboard any more: choose another.');
  const aim = sent.beginOn
    ? (beginningOn(sent.beginOn, rhythm, now) ??
      wrong('beginOn', 'This is not a date: choose one from the calendar.'))
    : (aimOf(sent.readyBy ?? null, rhythm) ??
      wrong('readyBy', 'This is not a date: choose one from the calendar.'));
  if (aim.kind === 'by' && aim.at < now) wrong('readyBy', 'This day has passed: choose one to come.');

  const container = sent.container as Container;
  if (!ofSize(container, known) && isNameOfAnother(container, known))
    wrong('container.name', `“${container.name}” is the name of another size: call this one something else.`);
  const choice: SowingChoice = {
    kind: sent.kind,
    parts,
    shareOf: sent.shareOf,
    staggered: sent.staggered,
    container,
    count: sent.count,
    medium: sent.medium,
    mediumId: sent.mediumId ?? null,
    method,
    place,
    lightPlace: lightPlaceFor(parts[0]!.crop, sent.lightPlaceId ?? null, places, {
      latitudeDeg: household.latitudeDeg,
      zone: rhythm.zone,
      sownAt: now
    }),
    density: sent.density === 'own' ? (sent.seedsPerCm2 ?? NaN) : sent.density,
    ownSeedG: sent.ownSeedG ?? null,
    germinationPct: sent.germinationPct ?? null,
    soakH: sent.soakH ?? null,
    stackOf: sent.stackOf ?? null,
    aim
  };
  const planned = planSowing(choice, {
    learned: choices.learned,
    yields: choices.yields,
    rhythm,
    latitudeDeg: household.latitudeDeg,
    now
  });
  refuseWhatCannotBe(planned, sent);
  for (const [index, { setup }] of planned.entries()) {
    const id = ids[index] ?? sent.ids.second;
    const half = setup.half && { ...setup.half, trayId: sent.ids.first };
    await addSowing(
      tx,
      household.id,
      { ...setup, id, half },
      {
        memberId,
        at: now,
        containerId: sent.ids.container
      }
    );
  }
  // What it is found by is worked out with it.
  await rebuild(tx, { ids });
  return { ids, added: true };
}

function refuseWhatCannotBe(planned: readonly PlannedSowing[], { shownSeedG }: NewSowing): void {
  if (planned.some(({ plan }) => plan.earliestAt !== null))
    wrong('readyBy', 'Too near for this crop: choose the day offered, or a later one.');
  if (planned.some(({ setup }) => !(setup.seedG > 0) || setup.seedG > MOST_SEED_G)) wrong('seedG', MUCH_SEED);
  if (planned.some(({ projected }) => isStackTooHigh(projected))) wrong('stackOf', TOO_HIGH_STACK);
  const other = planned.find(({ setup: { seedG } }, index) => {
    const shown = shownSeedG?.[index];
    return shown !== undefined && !isAsShown(shown, seedG);
  });
  if (other)
    throw new Wrong(
      'seedG',
      `Something changed since this page was opened: it would be ${other.setup.seedG.toFixed(1)} g of seed now. Look at it again, then send it.`,
      409
    );
}
