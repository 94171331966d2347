import { dsvFormat } from 'd3-dsv';
import { problem, type Problem } from '../../problem.ts';
import type { Crop } from '../../crops/crop.ts';
import type { Place } from '../../places/place.ts';
import { readTime } from '../../places/air/readTime.ts';
import { LOSS_REASONS, type LossReason } from '../../sowing/event.ts';
import { SIZE_BOUNDS, type ContainerStock } from '../../supplies/containers/container.ts';
import { MEDIA, type MediumKind } from '../../supplies/media/medium.ts';
import { dayOrders, readDay, type DayOrder } from '../../time/readDay.ts';
import type { Millis, Zone } from '../../time/zone.ts';
import { readNumber, unitFactor } from '../../units/parseQuantity.ts';
import {
  AMOUNTS,
  dayPart,
  guessColumns,
  headOf,
  readUnit,
  type AmountField,
  type PastColumns,
  type PastField
} from './columns.ts';
import { CropNames } from './cropNames.ts';
import { PAST_BOUNDS, type PastContainer, type PastSowing } from './pastSowing.ts';

/** More lines than a home writes in twenty years; longer lists are split. */
const MOST_PAST_LINES = 2000;

/** The longest from sowing to the last cut that speaks for an order of days, in days. */
const MOST_D = 150;

/** What of a household a list is read with. */
export interface PastGround {
  zone: Zone;
  now: Millis;
  /** All that can be sown here, the household's own crops among them. */
  crops: readonly Crop[];
  places: readonly Pick<Place, 'id' | 'name'>[];
  containers: readonly Pick<ContainerStock, 'id' | 'name'>[];
}

/** What somebody said about the whole of a list. */
export interface PastAnswers {
  by: PastColumns | null;
  order: DayOrder | null;
  /** Units of amounts whose column and cells name none. */
  massUnit: string;
  lengthUnit: string;
  /** Crops by names that are not known: a key, or null to leave such lines out. */
  names: ReadonlyMap<string, string | null>;
}

export type PastLine = { line: number } & ({ ok: true; past: PastSowing } | { ok: false; problem: Problem });

/** A name of crops that is not known, on how many lines, and what it may mean. */
export interface UnknownName {
  typed: string;
  lines: number;
  like: Crop[];
}

export interface PastList {
  ok: true;
  columns: string[];
  by: PastColumns;
  /** In which its days can be read, as far as they tell. With more than one and no answer, no line is read. */
  orders: DayOrder[];
  /** A day that can be read in all of those ways, as typed. */
  ambiguous: string | null;
  /** Which amounts stand in it without a unit. */
  unitless: ReadonlySet<'mass' | 'length'>;
  /** Names that are not the crops', each once, the most frequent first. Those that were answered stay. */
  unknown: UnknownName[];
  /** Names of places that are on no shelf here. */
  otherPlaces: string[];
  /** How many lines were left out because their crop's name was answered so. */
  leftOut: number;
  lines: PastLine[];
}

export type ReadPast = PastList | { ok: false; problem: Problem; columns: string[] };

const plain = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').trim().toLowerCase();

/** What people write where they have nothing to say. */
const BLANK = /^(-+|–|—|n\/?a|\?+|null|nil)$/i;

/** The name of a crop as its lines are gathered. */
export const nameKeyOf = (typed: string): string => plain(typed).replace(/\s+/g, ' ');

/**
 * Reads a list of past sowings: CSV with a header; commas, semicolons or tabs; decimal points or commas; units in heads or cells;
 * days as {@link readDay} takes them. What is not known is not guessed: names that stand for no crop and days that
 * can be read two ways are asked about, once for the whole list.
 */
export function readPast(text: string, ground: PastGround, answers: PastAnswers): ReadPast {
  const body = text.replace(/^\uFEFF/, '').trimStart();
  const count = body.match(/\n/g)?.length ?? 0;
  if (count > MOST_PAST_LINES)
    return {
      ok: false,
      problem: problem('past-too-many', { lines: count, most: MOST_PAST_LINES }),
      columns: []
    };
  if (body.includes('\u0000')) return { ok: false, problem: problem('file-no-text'), columns: [] };
  const [header = ''] = body.split(/\r?\n/, 1);
  const delimiter = ['\t', ';', ','].find((one) => header.includes(one));
  if (!delimiter) return { ok: false, problem: problem('past-no-header'), columns: [] };
  const [head = [], ...rows] = dsvFormat(delimiter).parseRows(body);
  const columns = head.map((name) => name.trim());
  const by = answers.by ?? guessColumns(columns, rows);
  if (by.crop < 0 || by.sown < 0)
    return { ok: false, problem: problem('past-no-columns', { names: columns }), columns };
  const filled = rows
    .map((cells, index): Row => ({ line: index + 2, cell: cellsOf(cells, by) }))
    .filter((_row, index) => rows[index]!.some((cell) => cell.trim() !== ''));
  const list = new List(ground, answers, {
    columns,
    by,
    rows: filled,
    comma: delimiter === ',' ? 'ask' : 'decimal'
  });
  return list.read();
}

