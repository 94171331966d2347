import { DAY_ORDERS, readDay } from '../../time/readDay.ts';
import { unitFactor } from '../../units/parseQuantity.ts';

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
  'container',
  'count',
  'medium',
  'place',
  'lost',
  'note'
] as const;
export type PastField = (typeof PAST_FIELDS)[number];

/** The fields that are amounts, and what they are amounts of. */
export const AMOUNTS = { grams: 'mass', seed: 'mass', length: 'length', width: 'length' } as const;
export type AmountField = keyof typeof AMOUNTS;

/** Which column holds which field: its index, or -1 for none. */
export type PastColumns = Record<PastField, number>;

/** A column's name apart from its unit: `Seed (g)`, `Yield, oz`, `Length in cm`. */
interface Head {
  name: string;
  unit: string | null;
  kind: 'mass' | 'length' | null;
}

const UNIT_WORDS: Record<string, string> = {
  gram: 'g',
  grams: 'g',
  gramos: 'g',
  gramm: 'g',
  gr: 'g',
  ounce: 'oz',
  ounces: 'oz',
  onzas: 'oz',
  pound: 'lb',
  pounds: 'lb',
  lbs: 'lb',
  inch: 'in',
  inches: 'in',
  pulgadas: 'in',
  "''": 'in',
  '′′': 'in',
  '″': 'in',
  '"': 'in'
};

/** A unit of mass or length as it is written in heads and cells, by its usual sign; null for no such unit. */
export function readUnit(typed: string): { unit: string; kind: 'mass' | 'length' } | null {
  const word = typed.trim().toLowerCase().replace(/\.$/, '');
  const unit = UNIT_WORDS[word] ?? word;
  for (const kind of ['mass', 'length'] as const)
    if (unitFactor(kind, unit) !== undefined) return { unit, kind };
  return null;
}

