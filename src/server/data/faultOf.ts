import { t } from '../../messages/t.ts';
import { ValidationError, type AnyObjectSchema } from 'yup';
import {
  MOST_EATEN_G,
  orderSchema,
  ruleSchema,
  varietySchema,
  weekdays
} from '../../contract/schemas/ahead.ts';
import { check } from '../../contract/schemas/check.ts';
import {
  containerStockSchema,
  lotSchema,
  mediumSchema,
  productSchema
} from '../../contract/schemas/cupboard.ts';
import { checkBody } from '../../contract/schemas/event.ts';
import { isZone } from '../../contract/schemas/household.ts';
import { methodSchema } from '../../contract/schemas/method.ts';
import { ownCropWordsSchema } from '../../contract/schemas/ownCrop.ts';
import { placeSchema } from '../../contract/schemas/place.ts';
import { mediumPriceSchema, moneySchema, shopPriceSchema } from '../../contract/schemas/prices.ts';
import { MOST_SEED_G, MOST_SOAK_H, MOST_VARIETY_LETTERS } from '../../core/choice/choiceData.ts';
import { isDay, isId, isKey } from '../../contract/text.ts';
import { isWordable } from '../../words/reminders.ts';
import { MOST_PARTS } from '../../core/crops/blend.ts';
import { checkCrop } from '../../core/crops/check.ts';
import { completedCrop, type Crop } from '../../core/crops/crop.ts';
import { findCrop } from '../../core/crops/library.ts';
import { AIR_BOUNDS } from '../../core/places/air/reading.ts';
import { MOST_IN_STACK } from '../../core/shelf/stack.ts';
import type { EventType } from '../../core/sowing/event.ts';
import { checkContainer } from '../../core/supplies/containers/check.ts';
import { SIZE_BOUNDS, type Container } from '../../core/supplies/containers/container.ts';
import { MEDIA } from '../../core/supplies/media/medium.ts';
import { completed, findMethod } from '../../core/supplies/methods/ready.ts';
import type { TableRow } from './rows.ts';

/** Crops that rows of a package may be of: its own. Null where the crop is asked for elsewhere. */
export type KnownCrops = { has(key: string): boolean } | null;

const SOUND = null;

/** The first complaint of a form's schema about a row; null for none. */
function complaint(schema: AnyObjectSchema, value: object): string | null {
  const checked = check(schema, value);
  return checked.ok ? SOUND : (Object.values(checked.errors)[0] ?? t('errors.cannotBeRead'));
}

const isNumber = (value: unknown, least: number, most: number): boolean =>
  typeof value === 'number' && value >= least && value <= most;
const isWhole = (value: unknown, least: number, most: number): boolean =>
  Number.isInteger(value) && isNumber(value, least, most);
const isText = (value: unknown, most: number): boolean =>
  typeof value === 'string' && value.trim() !== '' && value.length <= most;
const isNone = (value: unknown): boolean => value === null || value === undefined;
const isList = (value: unknown, most: number): value is unknown[] =>
  Array.isArray(value) && value.length > 0 && value.length <= most;
const fieldOf = (value: unknown, field: string): unknown =>
  value !== null && typeof value === 'object' ? (value as Record<string, unknown>)[field] : undefined;

const noCrop = (key: unknown, crops: KnownCrops): string | null => {
  if (!isKey(key)) return t('data.keyNotKeyCrop', { key: String(key) });
  return crops === null || crops.has(key) || findCrop(key) ? SOUND : t('data.thereNoCropKeyHere', { key });
};
const noMedium = (kind: unknown): string | null =>
  (MEDIA as readonly unknown[]).includes(kind) ? SOUND : t('data.kindNotMedium', { kind: String(kind) });
const noName = (name: unknown, most: number): string | null =>
  isText(name, most) ? SOUND : t('data.nameMustHaveMostLetters', { most });

const noParts = (parts: unknown, most: number, isPart: (part: unknown) => boolean): string | null =>
  isNone(parts) || (isList(parts, most) && parts.every(isPart)) ? SOUND : t('data.partsMixCannotBeRead');

/** The first of some complaints. */
const firstOf = (...complaints: (string | null)[]): string | null =>
  complaints.find((one) => one !== null) ?? SOUND;

function methodFault(key: unknown, name: unknown, answers: unknown): string | null {
  if (findMethod(String(key)) && JSON.stringify(answers) === '{}') return SOUND;
  if (answers === null || typeof answers !== 'object') return t('data.answersMethodCannotBeRead');
  return complaint(methodSchema, completed({ ...answers, key: String(key), name: String(name ?? key) }));
}

