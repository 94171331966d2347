import { pantryOf } from '../../core/pantry/item.ts';
import { yieldTaught } from '../../core/harvest/taught.ts';
import { messageOf, reliableOf } from '../../core/growth/learned.ts';
import { CUE_MARKS, type CueMark, type Cues } from '../../core/growth/telling.ts';
import { cuesTold } from '../../core/sowing/cues.ts';
import { bodiesOf, cutG, wateredG } from '../../core/sowing/totals.ts';
import { project, type HouseholdFacts, type Projected } from '../../core/sowing/project.ts';
import { readLog, type SowingRecord } from '../../core/sowing/record.ts';
import type { Gaussian } from '../../core/stats/gaussian.ts';
import type { Millis } from '../../core/time/zone.ts';
import { thirstOf } from '../../core/water/message.ts';
import { foldedWords } from '../../words/search.ts';
import type { Tx } from '../db/connection.ts';

/** What is kept beside a sowing and follows from its events and its household: it can be worked out anew at any time. */
export interface Derived {
  id: string;
  endedAt: Millis | null;
  sownAt: Millis | null;
  openedAt: Millis | null;
  firstCutAt: Millis | null;
  cutG: number;
  lost: string | null;
  eatenG: number;
  givenG: number;
  thrownG: number;
  wateredG: number;
  inPantry: boolean;
  /** Its container stands emptied and is not clean: so it stays in use. */
  toClean: boolean;
  words: string;
  pace: Gaussian | null;
  /** The same if its household is to be relied on. */
  reliable: Gaussian | null;
  cues: Cues;
  thirst: Gaussian | null;
  yields: Gaussian | null;
}

/** What a sowing came to, what it says of its crop's pace and yield, and of how fast water goes. */
export function derivedOf(facts: HouseholdFacts, record: SowingRecord): Derived {
  const projected = project(facts, record.setup, readLog(record), { asIfNew: true });
  const { state } = projected;
  const { items, fate } = pantryOf(projected, facts.rhythm.zone);
  return {
    id: record.setup.id,
    endedAt: state.endedAt,
    sownAt: state.sownAt,
    openedAt: seenAt(projected),
    firstCutAt: state.cuts[0]?.at ?? null,
    cutG: round(cutG(state)),
    lost: state.lost,
    eatenG: round(fate.eatenG),
    givenG: round(fate.givenG),
    thrownG: round(fate.thrownG),
    wateredG: round(wateredG(state)),
    inPantry: items.length > 0,
    toClean: state.stage === 'ended' && state.sownAt !== null && !state.cleaned.has('dry'),
    words: wordsOf(projected),
    pace: rounded(messageOf(projected)),
    reliable: rounded(reliableOf(projected)),
    cues: cuesTold(projected.state, projected.path),
    thirst: rounded(thirstOf(projected)),
    yields: rounded(yieldTaught(projected))
  };
}

const seenAt = ({ state }: Projected): Millis | null =>
  (state.first ?? state).seen.find(({ mark }) => mark === 'windowOpen')?.reachedAt ?? null;

/** What it is found by, as it is compared: without case and accents. */
const wordsOf = ({ crop, parts, setup, method, stays, state }: Projected): string =>
  foldedWords([
    crop.name,
    ...parts.map((part) => part.crop.name),
    setup.container.name,
    method.name,
    ...stays.map(({ place }) => place.name),
    ...bodiesOf(state, 'noted').map(({ text }) => text)
  ]);

/** To a thousandth of a g: no scale shows more. */
const round = (g: number): number => Math.round(g * 1000) / 1000;

/** As it is kept and sent with every page: to six places, far finer than anything is known. */
const rounded = (message: Gaussian | null): Gaussian | null =>
  message && { mean: Number(message.mean.toFixed(6)), variance: Number(message.variance.toFixed(7)) };

/** Marks as they are kept: a bit each. */
const bitsOf = (marks: readonly CueMark[]): number =>
  marks.reduce((bits, mark) => bits | (1 << CUE_MARKS.indexOf(mark)), 0);

/** The same read back. */
export const marksOf = (bits: number): CueMark[] => CUE_MARKS.filter((_mark, at) => (bits & (1 << at)) !== 0);

const time = (at: Millis | null): string | null => (at === null ? null : new Date(at).toISOString());

/** A column of what is derived: its name, its type, what it holds, and what is stored of that where it is not all of it. */
type Column = [name: string, type: string, of: (derived: Derived) => unknown, stored?: string];

/** A belief in two columns. */
const gaussian = (name: string, of: (derived: Derived) => Gaussian | null): Column[] => [
  [`${name}_mean`, 'double precision', (one) => of(one)?.mean ?? null],
  [`${name}_variance`, 'double precision', (one) => of(one)?.variance ?? null]
];

/** All that is stored of what was derived. */
const COLUMNS: readonly Column[] = [
  ['ended_at', 'timestamptz', ({ endedAt }) => time(endedAt)],
  ['sown_at', 'timestamptz', ({ sownAt }) => time(sownAt)],
  ['opened_at', 'timestamptz', ({ openedAt }) => time(openedAt)],
  ['first_cut_at', 'timestamptz', ({ firstCutAt }) => time(firstCutAt)],
  ['cut_g', 'double precision', ({ cutG: g }) => g],
  ['lost', 'text', ({ lost }) => lost],
  ['eaten_g', 'double precision', ({ eatenG }) => eatenG],
  ['given_g', 'double precision', ({ givenG }) => givenG],
  ['thrown_g', 'double precision', ({ thrownG }) => thrownG],
  ['watered_g', 'double precision', ({ wateredG: g }) => g],
  ['in_pantry', 'boolean', ({ inPantry }) => inPantry],
  ['to_clean', 'boolean', ({ toClean }) => toClean, 'd.to_clean and s.cleaning'],
  ['words', 'text', ({ words }) => words],
  ...gaussian('pace', ({ pace }) => pace),
  ...gaussian('reliable', ({ reliable }) => reliable),
  ['cues_told', 'smallint', ({ cues }) => bitsOf(cues.told)],
  ['cues_left', 'smallint', ({ cues }) => bitsOf(cues.left)],
  ['answers_given', 'integer', ({ cues }) => cues.slips?.answers ?? 0],
  ['answers_contradicted', 'integer', ({ cues }) => cues.slips?.contradicted ?? 0],
  ...gaussian('thirst', ({ thirst }) => thirst),
  ...gaussian('yield', ({ yields }) => yields)
];

/** The columns as SQL has them, one way each. */
const sqlOf = (write: (column: Column) => string): string => COLUMNS.map(write).join(', ');
const TYPED = sqlOf(([name, type]) => `${name} ${type}`);
const storedOf = ([name, , , stored]: Column): string => stored ?? `d.${name}`;
const SET = sqlOf((column) => `${column[0]} = ${storedOf(column)}`);
const BEFORE = sqlOf(([name]) => `s.${name}`);
const AFTER = sqlOf(storedOf);

/** Writes down what was derived; a sowing of which nothing changed is not written. */
export async function saveDerived(tx: Tx, derived: readonly Derived[]): Promise<void> {
  if (derived.length === 0) return;
  const rows = derived.map((one) => ({
    id: one.id,
    ...Object.fromEntries(COLUMNS.map(([name, , of]) => [name, of(one)]))
  }));
  await tx`update sowings s set ${tx.unsafe(SET)}
    from jsonb_to_recordset(${tx.json(rows as never)}) as d(id uuid, ${tx.unsafe(TYPED)})
    where s.id = d.id and (${tx.unsafe(BEFORE)}) is distinct from (${tx.unsafe(AFTER)})`;
}
