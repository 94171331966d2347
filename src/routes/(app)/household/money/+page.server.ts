import { t } from '$messages/t.ts';
import { redirect } from '@sveltejs/kit';
import { isByArea } from '$core/costs/prices.ts';
import { seedForYear } from '$core/costs/seedYear.ts';
import { findCrop } from '$core/crops/library.ts';
import { MEDIA } from '$core/supplies/media/medium.ts';
import { check } from '$contract/schemas/check.ts';
import { plainNumber, plainQuantity } from '$contract/schemas/plainNumber.ts';
import { CURRENCIES, mediumPriceSchema, moneySchema, shopPriceSchema } from '$contract/schemas/prices.ts';
import { isKey } from '$contract/text.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listMedia } from '$server/cupboard/media.ts';
import { householdNow } from '$server/households/household.ts';
import {
  changeMoney,
  forgetPrice,
  savePrice,
  readPrices,
  seedPrices,
  seedTakenSince
} from '$server/households/prices.ts';
import { form, notTaken, taken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

const YEAR_MS = 365 * 24 * 3_600_000;

export const load: PageServerLoad = async ({ locals }) => {
  const now = householdNow(signedIn(locals).household);
  return inSession(locals, async (tx) => {
    const [prices, media, ownCrops, takenSeed, perG] = await Promise.all([
      readPrices(tx),
      listMedia(tx),
      ownCropsOf(tx),
      seedTakenSince(tx, now - YEAR_MS),
      seedPrices(tx)
    ]);
    return { prices, media, ownCrops, year: seedForYear(takenSeed, perG, now), currencies: CURRENCIES };
  });
};

export const actions: Actions = {
  save: form(async ({ locals }: RequestEvent, fields) => {
    const checked = check(moneySchema, {
      currency: fields.currency,
      kWh: plainNumber(fields.kWh),
      feedL: plainNumber(fields.feedL)
    });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { currency, kWh, feedL } = checked.value;
    await inSession(locals, (tx) => changeMoney(tx, { currency, kWh: kWh ?? null, feedL: feedL ?? null }));
    return taken({ done: 'money' });
  }),
  medium: form(async ({ locals }: RequestEvent, fields) => {
    const checked = check(mediumPriceSchema, {
      key: fields.key,
      price: plainNumber(fields.price),
      amount: plainNumber(fields.amount),
      uses: plainNumber(fields.uses)
    });
    if (!checked.ok) return notTaken(422, fields, prefixed('medium', checked.errors));
    const { key, price, amount, uses } = checked.value;
    const known = await inSession(locals, async (tx) => {
      const own = await listMedia(tx);
      const kind = MEDIA.find((one) => one === key) ?? own.find(({ id }) => id === key)?.kind;
      if (!kind) return false;
      await savePrice(tx, signedIn(locals).household.id, {
        of: 'medium',
        key,
        price,
        // Loose medium is bought by the litre.
        amount: isByArea(kind) ? amount : amount * 1000,
        uses
      });
      return true;
    });
    return known
      ? redirect(303, '/household/money')
      : notTaken(422, fields, { 'medium.key': t('household.chooseMedium') });
  }),
  shop: form(async ({ locals }: RequestEvent, fields) => {
    const checked = check(shopPriceSchema, {
      key: fields.key,
      price: plainNumber(fields.price),
      amount: plainQuantity(fields.amount, 'mass', signedIn(locals).household.units)
    });
    if (!checked.ok) return notTaken(422, fields, prefixed('shop', checked.errors));
    const { key, price, amount } = checked.value;
    const known = await inSession(locals, async (tx) => {
      if (!findCrop(key, await ownCropsOf(tx))) return false;
      await savePrice(tx, signedIn(locals).household.id, { of: 'shop', key, price, amount, uses: 1 });
      return true;
    });
    return known
      ? redirect(303, '/household/money')
      : notTaken(422, fields, { 'shop.key': t('household.chooseCrop2') });
  }),
  forget: form(async ({ locals }: RequestEvent, { of = '', key = '' }) => {
    if ((of === 'medium' || of === 'shop') && isKey(key))
      await inSession(locals, (tx) => forgetPrice(tx, of, key));
    return taken({ done: 'forgotten' });
  })
};

/** Two forms of one page have fields of one name. */
const prefixed = (of: string, errors: Record<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(errors).map(([field, say]) => [`${of}.${field}`, say]));
