import { ValidationError } from 'yup';
import { MOMENTS } from '../../contract/schemas/primitives.ts';
import { checkBody } from '../../contract/schemas/event.ts';
import { check } from '../../contract/schemas/check.ts';
import { MOST_EATEN_G, ruleSchema } from '../../contract/schemas/ahead.ts';
import { methodSchema } from '../../contract/schemas/method.ts';
import { isDay, isId, plainText } from '../../contract/text.ts';
import { checkCrop } from '../../core/crops/check.ts';
import { completedCrop, type Crop } from '../../core/crops/crop.ts';
import { findCrop } from '../../core/crops/library.ts';
import type { EventBody, EventType } from '../../core/sowing/event.ts';
import { checkContainer } from '../../core/supplies/containers/check.ts';
import type { Container } from '../../core/supplies/containers/container.ts';
import type { SaidBefore } from '../../core/places/place.ts';
import { MEDIA } from '../../core/supplies/media/medium.ts';
import { completed, findMethod } from '../../core/supplies/methods/ready.ts';
import type { Method } from '../../core/supplies/methods/method.ts';
import { zoneOf } from '../../core/time/zone.ts';
import { plainCell } from './cells.ts';
import type { Field, PackageTable } from './tables.ts';

/** A row of the package as it is kept. */
export type Row = Record<string, unknown>;

/** What is wrong with a row; thrown, and told with its line. */
export class WrongRow extends Error {
  override readonly name = 'WrongRow';
}

const TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(?:\.\d{1,6})?Z$/;

/** A cell as what its column holds. @throws WrongRow where it is not that */
function valueOf(column: string, { type, id, required }: Field, cell: string): unknown {
  const wrong = (what: string): never => {
    throw new WrongRow(`“${cell.slice(0, 40)}” in ${column} is no ${what}.`);
  };
  if (cell === '') {
    if (!required) return null;
    throw new WrongRow(`${column} is empty, and has to say something.`);
  }
  switch (type) {
    case 'string':
      if (id) return isId(cell) ? cell.toLowerCase() : wrong('id');
      return plainText(plainCell(cell));
    case 'number':
    case 'integer': {
      const number = Number(cell);
      if (!/^-?[\d.]+(?:e[+-]?\d+)?$/i.test(cell) || !Number.isFinite(number)) return wrong('number');
      return type === 'integer' && !Number.isSafeInteger(number) ? wrong('whole number') : number;
    }
    case 'boolean':
      return cell === 'true' ? true : cell === 'false' ? false : wrong('yes or no, “true” or “false”');
    case 'date':
      return isDay(cell) ? cell : wrong('day such as 2026-11-23');
    case 'datetime': {
      const at = Date.parse(cell);
      return TIME.test(cell) && at >= MOMENTS[0] && at <= MOMENTS[1]
        ? cell
        : wrong('time such as 2026-11-23T07:30:00Z');
    }
    case 'object':
    case 'array': {
      let value: unknown;
      try {
        value = JSON.parse(cell);
      } catch {
        return wrong('JSON');
      }
      const fits =
        type === 'array'
          ? Array.isArray(value)
          : value !== null && typeof value === 'object' && !Array.isArray(value);
      return fits ? value : wrong(type === 'array' ? 'list in JSON' : 'object in JSON');
    }
  }
}

/** What a package may name that is its own: crops that it brings along. */
export interface Known {
  crops: Map<string, Crop>;
}

/** A row of cells as what its table holds, checked by the same rules as whatever is typed. @throws WrongRow */
export function rowOf(
  { name, fields }: PackageTable,
  cells: Readonly<Record<string, string>>,
  known: Known
): Row {
  const row: Row = {};
  for (const [column, field] of Object.entries(fields))
    row[column] = valueOf(column, field, cells[column] ?? '');
  CHECKS[name]?.(row, known);
  return row;
}

function isZone(name: string): boolean {
  try {
    zoneOf(name);
    return true;
  } catch {
    return false;
  }
}

const CHECKED = new Map<string, EventBody>();
const MOST_CHECKED = 5000;

const isKnownCrop = (key: unknown, { crops }: Known): boolean =>
  typeof key === 'string' && (crops.has(key) || findCrop(key) !== undefined);

const isMinute = (min: unknown, before: number): boolean =>
  Number.isInteger(min) && (min as number) >= 0 && (min as number) < before;