interface Row {
  /** As an editor counts them, the header being the first. */
  line: number;
  cell: (field: PastField) => string;
}

const cellsOf =
  (cells: readonly string[], by: PastColumns): Row['cell'] =>
  (field) => {
    const typed = by[field] < 0 ? '' : (cells[by[field]] ?? '').trim();
    return BLANK.test(typed) ? '' : typed;
  };

class List {
  private readonly names: CropNames;
  private readonly byKey: ReadonlyMap<string, Crop>;
  private readonly units: Record<AmountField, string | null>;
  private readonly unitless = new Set<'mass' | 'length'>();
  private readonly copies = new Map<string, number>();
  private readonly otherPlaces = new Set<string>();

  constructor(
    private readonly ground: PastGround,
    private readonly answers: PastAnswers,
    private readonly file: {
      columns: string[];
      by: PastColumns;
      rows: readonly Row[];
      comma: 'ask' | 'decimal';
    }
  ) {
    this.names = new CropNames(ground.crops);
    this.byKey = new Map(ground.crops.map((crop) => [crop.key, crop]));
    const { columns, by } = file;
    this.units = Object.fromEntries(
      Object.keys(AMOUNTS).map((field) => [field, headOf(columns[by[field as PastField]] ?? '').unit])
    ) as Record<AmountField, string | null>;
  }

  read(): PastList {
    const { columns, by, rows } = this.file;
    const days = rows.map(({ cell }) =>
      (['sown', 'opened', 'cut'] as const).map((field) => dayPart(cell(field))).filter(Boolean)
    );
    const orders = dayOrders(days, { latest: this.ground.zone.date(this.ground.now), mostD: MOST_D });
    const order = this.answers.order ?? (orders.length === 1 ? orders[0]! : null);
    const unknown = this.unknown();
    let leftOut = 0;
    const lines: PastLine[] = [];
    for (const row of rows) {
      const answer = this.answers.names.get(nameKeyOf(row.cell('crop')));
      if (answer === null) leftOut += 1;
      else if (order !== null) lines.push(this.line(row, order));
    }
    return {
      ok: true,
      columns,
      by,
      orders,
      ambiguous:
        orders.length > 1 ? (days.flat().find((typed) => readsDifferently(typed, orders)) ?? null) : null,
      unitless: this.unitless,
      unknown,
      otherPlaces: [...this.otherPlaces],
      leftOut,
      lines
    };
  }

  private unknown(): UnknownName[] {
    const found = new Map<string, UnknownName>();
    for (const { cell } of this.file.rows) {
      const typed = cell('crop');
      if (typed === '') continue;
      const known = found.get(nameKeyOf(typed));
      if (known) known.lines += 1;
      else if (!this.names.named(typed))
        found.set(nameKeyOf(typed), { typed, lines: 1, like: this.names.like(typed) });
    }
    return [...found.values()].sort((a, b) => b.lines - a.lines);
  }

  private line({ line, cell }: Row, order: DayOrder): PastLine {
    let wrong: Problem | null = null;
    const fail = (found: Problem): null => {
      wrong ??= found;
      return null;
    };
    const crop = this.cropOf(cell('crop'));
    if (!crop) return { line, ok: false, problem: problem('past-no-crop', { typed: cell('crop') }) };
    const day = (field: 'sown' | 'opened' | 'cut', from: Millis): Millis | null => {
      const typed = cell(field);
      if (typed === '') return null;
      const at = this.momentOf(typed, order);
      if (at === null) return fail(problem('past-day-unread', { typed }));
      return at > this.ground.now || at < from ? fail(problem('past-day-cannot-be', { typed })) : at;
    };
    const sownAt = day('sown', 0);
    if (sownAt === null && wrong === null) fail(problem('past-not-sown'));
    const openedAt = day('opened', sownAt ?? 0);
    const lost = lossOf(cell('lost'));
    const amount = (field: AmountField, most: number): number | null => {
      const typed = cell(field);
      const value = typed === '' ? null : this.amount(field, typed);
      if (value === undefined) return fail(problem('past-no-number', { typed }));
      if (value !== null && value > most) return fail(problem('past-too-much', { typed }));
      // A harvest of nothing is none; a size or seed of nothing was not noted.
      return value === 0 ? null : value;
    };
    const past: Omit<PastSowing, 'copy'> = {
      cropKey: crop.key,
      sownAt: sownAt ?? 0,
      openedAt,
      cutAt: day('cut', sownAt ?? 0),
      cutG: amount('grams', PAST_BOUNDS.cutG),
      seedG: amount('seed', PAST_BOUNDS.seedG),
      container: this.containerOf(cell, (field) => amount(field, SIZE_BOUNDS.lengthCm[1])),
      count: this.countOf(cell('count')) ?? fail(problem('past-no-count', { typed: cell('count') })) ?? 1,
      medium: mediumOf(cell('medium')),
      placeId: this.placeOf(cell('place')),
      lost,
      note: cell('note').slice(0, PAST_BOUNDS.note) || null
    };
    if (past.cutG !== null && past.cutAt === null && lost === null) fail(problem('past-cut-no-day'));
    if (past.cutAt === null && openedAt === null && lost === null) fail(problem('past-no-end'));
    if (wrong) return { line, ok: false, problem: wrong };
    const said = JSON.stringify(past);
    const copy = this.copies.get(said) ?? 0;
    this.copies.set(said, copy + 1);
    return { line, ok: true, past: { ...past, copy } };
  }

