import { t } from '$messages/t.ts';
import { rebuild } from '$server/app/rebuild.ts';
import { error, redirect } from '@sveltejs/kit';
import { lampPpfd } from '$core/places/light.ts';
import { boardOf, type Place } from '$core/places/place.ts';
import { celsiusOf } from '$core/units/temperature.ts';
import { mass, type Units } from '$core/units/format.ts';
import { lastReadings } from '$server/air/air.ts';
import { addDevice, listDevices, retireDevice } from '$server/air/devices.ts';
import { householdNow } from '$server/households/household.ts';
import { savePlace, listPlaces, orderPlaces } from '$server/households/places.ts';
import { check } from '$contract/schemas/check.ts';
import { deviceSchema, placeSchema } from '$contract/schemas/place.ts';
import { isId } from '$contract/text.ts';
import { plainNumber, plainQuantity } from '$contract/schemas/plainNumber.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, depends }) => {
  depends('brote:place');
  const { household } = signedIn(locals);
  const now = householdNow(household);
  return inSession(locals, async (tx) => {
    const [places, devices, last] = await Promise.all([
      listPlaces(tx, now),
      listDevices(tx),
      lastReadings(tx)
    ]);
    const place = places.find(({ id }) => id === params.id) ?? null;
    if (!place && params.id !== 'new') error(404, t('shelf.thereNoSuchPlaceHere'));
    return {
      place,
      places,
      devices: devices.filter(({ placeId }) => placeId === params.id),
      last: last.filter(({ placeId }) => placeId === params.id),
      newId: crypto.randomUUID(),
      now
    };
  });
};

/** A temperature as typed: degC, or degF where it says so or the household reads so. */
function degrees(typed: string | undefined, units: Units): number | string | null {
  const [, number = '', unit = ''] = /^(.*?)\s*°?\s*([cf]?)$/i.exec((typed ?? '').trim()) ?? [];
  const value = plainNumber(number);
  if (typeof value !== 'number') return value;
  const inF = unit.toLowerCase() === 'f' || (unit === '' && units === 'us');
  return inF ? celsiusOf(value) : value;
}

const sizeOf = (fields: Record<string, string>, units: Units, before: Place | null) => ({
  widthCm: plainQuantity(fields.widthCm, 'length', units, before?.widthCm),
  depthCm: plainQuantity(fields.depthCm, 'length', units, before?.depthCm)
});

function lightOf(fields: Record<string, string>, units: Units, before: Place | null): object {
  const kind = fields.light ?? '';
  if (kind === 'dark') return { kind };
  if (kind !== 'lamp') return { kind: 'sill', aspect: kind, back: fields.back === 'on' };
  const watts = plainNumber(fields.watts);
  const lampCm = before?.light.kind === 'lamp' ? before.light.distanceCm : null;
  const distanceCm = plainQuantity(fields.distanceCm, 'length', units, lampCm);
  const board = boardOf(sizeOf(fields, units, before) as Place);
  const given = plainNumber(fields.ppfd);
  // A meter's figure wins over the label's.
  const ppfd =
    given ??
    (typeof watts === 'number' && typeof distanceCm === 'number'
      ? Math.round(lampPpfd(watts, distanceCm, board))
      : null);
  return { kind, ppfd: ppfd ?? undefined, hours: plainNumber(fields.hours) ?? undefined, watts, distanceCm };
}

export const actions: Actions = {
  save: form(async ({ locals }, fields) => {
    const { household } = signedIn(locals);
    const wrong = await inSession(locals, async (tx) => {
      const before = (await listPlaces(tx)).find(({ id }) => id === fields.id) ?? null;
      const checked = check(placeSchema, {
        id: fields.id,
        name: fields.name,
        light: lightOf(fields, household.units, before),
        dayC: degrees(fields.dayC, household.units),
        nightC: degrees(fields.nightC, household.units),
        humidityPct: plainNumber(fields.humidityPct),
        movingAir: fields.movingAir === 'on',
        ...sizeOf(fields, household.units, before),
        ratedG:
          before?.ratedG && fields.rated?.trim() === mass(before.ratedG, household.units)
            ? before.ratedG
            : plainQuantity(fields.rated, 'mass', household.units)
      });
      if (!checked.ok) return checked.errors;
      const place = checked.value as Place;
      // Another rating has to be looked at anew.
      const ratingSure = before?.ratedG === place.ratedG && before?.ratingSure === true;
      await savePlace(tx, household.id, { ...place, ratingSure }, householdNow(household));
      const others = (await listPlaces(tx)).map(({ id }) => id).filter((id) => id !== place.id);
      const at = fields.after === '' ? 0 : others.indexOf(fields.after ?? '') + 1 || others.length;
      await orderPlaces(tx, others.toSpliced(at, 0, place.id));
      if (before) await rebuild(tx, { placeId: place.id });
      return null;
    });
    if (wrong) return notTaken(422, fields, wrong);
    redirect(303, '/shelf');
  }),
  device: form(async ({ locals, params }, fields) => {
    const { household } = signedIn(locals);
    const checked = check(deviceSchema, { id: fields.id, device: fields.device, placeId: params.id });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { id, device: name, placeId } = checked.value;
    const token = await inSession(locals, async (tx) => {
      if ((await listPlaces(tx)).every((place) => place.id !== placeId)) return null;
      return addDevice(tx, household.id, { id, name, placeId });
    });
    if (token === null) error(404, t('shelf.thereNoSuchPlaceHere'));
    return { fields, errors: {} as Record<string, string>, say: null, token };
  }),
  retire: form(async ({ locals }, { device }) => {
    if (isId(device)) await inSession(locals, (tx) => retireDevice(tx, device));
    return { fields: {} as Record<string, string>, errors: {} as Record<string, string>, say: null };
  })
};
