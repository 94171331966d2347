import { table } from '../../messages/t.ts';
/** What a column of the open package holds, by the names of the Table Schema. */
export type FieldType =
  'string' | 'integer' | 'number' | 'boolean' | 'date' | 'datetime' | 'object' | 'array';

export interface Field {
  type: FieldType;
  /** Names something of its own kind, by a UUID. */
  id?: true;
  required?: true;
}

export interface PackageTable {
  /** As in the database, but that its household is not named: the package is of one. */
  name: string;
  fields: Readonly<Record<string, Field>>;
  /** What tells its rows apart. */
  key: readonly string[];
  /** In which order they stand: always the same, so that a package of the same household is the same. */
  order: readonly string[];
  /** Columns that follow from others, are secret, or are the machine's own: not in the package. */
  without: readonly string[];
}

const text: Field = { type: 'string' };
const number: Field = { type: 'number' };
const integer: Field = { type: 'integer' };
const yes: Field = { type: 'boolean' };
const time: Field = { type: 'datetime' };
const day: Field = { type: 'date' };
const object: Field = { type: 'object' };
const array: Field = { type: 'array' };
const id: Field = { type: 'string', id: true };
const must = (field: Field): Field => ({ ...field, required: true });

/** Every table of the package, in the order that they need each other. */
export const PACKAGE_TABLES: readonly PackageTable[] = [
  {
    name: 'households',
    fields: {
      name: must(text),
      zone: must(text),
      units: must(text),
      latitude_deg: must(number),
      wake_min: must(integer),
      sleep_min: must(integer),
      rounds_min: must(array),
      method_key: must(text),
      currency: must(text),
      price_kwh: number,
      price_feed_l: number,
      days_off: array,
      least_crops: integer,
      most_in_row: integer
    },
    key: ['name'],
    order: ['name'],
    without: ['name_key', 'passphrase_hash', 'demo', 'clock_ahead_ms', 'created_at']
  },
  {
    name: 'members',
    fields: {
      id: must(id),
      name: must(text),
      left_at: time,
      language: text,
      quiet_from_min: integer,
      quiet_until_min: integer
    },
    key: ['id'],
    order: ['id'],
    without: ['name_key', 'passphrase_hash', 'seen_at']
  },
  {
    name: 'places',
    fields: {
      id: must(id),
      name: must(text),
      position: must(integer),
      light_kind: must(text),
      lamp_ppfd: number,
      lamp_hours: number,
      lamp_watts: number,
      lamp_distance_cm: number,
      sill_aspect: text,
      sill_back: yes,
      day_c: must(number),
      night_c: must(number),
      humidity_pct: must(number),
      moving_air: must(yes),
      usual_before: array,
      width_cm: number,
      depth_cm: number,
      rated_g: number,
      rating_sure: must(yes)
    },
    key: ['id'],
    order: ['position', 'id'],
    without: ['air', 'thinned_until']
  },
  {
    name: 'containers',
    fields: {
      id: must(id),
      name: must(text),
      shape: must(text),
      length_cm: must(number),
      width_cm: must(number),
      depth_cm: must(number),
      cells: must(integer),
      empty_g: number,
      drains: must(yes),
      reservoir_ml: number,
      owned: integer,
      retired_at: time
    },
    key: ['id'],
    order: ['id'],
    without: []
  },
  {
    name: 'own_crops',
    fields: { key: must(text), based_on: must(text), figures: must(object), retired_at: time },
    key: ['key'],
    order: ['key'],
    without: []
  },
  {
    name: 'methods',
    fields: { key: must(text), name: must(text), answers: must(object), retired_at: time },
    key: ['key'],
    order: ['key'],
    without: []
  },
  {
    name: 'media',
    fields: {
      id: must(id),
      name: must(text),
      kind: must(text),
      swell_l_kg: number,
      parts: array,
      retired_at: time
    },
    key: ['id'],
    order: ['id'],
    without: []
  },
  {
    name: 'products',
    fields: {
      id: must(id),
      name: must(text),
      kind: must(text),
      strength_pct: must(number),
      dated_on: day,
      retired_at: time
    },
    key: ['id'],
    order: ['id'],
    without: []
  },
  {
    name: 'lots',
    fields: {
      id: must(id),
      crop_key: must(text),
      name: must(text),
      parts: array,
      weighed_g: must(number),
      weighed_at: must(time),
      price: number,
      packet_g: number,
      bought_on: day,
      best_before: day,
      packet_pct: number,
      test_sprouted: integer,
      test_of: integer,
      retired_at: time
    },
    key: ['id'],
    order: ['id'],
    without: []
  },
  {
    name: 'prices',
    fields: {
      of: must(text),
      key: must(text),
      price: must(number),
      amount: must(number),
      uses: must(integer)
    },
    key: ['of', 'key'],
    order: ['of', 'key'],
    without: []
  },
  {
    name: 'eaters',
    fields: {
      id: must(id),
      name: must(text),
      g_by_weekday: must(array),
      liked: array,
      disliked: array,
      position: must(integer)
    },
    key: ['id'],
    order: ['position', 'id'],
    without: []
  },
  {
    name: 'tastes',
    fields: { crop_key: must(text), taste: must(text), least_share: number, most_share: number },
    key: ['crop_key'],
    order: ['crop_key'],
    without: []
  },
  {
    name: 'standing_orders',
    fields: {
      id: must(id),
      crop_key: must(text),
      parts: array,
      share_of: text,
      container_id: must(id),
      count: must(integer),
      medium: must(text),
      medium_id: id,
      method_key: must(text),
      place_id: must(id),
      own_seed_g: number,
      rule: must(object),
      from_day: must(day),
      created_at: must(time),
      ended_at: time
    },
    key: ['id'],
    order: ['created_at', 'id'],
    without: []
  },
  {
    name: 'devices',
    fields: {
      id: must(id),
      name: must(text),
      place_id: must(id),
      created_at: must(time),
      refused_at: time,
      refused: text,
      retired_at: time
    },
    key: ['id'],
    order: ['id'],
    without: ['token_hash']
  },
  {
    name: 'readings',
    fields: {
      place_id: must(id),
      at: must(time),
      source: must(text),
      temp_c: must(number),
      humidity_pct: number
    },
    key: ['place_id', 'at', 'source'],
    order: ['place_id', 'at', 'source'],
    without: []
  },
  {
    name: 'away',
    fields: { from_day: must(day), until_day: must(day) },
    key: ['from_day'],
    order: ['from_day'],
    without: []
  },
  {
    name: 'sitters',
    fields: {
      id: must(id),
      name: must(text),
      from_at: must(time),
      until_at: must(time),
      created_at: must(time),
      revoked_at: time,
      made_by: id
    },
    key: ['id'],
    order: ['id'],
    without: ['token_hash']
  },
  {
    name: 'sowings',
    fields: {
      id: must(id),
      crop_key: must(text),
      mix: array,
      container_id: must(id),
      count: must(integer),
      area_share: must(number),
      tray_id: id,
      tray_no: must(integer),
      medium: must(text),
      medium_id: id,
      method_key: must(text),
      method: object,
      place_id: must(id),
      light_place_id: id,
      seeds_per_cm2: must(number),
      germination_pct: number,
      seed_g: must(number),
      lot_id: id,
      soak_h: number,
      stack_of: integer,
      soak_start_at: time,
      soak_end_at: time,
      sow_at: must(time),
      created_at: must(time),
      created_by: id,
      cleaning: must(yes),
      locked: yes,
      assumed: array
    },
    key: ['id'],
    order: ['created_at', 'id'],
    without: [
      'ended_at',
      'sown_at',
      'opened_at',
      'first_cut_at',
      'cut_g',
      'lost',
      'eaten_g',
      'given_g',
      'thrown_g',
      'watered_g',
      'in_pantry',
      'to_clean',
      'words',
      'pace_mean',
      'pace_variance',
      'reliable_mean',
      'reliable_variance',
      'cues_told',
      'cues_left',
      'answers_given',
      'answers_contradicted',
      'thirst_mean',
      'thirst_variance',
      'yield_mean',
      'yield_variance'
    ]
  },
  {
    name: 'events',
    fields: {
      id: must(id),
      sowing_id: must(id),
      member_id: id,
      type: must(text),
      at: must(time),
      task_key: text,
      body: must(object),
      recorded_at: must(time)
    },
    key: ['id'],
    // Two of one moment stand as they were recorded.
    order: ['sowing_id', 'at', 'seq'],
    without: ['seq']
  },
  {
    name: 'standing_order_days',
    fields: { order_id: must(id), day: must(day), sowing_id: id },
    key: ['order_id', 'day'],
    order: ['order_id', 'day'],
    without: []
  },
  {
    name: 'turns',
    fields: { round_key: must(text), member_id: must(id), set_by: must(id), set_at: must(time) },
    key: ['round_key'],
    order: ['round_key'],
    without: []
  },
  {
    name: 'reminders',
    fields: {
      id: must(id),
      key: must(text),
      kind: must(text),
      due_at: must(time),
      until_at: must(time),
      told_at: must(time),
      body: must(object),
      for_member: id
    },
    key: ['id'],
    order: ['due_at', 'id'],
    without: []
  }
];

/** Tables that are not in the package, each with why, as the package itself says. */
export const LEFT_OUT = table('data.leftOut');

/** What is left out of tables that are in it. */
export const LEFT_OUT_OF = table('data.leftOutOf');

/** The package's format. One that is higher was made by a newer Brote. */
export const FORMAT = 1;
