import { t } from '../../messages/t.ts';
import { MOMENTS } from '../../contract/schemas/primitives.ts';
import { checkBody } from '../../contract/schemas/event.ts';
import { isDay, isId, plainText } from '../../contract/text.ts';
import { completedCrop, type Crop } from '../../core/crops/crop.ts';
import type { EventBody, EventType } from '../../core/sowing/event.ts';
import { plainCell } from './cells.ts';
import { faultOf } from './faultOf.ts';
import type { Field, PackageTable } from './tables.ts';

/** A row of the package as it is kept. */
export type TableRow = Record<string, unknown>;

/** What is wrong with a row; thrown, and told with its line. */
export class WrongRow extends Error {
  override readonly name = 'WrongRow';
}

const TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(?:\.\d{1,6})?Z$/;

/** A cell as what its column holds. @throws WrongRow where it is not that */
function valueOf(column: string, { type, id, required }: Field, cell: string): unknown {
  const wrong = (what: string): never => {
    throw new WrongRow(t('data.sliceColumnNoWhat', { slice: cell.slice(0, 40), column, what }));
  };
  if (cell === '') {
    if (!required) return null;
    throw new WrongRow(t('data.columnEmptyHasSaySomething', { column }));
  }
  switch (type) {
    case 'string':
      if (id) return isId(cell) ? cell.toLowerCase() : wrong('id');
      return plainText(plainCell(cell));
    case 'number':
    case 'integer': {
      const number = Number(cell);
      if (!/^-?[\d.]+(?:e[+-]?\d+)?$/i.test(cell) || !Number.isFinite(number)) return wrong('number');
      return type === 'integer' && !Number.isSafeInteger(number) ? wrong(t('data.wholeNumber')) : number;
    }
    case 'boolean':
      return cell === 'true' ? true : cell === 'false' ? false : wrong(t('data.orNoTrueOrFalse'));
    case 'date':
      return isDay(cell) ? cell : wrong(t('data.daySuchAs'));
    case 'datetime': {
      const at = Date.parse(cell);
      return TIME.test(cell) && at >= MOMENTS[0] && at <= MOMENTS[1] ? cell : wrong(t('data.timeSuchAsTZ'));
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
      return fits ? value : wrong(type === 'array' ? t('data.listJson') : t('data.objectJson'));
    }
  }
}

/** What is known of a package while it is read: the crops that it brings along, and bodies of events that were checked. */
export interface Known {
  crops: Map<string, Crop>;
  checkedBodies: Map<string, EventBody>;
}

/** A row of cells as what its table holds, checked by the same rules as whatever is typed. @throws WrongRow */
export function rowOf(
  { name, fields }: PackageTable,
  cells: Readonly<Record<string, string>>,
  known: Known
): TableRow {
  const row: TableRow = {};
  for (const [column, field] of Object.entries(fields))
    row[column] = valueOf(column, field, cells[column] ?? '');
  const isChecked =
    name === 'events' &&
    (row.body as EventBody).type === row.type &&
    known.checkedBodies.has(JSON.stringify(row.body));
  const fault = isChecked ? null : faultOf(name, row, known.crops);
  if (fault) throw new WrongRow(fault);
  if (name === 'events') row.body = bodyOf(row, known);
  if (name === 'own_crops') known.crops.set(row.key as string, completedCrop(row.figures as Crop));
  return row;
}

/** Most events say what many others said: a short body is checked once, as far as there is room. */
const MOST_CHECKED_BODIES = 2000;
const LONGEST_CHECKED = 300;

/** The body of an event, sound as it is, as it is stored. */
function bodyOf({ body }: TableRow, { checkedBodies }: Known): EventBody {
  const said = JSON.stringify(body);
  const known = checkedBodies.get(said);
  if (known) return known;
  const checked = checkBody(body as { type: EventType });
  if (checkedBodies.size < MOST_CHECKED_BODIES && said.length <= LONGEST_CHECKED)
    checkedBodies.set(said, checked);
  return checked;
}
