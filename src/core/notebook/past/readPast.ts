import { dsvFormat } from 'd3-dsv';
import { problem, type Problem } from '../problem.ts';
import type { Crop } from '../crops/crop.ts';
import { dayOrderOf, readTime, type DayOrder } from '../places/air/readTime.ts';
import { LOSS_REASONS, type LossReason } from '../sowing/event.ts';
import { MEDIA, type MediumKind } from '../supplies/media/medium.ts';
import type { Millis, Zone } from '../time/zone.ts';
import { readNumber } from '../units/parseQuantity.ts';

/** What a list of past sowings may say of each; the first two it must. */
export const PAST_FIELDS = [
  'crop',
  'sown',
  'cut',
  'grams',
  'seed',
  'opened',
  'length',
  'width',
  'medium',
  'place',
  'lost',
  'note'
] as const;
export type PastField = (typeof PAST_FIELDS)[number];

/** Which column says what: its index, or -1 for none. */
export type PastColumns = Record<PastField, number>;

/** More lines than a home writes in twenty years; longer lists are split. */
export const MOST_PAST_LINES = 2000;

/** How people head such columns. */
const HEADS: Record<PastField, RegExp> = {
  crop: /^(crop|plant|variety|what|cultivo|kultur|sorte|culture)/i,
  sown: /(sown|sowing|seeded|planted|start|siembra|aussaat|semis)/i,
  cut: /(cut|harvest|picked|cosecha|ernte|r[ée]colte)(?!.*(g|gram|yield)\b)/i,
  grams: /(yield|gram|weight|^g$|\(g\)|rendimiento|ertrag)/i,
  seed: /(seed|semilla|saatgut|graine)/i,
  opened: /(open|ready|first ready|listo|bereit|pr[eê]t)/i,
  length: /(length|long|largo|l[äa]nge|diameter)/i,
  width: /(width|wide|ancho|breite|largeur)/i,
  medium: /(medium|substrate|soil|sustrato|substrat)/i,
  place: /(place|shelf|where|lugar|platz|lieu)/i,
  lost: /(lost|failed|loss|problem|perdid|verlust|perdu)/i,
  note: /(note|comment|remark|nota|notiz|remarque)/i
};

/** One sowing of before, as it was written down. */
export interface PastSowing {
  cropKey: string;
  sownAt: Millis;
  openedAt: Millis | null;
  cutAt: Millis | null;
  cutG: number | null;
  seedG: number | null;
  lengthCm: number | null;
  widthCm: number | null;
  medium: MediumKind | null;
  place: string | null;
  lost: LossReason | null;
  note: string | null;
}

export type PastLine = { line: number } & ({ ok: true; past: PastSowing } | { ok: false; problem: Problem });

export type ReadPast =
  | { ok: false; problem: Problem; columns: string[] }
  | { ok: true; columns: string[]; by: PastColumns; lines: PastLine[] }
  /** Its days can be read two ways: somebody has to say which. */
  | { ok: 'ask-order'; columns: string[]; by: PastColumns; typed: string };

/** The columns that are likely meant, by their heads; each is taken once. */
export function guessColumns(names: readonly string[]): PastColumns {
  const taken = new Set<number>();
  return Object.fromEntries(
    PAST_FIELDS.map((field) => {
      const found = names.findIndex((name, at) => !taken.has(at) && HEADS[field].test(name.trim()));
      if (found >= 0) taken.add(found);
      return [field, found];
    })
  ) as PastColumns;
}

const plain = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').trim().toLowerCase();

/**
 * Reads a plain CSV of past sowings with a header. Commas, semicolons or tabs; decimal points or commas; days as
 * 2026-11-23, 23.11.2026, or with slashes in the order that the file shows, or else that somebody says.
 * @param by which column says what; guessed where not given
 */