/** Splits a column's name. A unit stands in brackets, after a comma or a slash, or as the first or last word. */
export function headOf(column: string): Head {
  const text = column
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[_\s]+/g, ' ')
    .trim()
    .toLowerCase();
  const [, name = '', typed = ''] =
    /^(.*?)\s*[([{]([^)\]}]*)[)\]}]$/.exec(text) ??
    /^(.*?)(?:\s*[,/]\s*|\s+(?:in\s+)?)([a-z"″]+\.?)$/.exec(text) ??
    [];
  const found = typed === '' ? null : readUnit(typed);
  if (found) return { name, ...found };
  const [, first = '', rest = ''] = /^([a-z]+) (?:of |de |d')?(.+)$/.exec(text) ?? [];
  const leading = first === '' || first === 'in' ? null : readUnit(first);
  if (leading) return { name: rest, ...leading };
  const alone = readUnit(text);
  return alone ? { name: '', ...alone } : { name: text, unit: null, kind: null };
}

/** Counts, rates and lengths of time: none of the fields, whatever else their names say. */
const OTHER =
  /\b(days?|hours?|weeks?|tage?|stunden|dias?|horas|jours|heures|rate|count|number|per|id|lot|batch|price|cost|density|germination)\b|[#%€$]/;
const SEED = /\bseeds?\b|semillas?|saatgut|saatmenge|graines?\b/;
/** Names with seed in them that tell of a day. */
const SOWING = /seed(ed|ing)|seed date/;
const CUT = /\bcut|harvest|picked|cosecha|\bernte|geerntet|recolte/;

/** What stands in a column, by most of its filled cells. */
type Content = 'days' | 'numbers' | 'text' | 'nothing';

const SAMPLE = 60;

function contentOf(cells: readonly string[]): Content {
  const filled = cells.filter((cell) => cell.trim() !== '').slice(0, SAMPLE);
  if (filled.length === 0) return 'nothing';
  const most = (is: (cell: string) => boolean): boolean => filled.filter(is).length * 2 > filled.length;
  const isDay = (cell: string): boolean => DAY_ORDERS.some((order) => readDay(dayPart(cell), order) !== null);
  if (most(isDay)) return 'days';
  return most((cell) => /^\s*[\d.,]+\s*[^\d\s]{0,6}\s*$/.test(cell)) ? 'numbers' : 'text';
}

/** A cell without the time of day that follows its date. */
export const dayPart = (cell: string): string => cell.replace(/[T,\s]+\d{1,2}:\d{2}.*$/i, '').trim();

type Fits = (head: Head, content: Content) => boolean;
const isDays: Fits = ({ kind }, content) => kind === null && content !== 'numbers';
const isMass: Fits = ({ kind }, content) => kind !== 'length' && content !== 'days';
const isLength: Fits = ({ kind }, content) => kind !== 'mass' && content !== 'days';

/** The field of a column, by the first that fits. */
const FITS: readonly (readonly [PastField, RegExp, Fits])[] = [
  ['note', /\bnot(e|es|a|as|iz|izen)\b|comment|remark|remarque|bemerkung/, () => true],
  ['lost', /\blost|failed|failure|\bloss|problem|perdid|verlust|perdu/, () => true],
  // What is weighed of seed is seed, whatever else the name says.
  ['seed', SEED, (head, content) => isMass(head, content) && content !== 'text' && !SOWING.test(head.name)],
  ['opened', /\bopen|ready|\blist[oa]\b|bereit|erntereif|\bpret/, isDays],
  ['grams', /yield|weight|rendimiento|\bpeso|ertrag|gewicht|rendement|poids/, isMass],
  ['grams', CUT, (head, content) => isMass(head, content) && (head.kind === 'mass' || content === 'numbers')],
  ['grams', /^$/, ({ kind }) => kind === 'mass'],
  ['cut', CUT, isDays],
  ['sown', SOWING, isDays],
  [
    'sown',
    /sown|\bsow(ing)?\b|planted|start|siembra|sembrad|aussaat|gesat|semis|seme|^(date|datum|fecha|data)$/,
    isDays
  ],
  ['length', /length|\blong\b|largo|lange|diamet|longueur/, isLength],
  ['width', /width|\bwide\b|ancho|breite|largeur/, isLength],
  [
    'count',
    /^(trays?|pots?|count|quantity|qty|how many|bandejas?|schalen?|anzahl|(no|number|count) ?(of|de) (trays|pots|bandejas))$/,
    (_head, content) => content === 'numbers'
  ],
  [
    'container',
    /\btrays?\b|\bpots?\b|container|size|bandeja|recipiente|schale|behalter|barquette|bac\b/,
    (head, content) => head.kind !== 'mass' && content !== 'days' && content !== 'numbers'
  ],
  ['medium', /medium|substrat|sustrato|\bsoil\b|growing on|grown on/, (_head, content) => content !== 'days'],
  [
    'place',
    /place|shelf|where|location|lugar|\bplatz|\bort\b|standort|\blieu/,
    (_head, content) => content !== 'days'
  ],
  [
    'crop',
    /crop|plant|variety|what|species|seed|cultivo|especie|kultur|sorte|\bart\b|culture|espece|semilla/,
    (head, content) => head.kind === null && (content === 'text' || content === 'nothing')
  ]
];

/** The field of a column by its name and what stands in it; null for none that is known. */
function fieldOf(column: string, cells: readonly string[]): PastField | null {
  const head = headOf(column);
  const content = contentOf(cells);
  const isOther = OTHER.test(head.name);
  return (
    FITS.find(
      ([field, name, fits]) =>
        (!isOther || field === 'note' || field === 'lost' || field === 'count') &&
        name.test(head.name) &&
        fits(head, content)
    )?.[0] ?? null
  );
}

/** The columns that are likely meant, by their names and contents; the first of several for one field. */
export function guessColumns(
  names: readonly string[],
  rows: readonly (readonly string[])[] = []
): PastColumns {
  const fields = names.map((name, at) =>
    fieldOf(
      name,
      rows.map((row) => row[at] ?? '')
    )
  );
  return Object.fromEntries(PAST_FIELDS.map((field) => [field, fields.indexOf(field)])) as PastColumns;
}
