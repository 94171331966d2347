import { json } from '@sveltejs/kit';
import type { Container } from '$core/containers/container.ts';
import { cropOf } from '$core/crops/library.ts';
import type { Place } from '$core/clock/place.ts';
import { methodOf } from '$core/methods/method.ts';
import { plan } from '$core/plan/plan.ts';
import { aimOf } from '$core/plan/aim.ts';
import { rhythmOf } from '$core/sowing/householdFacts.ts';
import { inHousehold } from '$server/db/connection.ts';
import { householdNow } from '$server/households/household.ts';
import { addPlace, listPlaces } from '$server/households/places.ts';
import { addSowing, findSowing } from '$server/sowings/sowings.ts';
import { check } from '$shared/schemas/check.ts';
import { newSowingSchema } from '$shared/schemas/sowing.ts';
import type { RequestHandler } from './$types';

/** Adds a sowing, worked out anew here from what was chosen. Sending it again adds nothing. */
export const POST: RequestHandler = async ({ request, locals }) => {
  const { household, memberId } = locals.session!;
  const checked = check(newSowingSchema, await request.json().catch(() => null));
  if (!checked.ok) return json({ errors: checked.errors }, { status: 422 });
  const sent = checked.value;
  const container = sent.container as Container;
  const now = householdNow(household);
  return inHousehold(household.id, async (tx) => {
    if (await findSowing(tx, sent.id)) return json({ id: sent.id });
    if (sent.newPlace) await addPlace(tx, household.id, sent.newPlace as Place);
    const place = (await listPlaces(tx)).find(({ id }) => id === sent.placeId);
    if (!place)
      return json({ errors: { placeId: 'This place is no longer there: choose another.' } }, { status: 422 });
    const rhythm = rhythmOf(household);
    const aim = aimOf(sent.readyBy ?? null, rhythm);
    if (!aim)
      return json(
        { errors: { readyBy: 'This is not a date: choose one from the calendar.' } },
        { status: 422 }
      );
    if (aim.kind === 'by' && aim.at < now)
      return json({ errors: { readyBy: 'This day has passed: choose one to come.' } }, { status: 422 });
    const planned = plan({
      crop: cropOf(sent.cropKey),
      container,
      count: sent.count,
      medium: sent.medium,
      method: methodOf(sent.methodKey),
      place,
      seedsPerCm2: sent.seedsPerCm2,
      germinationPct: sent.germinationPct ?? null,
      aim,
      rhythm,
      latitudeDeg: household.latitudeDeg,
      now
    });
    if (planned.earliestAt !== null)
      return json(
        { errors: { readyBy: 'Too near for this crop: choose the day offered, or a later one.' } },
        { status: 422 }
      );
    await addSowing(
      tx,
      household.id,
      {
        id: sent.id,
        cropKey: sent.cropKey,
        container,
        count: sent.count,
        medium: sent.medium,
        methodKey: sent.methodKey,
        placeId: sent.placeId,
        seedsPerCm2: sent.seedsPerCm2,
        germinationPct: sent.germinationPct ?? null,
        seedG: sent.seedG,
        soakStartAt: planned.soak.soakStart,
        soakEndAt: planned.soak.soakEnd,
        sowAt: planned.soak.sowAt
      },
      { memberId, at: now, containerId: sent.containerId }
    );
    return json({ id: sent.id }, { status: 201 });
  });
};
