import type { Symptom } from '../symptoms/symptom.ts';
import { CAUSES, CAUSES_OF, type Cause, type Evidence, type Weighed } from './causes.ts';
import { checksFor, type Check } from './checks.ts';
import type { LookFacts } from './facts.ts';

/** How far a tray is gone: not at all, to be watched, in part, or wholly. */
export type Loss = 'no' | 'watch' | 'part' | 'whole';

/** What each cause means for the tray when it is the likely one. */
const LOSS: Partial<Record<Cause, Loss>> = {
  mould: 'part',
  'damping-off': 'part',
  dry: 'watch',
  'hairs-after-all': 'watch',
  waterlogged: 'watch',
  'lamp-close': 'watch',
  slow: 'watch',
  overripe: 'watch',
  'old-grass': 'watch'
};

/** Some things no tray comes back from, whatever the likely cause. */
function lossOf(sight: Symptom, cause: Cause, facts: LookFacts): Loss {
  if (sight === 'mould' && cause === 'mould' && facts.risk.byHours === 'high' && facts.daysInLight > 0)
    return 'whole';
  if (sight === 'fallen-rot' && cause === 'damping-off' && facts.age < 3) return 'whole';
  if (sight === 'fallen-dry' && facts.waterShare < 0.05) return 'part';
  return LOSS[cause] ?? 'no';
}

/** What a look most likely means for one tray. */
export interface Answer {
  sight: Symptom;
  /** Null where nothing that is known of the tray explains it. */
  cause: Cause | null;
  /** How likely, among the causes this sight can have; over 0 to 1, and 0 without a cause. */
  chance: number;
  because: Evidence[];
  /** The others that are at all likely, most likely first. */
  others: { cause: Cause; chance: number }[];
  /** Null where that cannot be told, without a cause. */
  loss: Loss | null;
  /** Without a cause, the two checks that would tell most; none with one. */
  checks: Check[];
}

/** What can be seen before it has rooted; all else is seen in stems and leaves. */
const ON_SEED = new Set<Symptom>(['tails', 'hairs', 'mould', 'patchy']);

/** Whether there may be stems by now: by the fastest that is likely, or by the table's days. */
const hasStems = ({ now, age, projected: { forecast, crop } }: LookFacts): boolean =>
  now >= forecast.marks.rooted.p10 || age >= STEMS_SHARE * crop.rootedD21;
const STEMS_SHARE = 0.7;

/** What fits no better than this explains nothing. */
const UNFIT = 0.25;
/** An other cause under this chance is not worth a word. */
const UNLIKELY = 0.12;

/**
 * Weighs the causes of a sight by what is known of the tray. Where none fits, none is named.
 * @param causes in any order: of two that fit alike, the one with more evidence comes first
 */
export function answerLook(
  sight: Symptom,
  facts: LookFacts,
  causes: readonly Cause[] = CAUSES_OF[sight]
): Answer {
  const weighed = causes
    .map((cause) => ({ cause, ...(CAUSES[cause] as (f: LookFacts) => Weighed)(facts) }))
    .sort(
      (a, b) => b.weight - a.weight || b.because.length - a.because.length || (a.cause < b.cause ? -1 : 1)
    );
  const fit = ON_SEED.has(sight) || hasStems(facts) ? weighed.filter(({ weight }) => weight >= UNFIT) : [];
  const [first, ...rest] = fit;
  if (!first)
    return {
      sight,
      cause: null,
      chance: 0,
      because: [],
      others: [],
      loss: null,
      checks: checksFor(sight, facts)
    };
  const sum = weighed.map(({ weight }) => weight).reduceRight((total, weight) => total + weight, 0);
  return {
    sight,
    cause: first.cause,
    chance: first.weight / sum,
    because: first.because,
    others: rest
      .map(({ cause, weight }) => ({ cause, chance: weight / sum }))
      .filter(({ chance }) => chance >= UNLIKELY),
    loss: lossOf(sight, first.cause, facts),
    checks: []
  };
}
