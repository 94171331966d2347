import { t } from '$messages/t.ts';
import { error, redirect } from '@sveltejs/kit';
import { MOST_PARTS } from '$core/crops/blend.ts';
import { findCrop, withOwnCrops } from '$core/crops/library.ts';
import { leftG, type Lot } from '$core/supplies/seed/lot.ts';
import { readLotParts } from '$core/supplies/seed/lotParts.ts';
import { saveLot, listLots, retireLot } from '$server/cupboard/lots.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { householdNow } from '$server/households/household.ts';
import { check } from '$contract/schemas/check.ts';
import { isId } from '$contract/text.ts';
import { plainNumber, plainQuantity } from '$contract/schemas/plainNumber.ts';
import { lotSchema } from '$contract/schemas/cupboard.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) =>
  inSession(locals, async (tx) => {
    const [lots, ownCrops] = await Promise.all([listLots(tx), ownCropsOf(tx)]);
    const lot = lots.find(({ id }) => id === params.id) ?? null;
    if (!lot && params.id !== 'new') error(404, t('bench.thereNoSuchLotCupboard'));
    return { lot, ownCrops, cropKey: url.searchParams.get('crop') ?? '', newId: crypto.randomUUID() };
  });

export const actions: Actions = {
  save: form(async ({ locals }, fields) => {
    const { household } = signedIn(locals);
    const { units } = household;
    const [lots, ownCrops] = await inSession(locals, (tx) => Promise.all([listLots(tx), ownCropsOf(tx)]));
    const before = lots.find(({ id }) => id === fields.id) ?? null;
    const tested = (fields.sprouted ?? '').trim() !== '' || (fields.tested ?? '').trim() !== '';
    const checked = check(lotSchema, {
      id: fields.id,
      cropKey: fields.cropKey,
      name: fields.name,
      weighedG: plainQuantity(fields.weighedG, 'mass', units, before && leftG(before)),
      price: plainNumber(fields.price),
      packetG: plainQuantity(fields.packetG, 'mass', units, before?.packetG),
      boughtOn: fields.boughtOn,
      bestBefore: fields.bestBefore,
      packetPct: plainNumber(fields.packetPct),
      test: tested ? { sprouted: plainNumber(fields.sprouted), tested: plainNumber(fields.tested) } : null
    });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const crops = withOwnCrops(ownCrops);
    const mixed = readLotParts(fields.parts ?? '', crops);
    if (mixed && 'unknown' in mixed)
      return notTaken(422, fields, {
        parts: t('bench.broteKnowsNoCropCalled', { unknown: mixed.unknown.join('”, “') })
      });
    if (mixed && mixed.parts.length > MOST_PARTS)
      return notTaken(422, fields, { parts: t('bench.atMostSixCropsOne') });
    const parts = mixed && mixed.parts.length > 1 ? mixed.parts : null;
    const { price, packetG } = checked.value;
    const lot: Lot = {
      ...(checked.value as Omit<Lot, 'parts'>),
      // A packet that was just bought holds what it is said to hold now.
      packetG: packetG ?? (price === null ? null : checked.value.weighedG || null),
      parts,
      cropKey: parts?.[0]?.cropKey ?? checked.value.cropKey
    };
    // A redirect is thrown: from within the transaction it would take back what was kept.
    const known = await inSession(locals, async (tx) => {
      if (!findCrop(lot.cropKey, crops)) return false;
      await saveLot(tx, household.id, lot, householdNow(household));
      return true;
    });
    if (!known) return notTaken(422, fields, { cropKey: t('bench.chooseCrop') });
    redirect(303, '/bench/cupboard');
  }),
  retire: form(async ({ locals, params }) => {
    if (isId(params.id)) await inSession(locals, (tx) => retireLot(tx, params.id));
    redirect(303, '/bench/cupboard');
  })
};
