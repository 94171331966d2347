import type { MixPart } from '../core/crops/blend.ts';
import type { LossReason } from '../core/sowing/event.ts';
import type { MediumKind } from '../core/supplies/media/medium.ts';
import type { Millis } from '../core/time/zone.ts';
import { isId, isKey, plainText } from './text.ts';

/** What the notebook can be sorted by, and shows as columns. */
export const NOTEBOOK_COLUMNS = [
  'crop',
  'sown',
  'days',
  'opened',
  'cut',
  'perArea',
  'perSeed',
  'seed',
  'container',
  'medium',
  'method',
  'place',
  'water',
  'eaten',
  'thrown',
  'outcome'
] as const;
export type NotebookColumn = (typeof NOTEBOOK_COLUMNS)[number];

/** What it shows until somebody chooses. */
const USUAL_COLUMNS: readonly NotebookColumn[] = [
  'crop',
  'sown',
  'days',
  'cut',
  'perArea',
  'perSeed',
  'place',
  'outcome'
];

export const OUTCOMES = ['cut', 'lost', 'under-way'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** What is looked for in the notebook; null for anything. */
export interface NotebookQuery {
  text: string;
  crop: string | null;
  place: string | null;
  lot: string | null;
  medium: string | null;
  method: string | null;
  outcome: Outcome | null;
  sort: NotebookColumn;
  descending: boolean;
  page: number;
  columns: readonly NotebookColumn[];
}

const MOST_TEXT = 100;
const MOST_PAGE = 10_000;

const oneOf = <T extends string>(sent: string | null, of: readonly T[]): T | null =>
  of.find((one) => one === sent) ?? null;

/** Reads what an address asks of the notebook; what it cannot be is left out. */
export function readNotebookQuery(params: URLSearchParams): NotebookQuery {
  const get = (name: string) => params.get(name);
  const named = (name: string) => {
    const sent = get(name);
    return isKey(sent) ? sent : null;
  };
  const columns = NOTEBOOK_COLUMNS.filter((column) => params.getAll('column').includes(column));
  const page = Number(get('page') ?? 1);
  return {
    text: plainText(get('text') ?? '')
      .trim()
      .slice(0, MOST_TEXT),
    crop: named('crop'),
    place: isId(get('place')) ? get('place') : null,
    lot: isId(get('lot')) ? get('lot') : null,
    medium: named('medium'),
    method: named('method'),
    outcome: oneOf(get('outcome'), OUTCOMES),
    sort: oneOf(get('sort'), NOTEBOOK_COLUMNS) ?? 'sown',
    descending: get('up') === null,
    page: Number.isInteger(page) && page >= 1 && page <= MOST_PAGE ? page : 1,
    columns: columns.length > 0 ? columns : USUAL_COLUMNS
  };
}

/** The same as an address, with what is changed of it; what is usual is left out. */
export function notebookAddress(
  query: NotebookQuery,
  changed: Partial<NotebookQuery> = {},
  path = '/notebook'
): string {
  const next = { ...query, ...changed };
  const params = new URLSearchParams();
  for (const name of ['text', 'crop', 'place', 'lot', 'medium', 'method', 'outcome'] as const)
    if (next[name]) params.set(name, next[name]);
  if (next.sort !== 'sown') params.set('sort', next.sort);
  if (!next.descending) params.set('up', '');
  if (next.page > 1) params.set('page', String(next.page));
  if (next.columns.join() !== USUAL_COLUMNS.join())
    for (const column of next.columns) params.append('column', column);
  const search = params.toString();
  return search === '' ? path : `${path}?${search}`;
}

/** One sowing as a line of the notebook. */
export interface NotebookRow {
  id: string;
  cropKey: string;
  mix: MixPart[] | null;
  /** Null where nobody said what it grew in. */
  container: string | null;
  count: number;
  medium: MediumKind;
  mediumName: string | null;
  method: string;
  place: string;
  sownAt: Millis;
  sown: boolean;
  endedAt: Millis | null;
  lost: LossReason | null;
  days: number | null;
  openedD: number | null;
  /** Null where it was assumed. */
  seedG: number | null;
  cutG: number;
  perM2: number | null;
  perSeed: number | null;
  wateredG: number;
  eatenG: number;
  thrownG: number;
}