const lightOfRow = (row: TableRow): object => ({
  kind: row.light_kind,
  ...(row.light_kind === 'lamp'
    ? { ppfd: row.lamp_ppfd, hours: row.lamp_hours, watts: row.lamp_watts, distanceCm: row.lamp_distance_cm }
    : {}),
  ...(row.light_kind === 'sill' ? { aspect: row.sill_aspect, back: row.sill_back } : {})
});

const FAULTS: Readonly<Record<string, (row: TableRow, crops: KnownCrops) => string | null>> = {
  households: (row) => {
    const {
      name,
      zone,
      units,
      wake_min: wake,
      sleep_min: sleep,
      rounds_min: rounds,
      days_off: daysOff
    } = row;
    const before = isWhole(wake, 0, 1439) ? (wake as number) + 1440 : 0;
    // Bedtime and rounds may be past midnight.
    const isTime = (min: unknown) => isWhole(min, 0, before - 1);
    return firstOf(
      noName(name, 80),
      typeof zone === 'string' && isZone(zone) ? SOUND : t('data.zoneNotTimeZone', { zone: String(zone) }),
      units === 'metric' || units === 'us'
        ? SOUND
        : t('data.unitsNeitherMetricNorUs', { units: String(units) }),
      isNumber(row.latitude_deg, -90, 90) ? SOUND : t('data.latitudeMustBeBetween'),
      isTime(sleep) && (sleep as number) > (wake as number) && isList(rounds, 6) && rounds.every(isTime)
        ? SOUND
        : t('data.hoursRoundsNotTimesDay'),
      isKey(row.method_key) ? SOUND : t('data.methodNotKeyOne'),
      isNone(row.currency)
        ? SOUND
        : complaint(moneySchema, { currency: row.currency, kWh: row.price_kwh, feedL: row.price_feed_l }),
      isNone(daysOff) || weekdays().isValidSync(daysOff) ? SOUND : t('data.daysOffNotDaysWeek'),
      complaint(varietySchema, { leastCrops: row.least_crops ?? null, mostInRow: row.most_in_row ?? null })
    );
  },
  members: (row) =>
    firstOf(
      noName(row.name, 40),
      [row.quiet_from_min, row.quiet_until_min].every((min) => isNone(min) || isWhole(min, 0, 1439))
        ? SOUND
        : t('data.quietHoursNotTimesDay')
    ),
  places: (row) =>
    firstOf(
      complaint(placeSchema, {
        id: row.id,
        name: row.name,
        light: lightOfRow(row),
        dayC: row.day_c,
        nightC: row.night_c,
        humidityPct: row.humidity_pct,
        movingAir: row.moving_air,
        widthCm: row.width_cm ?? null,
        depthCm: row.depth_cm ?? null,
        ratedG: row.rated_g ?? null
      }),
      isWhole(row.position, 0, 1_000_000) ? SOUND : t('data.positionNotWholeNumber'),
      isNone(row.usual_before) || isUsualBefore(row.usual_before) ? SOUND : t('data.whatWasUsualThereBefore')
    ),
  containers: (row) => {
    const { name, shape, length_cm, width_cm, depth_cm, cells } = row;
    if (!['rectangle', 'round', 'cells'].includes(shape as string))
      return t('data.shapeNotShapeContainer', { shape: String(shape) });
    const size = { name, shape, lengthCm: length_cm, widthCm: width_cm, depthCm: depth_cm, cells };
    const [field] = Object.keys(checkContainer(size as Container));
    return firstOf(
      field ? t('data.fieldCannotBe', { field }) : SOUND,
      isWhole(cells, ...SIZE_BOUNDS.cells) ? SOUND : t('data.cellsCannotBe'),
      complaint(containerStockSchema, {
        id: row.id,
        name,
        emptyG: row.empty_g ?? null,
        drains: row.drains ?? true,
        reservoirMl: row.reservoir_ml ?? null,
        owned: row.owned ?? null
      })
    );
  },
  own_crops: (row, crops) => {
    const figures = row.figures as Crop;
    const crop = completedCrop(figures);
    if (crop.key !== row.key || !isKey(row.key)) return t('data.keyNotOneFigures');
    if (!isKey(row.based_on)) return t('data.notBasedOnCrop');
    if (fieldOf(crop, 'seedsPerCm2') === null || typeof crop.seedsPerCm2 !== 'object')
      return t('data.figuresNotComplete');
    const words = complaint(ownCropWordsSchema, crop);
    if (words) return words;
    // A crop that is stored was let in by the rules of its day.
    const wrong = checkCrop(crop).find(({ code }) => crops !== null || code !== 'refused');
    return wrong ? t('data.fieldCannotBe', { field: wrong.field }) : SOUND;
  },
  methods: ({ key, name, answers }) => firstOf(noName(name, 60), methodFault(key, name, answers)),
  media: (row) =>
    complaint(mediumSchema, {
      id: row.id,
      name: row.name,
      kind: row.kind,
      swellLKg: row.swell_l_kg ?? null,
      parts: row.parts ?? null
    }) ?? (isNone(row.parts) || isList(row.parts, 12) ? SOUND : t('data.hasNoParts')),
  products: (row) =>
    complaint(productSchema, {
      id: row.id,
      name: row.name,
      kind: row.kind,
      strengthPct: row.strength_pct,
      datedOn: row.dated_on ?? null
    }),
  lots: (row, crops) => {
    const { parts } = row;
    const isPart = (part: unknown) =>
      noCrop(fieldOf(part, 'cropKey'), crops) === SOUND && isNumber(fieldOf(part, 'share'), 1e-9, 1_000_000);
    return firstOf(
      noCrop(row.crop_key, crops),
      noParts(parts, 20, isPart),
      complaint(lotSchema, {
        id: row.id,
        cropKey: row.crop_key,
        name: row.name,
        weighedG: row.weighed_g,
        price: row.price ?? null,
        packetG: row.packet_g ?? null,
        boughtOn: row.bought_on ?? null,
        bestBefore: row.best_before ?? null,
        // Seed of which nothing sprouts is no mistake of the record: it is refused where it is sown.
        packetPct: row.packet_pct || null,
        test: isNone(row.test_of) ? null : { sprouted: row.test_sprouted || 1, tested: row.test_of }
      })
    );
  },
  prices: (row) =>
    row.of === 'medium'
      ? complaint(mediumPriceSchema, row)
      : row.of === 'shop'
        ? complaint(shopPriceSchema, row)
        : t('data.nothingHasPrice', { of: String(row.of) }),
  eaters: ({ name, g_by_weekday: grams, liked, disliked }) =>
    firstOf(
      noName(name, 40),
      Array.isArray(grams) && grams.length === 7 && grams.every((g) => isNumber(g, 0, MOST_EATEN_G))
        ? SOUND
        : t('data.whatNameEatsMustBe', { name: String(name) }),
      [liked, disliked].every((keys) => isNone(keys) || (Array.isArray(keys) && keys.every(isKey)))
        ? SOUND
        : t('data.whatNameLikesMustBe', { name: String(name) })
    ),
  tastes: (row, crops) =>
    firstOf(
      noCrop(row.crop_key, crops),
      ['liked', 'usual', 'disliked'].includes(row.taste as string)
        ? SOUND
        : t('data.tasteNotTaste', { taste: String(row.taste) }),
      [row.least_share, row.most_share].every((share) => isNone(share) || isNumber(share, 0, 1))
        ? SOUND
        : t('data.sharesMustBeFrom')
    ),
  standing_orders: (row, crops) =>
    firstOf(
      noCrop(row.crop_key, crops),
      noParts(row.parts, MOST_PARTS, (part) => noCrop(fieldOf(part, 'cropKey'), crops) === SOUND),
      complaint(ruleSchema, (row.rule ?? {}) as object),
      complaint(orderSchema, {
        id: row.id,
        parts: row.parts ?? [{ cropKey: row.crop_key }],
        shareOf: row.share_of ?? 'weight',
        containerId: row.container_id ?? row.id,
        count: row.count,
        medium: row.medium,
        mediumId: row.medium_id ?? null,
        methodKey: row.method_key,
        placeId: row.place_id,
        ownSeedG: row.own_seed_g ?? null,
        rule: row.rule,
        fromDay: row.from_day
      })
    ),
  devices: ({ name, refused }) =>
    firstOf(
      noName(name, 60),
      isNone(refused) || isText(refused, 1000) ? SOUND : t('data.lastRefusalCannotBeRead')
    ),
  readings: ({ source, temp_c: tempC, humidity_pct: humidityPct }) =>
    firstOf(
      source === 'hand' || source === 'file' || isId(source)
        ? SOUND
        : t('data.sourceNotSource', { source: String(source) }),
      isNumber(tempC, ...AIR_BOUNDS.tempC) ? SOUND : t('data.tempcCNotAirRoom', { tempC: String(tempC) }),
      isNone(humidityPct) || isNumber(humidityPct, 0, 100)
        ? SOUND
        : t('data.humiditypctNotHumidity', { humidityPct: String(humidityPct) })
    ),
  away: ({ from_day: from, until_day: until }) =>
    isDay(from) && isDay(until) && from <= until ? SOUND : t('data.lastDayBeforeFirst'),
  sitters: ({ name }) => noName(name, 40),
  sowings: (row, crops) => {
    const { mix } = row;
    const isPart = (part: unknown) =>
      noCrop(fieldOf(part, 'cropKey'), crops) === SOUND &&
      isNumber(fieldOf(part, 'areaShare'), 1e-9, 1) &&
      isNumber(fieldOf(part, 'seedG'), 0, MOST_SEED_G) &&
      (isNone(fieldOf(part, 'lotId')) || isId(fieldOf(part, 'lotId'))) &&
      (isNone(fieldOf(part, 'variety')) || isText(fieldOf(part, 'variety'), MOST_VARIETY_LETTERS));
    const within: [string, unknown, number, number][] = [
      [t('data.shareContainer'), row.area_share, 1e-6, 1],
      ['density', row.seeds_per_cm2, 1e-9, 1e6],
      ['seed', row.seed_g, 1e-9, MOST_SEED_G],
      ['germination', row.germination_pct ?? 50, 1e-9, 100],
      ['soak', row.soak_h ?? 0, 0, MOST_SOAK_H]
    ];
    const wrong = within.find(([, value, least, most]) => !isNumber(value, least, most));
    return firstOf(
      noCrop(row.crop_key, crops),
      noParts(mix, MOST_PARTS, isPart),
      noMedium(row.medium),
      isWhole(row.count, ...SIZE_BOUNDS.count) ? SOUND : t('data.countContainersCannotBe'),
      wrong ? t('data.wrongCannotBe', { wrong: wrong[0] }) : SOUND,
      isNone(row.stack_of) || isWhole(row.stack_of, 1, MOST_IN_STACK) ? SOUND : t('data.stackCannotBe'),
      isNone(row.method) ? SOUND : methodFault(row.method_key, fieldOf(row.method, 'name'), row.method)
    );
  },
  events: ({ type, body }) => {
    if (fieldOf(body, 'type') !== type)
      return t('data.eventSaysFieldType', { field: String(fieldOf(body, 'type')), type: String(type) });
    return bodyFault(body);
  },
  turns: ({ round_key: key }) => (isText(key, 80) ? SOUND : t('data.roundCannotBeRead')),
  reminders: ({ body }) => (isWordable(body) ? SOUND : t('data.whatSaysCannotBeRead'))
};

