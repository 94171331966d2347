import { json } from '@sveltejs/kit';
import { areaCm2, type Container } from '$core/containers/container.ts';
import type { Crop } from '$core/crops/crop.ts';
import { findCrop } from '$core/crops/library.ts';
import type { Place } from '$core/clock/place.ts';
import { lotGermination } from '$core/lots/lot.ts';
import type { Method } from '$core/methods/method.ts';
import { blend } from '$core/mix/mix.ts';
import { mixParts } from '$core/mix/parts.ts';
import { plan, type Aim } from '$core/plan/plan.ts';
import { aimOf } from '$core/plan/aim.ts';
import { rhythmOf } from '$core/sowing/householdFacts.ts';
import { learnedBelief } from '$core/window/learned.ts';
import { householdNow } from '$server/households/household.ts';
import { addPlace, listPlaces } from '$server/households/places.ts';
import { listChoices } from '$server/sowings/choices.ts';
import { addSowing, findSowing } from '$server/sowings/sowings.ts';
import { check } from '$shared/schemas/check.ts';
import { newSowingSchema } from '$shared/schemas/sowing.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** A sowing that cannot be: thrown, so that nothing of it stays behind, not even its new place. */
class Wrong extends Error {
  constructor(
    readonly field: string,
    say: string
  ) {
    super(say);
  }
}
const wrong = (field: string, say: string): never => {
  throw new Wrong(field, say);
};

/** Adds a sowing, worked out anew here from what was chosen. Sending it again adds nothing. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  try {
    return await addSent(locals, await readJson(request));
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    return json({ errors: { [error.field]: error.message } }, { status: 422 });
  }
});

async function addSent(locals: App.Locals, body: unknown): Promise<Response> {
  const { household, memberId } = signedIn(locals);
  const checked = check(newSowingSchema, body);
  if (!checked.ok) return json({ errors: checked.errors }, { status: 422 });
  const sent = checked.value;
  const container = sent.container as Container;
  const now = householdNow(household);
  return inSession(locals, async (tx) => {
    if (await findSowing(tx, sent.id)) return json({ id: sent.id });
    if (sent.newPlace) await addPlace(tx, household.id, sent.newPlace as Place);
    const [places, choices] = await Promise.all([listPlaces(tx), listChoices(tx)]);
    const place =
      places.find(({ id }) => id === sent.placeId) ??
      wrong('placeId', 'This place is no longer there: choose another.');
    const method = (sent.method ??
      choices.methods.find(({ key }) => key === sent.methodKey) ??
      wrong('methodKey', 'This method is no longer there: choose another.')) as Method;
    const parts = sent.mix ?? [{ cropKey: sent.cropKey, areaShare: 1, lotId: sent.lotId ?? null }];
    const crops = parts.map(
      ({ cropKey }) =>
        findCrop(cropKey, choices.ownCrops) ?? wrong('cropKey', 'Choose a crop from the library.')
    );
    const lots = parts.map(({ lotId }) => choices.lots.find(({ id }) => id === lotId));
    if (parts.some(({ lotId, cropKey }, index) => lotId && lots[index]?.cropKey !== cropKey))
      wrong('lotId', 'This lot is not in your cupboard any more, or of another crop: choose another.');
    if (
      lots.some((lot) => lot !== undefined && lotGermination(lot)?.pct === 0) &&
      (sent.germinationPct ?? null) === null
    )
      wrong('lotId', 'Nothing sprouted of this lot in its test: choose another, or test it again.');
    if (sent.mediumId && choices.media.every(({ id }) => id !== sent.mediumId))
      wrong('medium', 'This medium is not in your cupboard any more: choose another.');
    const rhythm = rhythmOf(household);
    const aim = aimFor(sent, rhythm) ?? wrong('readyBy', 'This is not a date: choose one from the calendar.');
    if (aim.kind === 'by' && aim.at < now) wrong('readyBy', 'This day has passed: choose one to come.');

    const portions = parts.map(({ areaShare, lotId }, index) => ({
      crop: crops[index] as Crop,
      areaShare,
      lotId: lotId ?? null,
      germinationPct: lots[index] ? (lotGermination(lots[index])?.pct ?? null) : null
    }));
    const crop: Crop = blend(portions);
    const planned = plan({
      crop,
      container,
      count: sent.count,
      areaShare: sent.areaShare,
      medium: sent.medium,
      method,
      place,
      seedsPerCm2: sent.seedsPerCm2,
      germinationPct: sent.germinationPct ?? null,
      aim,
      rhythm,
      latitudeDeg: household.latitudeDeg,
      belief: learnedBelief(choices.learned, crop),
      now
    });
    if (planned.earliestAt !== null)
      wrong('readyBy', 'Too near for this crop: choose the day offered, or a later one.');
    const area = areaCm2(container) * sent.count * sent.areaShare;
    const mix = sent.mix ? mixParts(portions, area, sent.seedsPerCm2 / crop.seedsPerCm2.usual) : null;
    await addSowing(
      tx,
      household.id,
      {
        id: sent.id,
        cropKey: parts[0]?.cropKey ?? sent.cropKey,
        mix,
        container,
        count: sent.count,
        areaShare: sent.areaShare,
        medium: sent.medium,
        mediumId: sent.mediumId ?? null,
        method,
        placeId: sent.placeId,
        seedsPerCm2: sent.seedsPerCm2,
        germinationPct: sent.germinationPct ?? null,
        seedG: mix ? mix.reduce((sum, part) => sum + part.seedG, 0) : sent.seedG,
        lotId: mix ? null : (sent.lotId ?? null),
        soakStartAt: planned.soak.soakStart,
        soakEndAt: planned.soak.soakEnd,
        sowAt: planned.soak.sowAt
      },
      { memberId, at: now, containerId: sent.containerId }
    );
    return json({ id: sent.id }, { status: 201 });
  });
}

function aimFor(
  { readyBy, notBefore }: { readyBy?: string | null; notBefore?: number | null },
  rhythm: ReturnType<typeof rhythmOf>
): Aim | null {
  if (!readyBy && notBefore) return { kind: 'from', at: notBefore };
  return aimOf(readyBy ?? null, rhythm);
}