export function readPastCsv(
  text: string,
  zone: Zone,
  crops: readonly Crop[],
  { by, order, now }: { by: PastColumns | null; order: DayOrder | null; now: Millis }
): ReadPast {
  const body = text.replace(/^\uFEFF/, '').trimStart();
  const lines = body.match(/\n/g)?.length ?? 0;
  if (lines > MOST_PAST_LINES)
    return { ok: false, problem: problem('past-too-many', { lines, most: MOST_PAST_LINES }), columns: [] };
  if (body.includes('\u0000')) return { ok: false, problem: problem('file-no-text'), columns: [] };
  const [header = ''] = body.split(/\r?\n/, 1);
  const delimiter = ['\t', ';', ','].find((one) => header.includes(one));
  if (!delimiter) return { ok: false, problem: problem('past-no-header'), columns: [] };
  const [head = [], ...rows] = dsvFormat(delimiter).parseRows(body);
  const columns = head.map((name) => name.trim());
  const chosen = by ?? guessColumns(columns);
  if (chosen.crop < 0 || chosen.sown < 0)
    return { ok: false, problem: problem('past-no-columns', { names: columns }), columns };
  const cellOf = (row: readonly string[], field: PastField): string =>
    chosen[field] < 0 ? '' : (row[chosen[field]] ?? '').trim();
  const filled = rows
    .map((row, index) => ({ row, line: index + 2 }))
    .filter(({ row }) => row.some((cell) => cell.trim() !== ''));
  const days = filled.flatMap(({ row }) =>
    (['sown', 'opened', 'cut'] as const).map((field) => cellOf(row, field)).filter(Boolean)
  );
  const shown = dayOrderOf(days);
  if (shown === 'unclear' && order === null)
    return {
      ok: 'ask-order',
      columns,
      by: chosen,
      typed: days.find((one) => /^\d{1,2}[/-]/.test(one)) ?? days[0] ?? ''
    };
  const as = order ?? (shown === 'unclear' ? 'day-first' : shown);
  const reading = new Reading(zone, crops, { as, now, comma: delimiter === ',' ? 'ask' : 'decimal' });
  return {
    ok: true,
    columns,
    by: chosen,
    lines: filled.map(({ row, line }) => reading.line(line, (field) => cellOf(row, field)))
  };
}

class Reading {
  private readonly byName: Map<string, Crop>;
  constructor(
    private readonly zone: Zone,
    crops: readonly Crop[],
    private readonly how: { as: DayOrder; now: Millis; comma: 'ask' | 'decimal' }
  ) {
    this.byName = new Map(
      crops.flatMap((crop) => [crop.key, crop.name, crop.botanicalName].map((name) => [plain(name), crop]))
    );
  }

  line(line: number, cell: (field: PastField) => string): PastLine {
    let wrong: Problem | null = null;
    const fail = (found: Problem): null => {
      wrong ??= found;
      return null;
    };
    const crop = this.byName.get(plain(cell('crop')));
    if (!crop) return { line, ok: false, problem: problem('past-no-crop', { typed: cell('crop') }) };
    const day = (field: 'sown' | 'opened' | 'cut', from: Millis): Millis | null => {
      const typed = cell(field);
      if (typed === '') return null;
      // A day alone is its noon: no round is earlier or later than half a day of it.
      const at = readTime(/\d:\d/.test(typed) ? typed : `${typed} 12:00`, this.zone, this.how.as);
      if (at === null) return fail(problem('time-unread', { typed, tooManyColumns: false }));
      return at > this.how.now || at < from ? fail(problem('past-day-cannot-be', { typed })) : at;
    };
    const number = (field: PastField): number | null => {
      const typed = cell(field).replace(/\s*(g|cm)$/i, '');
      if (typed === '') return null;
      const value = readNumber(typed, this.how.comma);
      return value !== null && value > 0 ? value : fail(problem('past-no-number', { typed: cell(field) }));
    };
    const sownAt = day('sown', 0);
    if (sownAt === null && wrong === null) fail(problem('past-not-sown'));
    const past: PastSowing = {
      cropKey: crop.key,
      sownAt: sownAt ?? 0,
      openedAt: day('opened', sownAt ?? 0),
      cutAt: day('cut', sownAt ?? 0),
      cutG: number('grams'),
      seedG: number('seed'),
      lengthCm: number('length'),
      widthCm: number('width'),
      medium: mediumOf(cell('medium')),
      place: cell('place') || null,
      lost: lossOf(cell('lost')),
      note: cell('note') || null
    };
    if (past.cutG !== null && past.cutAt === null && past.lost === null) fail(problem('past-cut-no-day'));
    return wrong ? { line, ok: false, problem: wrong } : { line, ok: true, past };
  }
}

const mediumOf = (typed: string): MediumKind | null => {
  const words = plain(typed).replace(/[\s_]+/g, '-');
  return words === '' ? null : (MEDIA.find((kind) => words.includes(kind) || kind.includes(words)) ?? null);
};

const NO = /^(no|none|-|0|false|n)$/i;

/** Why it was lost, where its words say so; anything else that is said is something else. */
const lossOf = (typed: string): LossReason | null => {
  if (typed === '' || NO.test(typed)) return null;
  const words = plain(typed).replace(/\s+/g, '-');
  return (
    LOSS_REASONS.find((reason) => words.includes(reason)) ??
    (/moh?o|schimmel|moisi|mold/.test(words) ? 'mould' : 'other')
  );
};