/** What is wrong with the body of an event; null for nothing. */
function bodyFault(body: unknown): string | null {
  try {
    checkBody(body as { type: EventType });
    return SOUND;
  } catch (error) {
    return error instanceof ValidationError
      ? error.message
      : t('data.thereNoEventFieldHere', { field: String(fieldOf(body, 'type')) });
  }
}

/** Bodies that were found sound, as far as there is room. */
const soundBodies = new Set<string>();
const MOST_BODIES = 5000;

/** What is wrong with a sowing's log as it is sent to pages; null for nothing. */
export function logFault(log: string): string | null {
  const entries = JSON.parse(log) as [string, number, string | null, string | null, unknown][];
  for (const [, at, , , body] of entries) {
    if (!Number.isFinite(at)) return t('data.timeEventCannotBeRead');
    const text = JSON.stringify(body);
    if (soundBodies.has(text)) continue;
    const fault = bodyFault(body);
    if (fault !== null) return t('data.eventCannotBeReadFault', { fault });
    if (soundBodies.size >= MOST_BODIES) soundBodies.clear();
    if (text.length < 400) soundBodies.add(text);
  }
  return SOUND;
}

const isUsualBefore = (value: unknown): boolean =>
  Array.isArray(value) &&
  value.length <= 50 &&
  value.every(
    (one) =>
      isNumber(fieldOf(one, 'until'), -8.64e15, 8.64e15) &&
      isNumber(fieldOf(one, 'dayC'), -5, 45) &&
      isNumber(fieldOf(one, 'nightC'), -5, 45) &&
      isNumber(fieldOf(one, 'humidityPct'), 0, 100)
  );

/**
 * What is wrong with a row of a table, by the rules of the form that it is typed into; null for nothing. Rows of a package
 * and rows of the database are held to the same.
 * @param crops that the row may be of besides the library's; null where that is not asked
 */
export function faultOf(table: string, row: TableRow, crops: KnownCrops): string | null {
  try {
    return FAULTS[table]?.(row, crops) ?? SOUND;
  } catch {
    // Nonsense of a shape that no rule foresaw.
    return t('data.cannotBeRead');
  }
}
