import { pantryOf } from '../../core/pantry/item.ts';
import { yieldTaught } from '../../core/harvest/taught.ts';
import { messageOf, reliableOf } from '../../core/growth/learned.ts';
import { CUE_MARKS, type CueMark, type Cues } from '../../core/growth/telling.ts';
import { cuesOf } from '../../core/sowing/cues.ts';
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
    pace: kept(messageOf(projected)),
    reliable: kept(reliableOf(projected)),
    cues: cuesOf(projected.state, projected.path),
    thirst: kept(thirstOf(projected)),
    yields: kept(yieldTaught(projected))
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
const kept = (message: Gaussian | null): Gaussian | null =>
  message && { mean: Number(message.mean.toFixed(6)), variance: Number(message.variance.toFixed(7)) };

/** Marks as they are kept: a bit each. */
const bitsOf = (marks: readonly CueMark[]): number =>
  marks.reduce((bits, mark) => bits | (1 << CUE_MARKS.indexOf(mark)), 0);

/** The same read back. */
export const marksOf = (bits: number): CueMark[] => CUE_MARKS.filter((_mark, at) => (bits & (1 << at)) !== 0);

const time = (at: Millis | null): string | null => (at === null ? null : new Date(at).toISOString());

/** Writes down what was derived. */
export async function keepDerived(tx: Tx, derived: readonly Derived[]): Promise<void> {
  if (derived.length === 0) return;
  const rows = derived.map((one) => ({
    id: one.id,
    ended_at: time(one.endedAt),
    sown_at: time(one.sownAt),
    opened_at: time(one.openedAt),
    first_cut_at: time(one.firstCutAt),
    cut_g: one.cutG,
    lost: one.lost,
    eaten_g: one.eatenG,
    given_g: one.givenG,
    thrown_g: one.thrownG,
    watered_g: one.wateredG,
    in_pantry: one.inPantry,
    to_clean: one.toClean,
    words: one.words,
    pace_mean: one.pace?.mean ?? null,
    pace_variance: one.pace?.variance ?? null,
    reliable_mean: one.reliable?.mean ?? null,
    reliable_variance: one.reliable?.variance ?? null,
    cues_told: bitsOf(one.cues.told),
    cues_left: bitsOf(one.cues.left),
    answers_given: one.cues.slips?.answers ?? 0,
    answers_contradicted: one.cues.slips?.contradicted ?? 0,
    thirst_mean: one.thirst?.mean ?? null,
    thirst_variance: one.thirst?.variance ?? null,
    yield_mean: one.yields?.mean ?? null,
    yield_variance: one.yields?.variance ?? null
  }));
  await tx`
    update sowings s
    set ended_at = d.ended_at, sown_at = d.sown_at, opened_at = d.opened_at, first_cut_at = d.first_cut_at, cut_g = d.cut_g,
      lost = d.lost, eaten_g = d.eaten_g, given_g = d.given_g, thrown_g = d.thrown_g, watered_g = d.watered_g,
      in_pantry = d.in_pantry, to_clean = d.to_clean and s.cleaning, words = d.words,
      pace_mean = d.pace_mean, pace_variance = d.pace_variance,
      reliable_mean = d.reliable_mean, reliable_variance = d.reliable_variance, cues_told = d.cues_told, cues_left = d.cues_left,
      answers_given = d.answers_given, answers_contradicted = d.answers_contradicted,
      thirst_mean = d.thirst_mean, thirst_variance = d.thirst_variance,
      yield_mean = d.yield_mean, yield_variance = d.yield_variance
    from jsonb_to_recordset(${tx.json(rows)}) as d(id uuid, ended_at timestamptz, sown_at timestamptz, opened_at timestamptz,
      first_cut_at timestamptz, cut_g double precision, lost text, eaten_g double precision, given_g double precision,
      thrown_g double precision, watered_g double precision, in_pantry boolean, to_clean boolean, words text,
      pace_mean double precision, pace_variance double precision, reliable_mean double precision, reliable_variance double precision,
      cues_told smallint, cues_left smallint, answers_given integer, answers_contradicted integer, thirst_mean double precision, thirst_variance double precision,
      yield_mean double precision, yield_variance double precision)
    where s.id = d.id
      and (s.ended_at, s.sown_at, s.opened_at, s.first_cut_at, s.cut_g, s.lost, s.eaten_g, s.given_g, s.thrown_g, s.watered_g,
          s.in_pantry, s.to_clean, s.words, s.pace_mean, s.pace_variance, s.reliable_mean, s.reliable_variance,
          s.cues_told, s.cues_left, s.answers_given, s.answers_contradicted, s.thirst_mean, s.thirst_variance, s.yield_mean, s.yield_variance)
        is distinct from (d.ended_at, d.sown_at, d.opened_at, d.first_cut_at, d.cut_g, d.lost, d.eaten_g, d.given_g, d.thrown_g, d.watered_g,
          d.in_pantry, d.to_clean and s.cleaning, d.words, d.pace_mean, d.pace_variance, d.reliable_mean, d.reliable_variance,
          d.cues_told, d.cues_left, d.answers_given, d.answers_contradicted, d.thirst_mean, d.thirst_variance, d.yield_mean, d.yield_variance)`;
}