/** What no column can say of a row. */
const CHECKS: Readonly<Record<string, (row: Row, known: Known) => void>> = {
  households: (row) => {
    const { zone, units, wake_min: wake, sleep_min: sleep, rounds_min: rounds } = row;
    // Bedtime and rounds may lie past midnight.
    const times = [sleep, ...(rounds as unknown[])];
    if (typeof zone !== 'string' || !isZone(zone)) throw new WrongRow(`“${String(zone)}” is no time zone.`);
    if (units !== 'metric' && units !== 'us') throw new WrongRow(`“${String(units)}” are no units.`);
    if (
      times.length < 2 ||
      times.length > 7 ||
      !isMinute(wake, 1440) ||
      (sleep as number) <= (wake as number) ||
      !times.every((min) => isMinute(min, (wake as number) + 1440))
    )
      throw new WrongRow('Its hours and rounds are no minutes of a day.');
  },
  containers: ({ shape, length_cm, width_cm, depth_cm, cells, name }) => {
    if (!['rectangle', 'round', 'cells'].includes(shape as string))
      throw new WrongRow(`“${String(shape)}” is no shape of a container.`);
    const container = {
      name,
      shape,
      lengthCm: length_cm,
      widthCm: width_cm,
      depthCm: depth_cm,
      cells
    } as Container;
    const [field] = Object.keys(checkContainer(container));
    if (field) throw new WrongRow(`${field} of “${String(name)}” cannot be.`);
  },
  places: ({ usual_before: before, name }) => {
    const said = (before as Partial<SaidBefore>[] | null) ?? [];
    const isSaid = ({ until, dayC, nightC, humidityPct }: Partial<SaidBefore>) =>
      [until, dayC, nightC, humidityPct].every((value) => Number.isFinite(value));
    if (!said.every((one) => one !== null && typeof one === 'object' && isSaid(one)))
      throw new WrongRow(`What was usual at “${String(name)}” before cannot be read.`);
  },
  own_crops: (row, known) => {
    const crop = completedCrop(row.figures as Crop);
    if (typeof crop.name !== 'string' || crop.key !== row.key || !crop.seedsPerCm2)
      throw new WrongRow(`The figures of “${String(row.key)}” are not whole.`);
    const [wrong] = checkCrop(crop);
    if (wrong) throw new WrongRow(`${wrong.field} of “${crop.name}” cannot be.`);
    known.crops.set(crop.key, crop);
  },
  methods: ({ key, name, answers }) => methodOfRow(key, name, answers),
  eaters: ({ g_by_weekday: grams, name }) => {
    const all = grams as unknown[];
    if (all.length !== 7 || !all.every((g) => typeof g === 'number' && g >= 0 && g <= MOST_EATEN_G))
      throw new WrongRow(`What ${String(name)} eats is no seven days of grams.`);
  },
  tastes: ({ taste, crop_key }) => {
    if (!['liked', 'usual', 'disliked'].includes(taste as string))
      throw new WrongRow(`“${String(taste)}” is no taste of ${String(crop_key)}.`);
  },
  standing_orders: (row, known) => {
    if (!isKnownCrop(row.crop_key, known))
      throw new WrongRow(`Nobody knows a crop “${String(row.crop_key)}” here.`);
    isMedium(row.medium);
    const checked = check(ruleSchema, row.rule);
    if (!checked.ok) throw new WrongRow(Object.values(checked.errors)[0] ?? 'Its rule cannot be read.');
  },
  media: ({ kind }) => isMedium(kind),
  lots: ({ crop_key }, known) => {
    if (!isKnownCrop(crop_key, known)) throw new WrongRow(`Nobody knows a crop “${String(crop_key)}” here.`);
  },
  sowings: (row, known) => {
    const parts = (row.mix as { cropKey?: unknown }[] | null) ?? [];
    for (const key of [row.crop_key, ...parts.map((part) => part?.cropKey)])
      if (!isKnownCrop(key, known)) throw new WrongRow(`Nobody knows a crop “${String(key)}” here.`);
    isMedium(row.medium);
    if (row.method !== null) methodOfRow(row.method_key, (row.method as Method).name, row.method);
  },
  events: (row) => {
    const body = row.body as { type?: unknown };
    if (body.type !== row.type)
      throw new WrongRow(`The event says it is “${String(body.type)}” and “${String(row.type)}”.`);
    const said = JSON.stringify(body);
    let checked = CHECKED.get(said);
    if (checked) {
      row.body = checked;
      return;
    }
    try {
      checked = checkBody(body as { type: EventType });
      // Most events say what many others said: each is checked once, as far as there is room.
      if (CHECKED.size < MOST_CHECKED) CHECKED.set(said, checked);
    } catch (error) {
      throw new WrongRow(
        error instanceof ValidationError ? error.message : `Nobody knows an event “${String(row.type)}” here.`
      );
    }
    row.body = checked;
  }
};

function isMedium(kind: unknown): void {
  if (!(MEDIA as readonly unknown[]).includes(kind)) throw new WrongRow(`“${String(kind)}” is no medium.`);
}

function methodOfRow(key: unknown, name: unknown, answers: unknown): void {
  if (findMethod(String(key)) && JSON.stringify(answers) === '{}') return;
  const whole = completed({ ...(answers as object), key: String(key), name: String(name ?? key) });
  const checked = check(methodSchema, whole);
  if (!checked.ok) throw new WrongRow(`The method “${whole.name}”: ${Object.values(checked.errors)[0]}`);
}