  private cropOf(typed: string): Crop | null {
    const answer = this.answers.names.get(nameKeyOf(typed));
    if (typeof answer === 'string') return this.byKey.get(answer) ?? null;
    return typed === '' ? null : this.names.named(typed);
  }

  /** A day alone is its noon: no round is earlier or later than half a day of it. */
  private momentOf(typed: string, order: DayOrder): Millis | null {
    const timed = /\d:\d/.test(typed) ? readTime(typed, this.ground.zone, order) : null;
    if (timed !== null) return timed;
    const day = readDay(dayPart(typed), order);
    if (day === null) return null;
    return Math.min(
      day.toZonedDateTime({ timeZone: this.ground.zone.id, plainTime: '12:00' }).epochMilliseconds,
      // Today's noon may be to come.
      this.ground.zone.date(this.ground.now).equals(day) ? this.ground.now : Infinity
    );
  }

  /** An amount in g or cm; undefined if the cell holds no number. */
  private amount(field: AmountField, typed: string): number | undefined {
    const kind = AMOUNTS[field];
    const [, digits = '', sign = ''] = /^([^a-zA-Z"″'′]*?)\s*([a-zA-Z"″'′]+\.?)?$/.exec(typed) ?? [];
    const value = readNumber(digits, this.file.comma);
    if (value === null || value < 0) return undefined;
    const named = sign === '' ? this.units[field] : (readUnit(sign)?.unit ?? sign);
    if (named === null) this.unitless.add(kind);
    const factor = unitFactor(
      kind,
      named ?? (kind === 'mass' ? this.answers.massUnit : this.answers.lengthUnit)
    );
    return factor === undefined ? undefined : value * factor;
  }

  private containerOf(
    cell: Row['cell'],
    amount: (field: 'length' | 'width') => number | null
  ): PastContainer | null {
    const typed = cell('container');
    const own = this.ground.containers.find(({ name }) => plain(name) === plain(typed));
    if (own) return { id: own.id };
    const sized = this.sizeOf(typed);
    const [lengthCm, widthCm] = sized ?? [amount('length'), amount('width')];
    const [least, most] = SIZE_BOUNDS.lengthCm;
    const fits = (cm: number | null): boolean => cm === null || (cm >= least && cm <= most);
    return lengthCm !== null && fits(lengthCm) && fits(widthCm) ? { lengthCm, widthCm } : null;
  }

  /** `25 x 18`, `10x20 in`, `30 × 20 cm`: longer side first, cm. */
  private sizeOf(typed: string): readonly [number, number] | null {
    const [, first, second, sign = ''] =
      /(\d+(?:[.,]\d+)?)\s*(?:cm|mm|in|"|″)?\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*(cm|mm|in\b|inch(?:es)?|"|″)?/i.exec(
        typed
      ) ?? [];
    if (first === undefined || second === undefined) return null;
    const named = sign === '' ? null : readUnit(sign)?.unit;
    if (named === null) this.unitless.add('length');
    const factor = unitFactor('length', named ?? this.answers.lengthUnit) ?? 1;
    const sides = [first, second].map((side) => Number(side.replace(',', '.')) * factor);
    return [Math.max(...sides), Math.min(...sides)];
  }

  private countOf(typed: string): number | null {
    if (typed === '') return 1;
    const value = readNumber(typed, this.file.comma);
    return value !== null && Number.isInteger(value) && value >= 1 && value <= PAST_BOUNDS.count
      ? value
      : null;
  }

  private placeOf(typed: string): string | null {
    if (typed === '') return null;
    const found = this.ground.places.find(({ name }) => plain(name) === plain(typed));
    if (!found) this.otherPlaces.add(typed);
    return found?.id ?? null;
  }
}

const readsDifferently = (typed: string, orders: readonly DayOrder[]): boolean =>
  new Set(orders.map((order) => String(readDay(typed, order)))).size > 1;

const mediumOf = (typed: string): MediumKind | null => {
  const words = plain(typed).replace(/[\s_]+/g, '-');
  return words === '' ? null : (MEDIA.find((kind) => words.includes(kind) || kind.includes(words)) ?? null);
};

const NO = /^(no|none|0|false|n|nein|non)$/i;

/** Why it was lost, where its words say so; anything else that is said is something else. */
const lossOf = (typed: string): LossReason | null => {
  if (typed === '' || NO.test(typed)) return null;
  const words = plain(typed).replace(/\s+/g, '-');
  return (
    LOSS_REASONS.find((reason) => words.includes(reason)) ??
    (/moh?o|schimmel|moisi|mold/.test(words) ? 'mould' : 'other')
  );
};
