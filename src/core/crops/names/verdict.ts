import type { Crop } from '../crop.ts';
import {
  CROPS_BY_NAME,
  DANGEROUS,
  MOST_WORDS,
  meaningOf,
  type Meaning,
  type WhyRefused,
  type WhyWarned
} from './lexicon.ts';
import { isOneEdit } from './oneEdit.ts';
import { hasOtherScript, plantNameWords, writtenAsOne } from './wordsOf.ts';

/** What Brote knows about eating a plant's seedlings, by its name. */
export type NameVerdict =
  /** Poisonous: never saved. */
  | { kind: 'refused'; why: WhyRefused }
  /** One letter away from `plant`, in English. */
  | { kind: 'misspelled'; plant: string; why: WhyRefused | WhyWarned }
  /** Eaten, but not by everybody or not raw. */
  | { kind: 'warned'; why: WhyWarned }
  | { kind: 'ornamental' }
  /** Not in the table; `near` is the key of a crop whose name is one letter away. */
  | { kind: 'unknown'; because: 'unlisted'; near: string | null }
  /** Written in letters that the table does not cover. */
  | { kind: 'unknown'; because: 'script' }
  | { kind: 'known' };

/** Of two names of one plant, the verdict that stands first here holds. */
const GRAVITY: readonly NameVerdict['kind'][] = [
  'refused',
  'misspelled',
  'warned',
  'ornamental',
  'unknown',
  'known'
];

const ORNAMENTAL =
  /^(ornamental|ornamentale|ornamentali|ornamentales|ornamentais|ornemental|ornementale|decorative|decorativo|ozdobny|ozdobna|zier[a-z]{4,}|sier[a-z]{4,})$/;

interface Claim {
  from: number;
  length: number;
  meaning: Meaning;
}

/** Every run of neighbouring words, the longest first. */
function* runsOf(words: readonly string[]): Generator<{ from: number; run: string[] }> {
  for (let length = Math.min(MOST_WORDS, words.length); length >= 1; length -= 1)
    for (let from = 0; from + length <= words.length; from += 1)
      yield { from, run: words.slice(from, from + length) };
}

const isDangerous = ({ kind }: Meaning): boolean => kind === 'refused' || kind === 'warned';

/** The listed names within a name: longer ones before shorter, and dangerous ones before others of their length. */
function claimsOf(words: readonly string[]): Claim[] {
  const found = [...runsOf(words)].flatMap(({ from, run }): Claim[] => {
    const meaning = meaningOf(run);
    return meaning ? [{ from, length: run.length, meaning }] : [];
  });
  const inOrder = found.sort(
    (a, b) => b.length - a.length || Number(isDangerous(b.meaning)) - Number(isDangerous(a.meaning))
  );
  const taken = new Set<number>();
  return inOrder.filter(({ from, length }) => {
    const places = Array.from({ length }, (_, at) => from + at);
    if (places.some((at) => taken.has(at))) return false;
    places.forEach((at) => taken.add(at));
    return true;
  });
}

/** The dangerous plant that a part of the name misses by one letter; parts that are listed themselves are none. */
function nearMiss(words: readonly string[], claims: readonly Claim[]): NameVerdict | null {
  const isListed = words.map((_, at) => claims.some(({ from, length }) => at >= from && at < from + length));
  for (const { from, run } of runsOf(words)) {
    if (run.every((_, at) => isListed[from + at])) continue;
    for (const typed of writtenAsOne(run)) {
      const near = DANGEROUS.find(({ written }) => isOneEdit(typed, written));
      if (near) return { kind: 'misspelled', plant: near.meaning.plant, why: near.meaning.why };
    }
  }
  return null;
}

/** The crop that the whole name misses by one letter; null for none. */
function nearCrop(words: readonly string[]): string | null {
  const written = writtenAsOne(words);
  return CROPS_BY_NAME.find((crop) => written.some((typed) => isOneEdit(typed, crop.written)))?.key ?? null;
}

/**
 * What is known of a plant by one of its names, common or botanical, in any language of the table. A plant is known
 * only where every word of the name is a crop's or harmless: "wild radish" is another plant than radish.
 * @param name as it was typed; an empty one is unknown
 * @example verdictOnName('red kidney beans') // { kind: 'refused', why: 'kidney-bean' }
 */
export function verdictOnName(name: string): NameVerdict {
  const words = plantNameWords(name);
  const claims = claimsOf(words);
  const meanings = claims.map(({ meaning }) => meaning);
  for (const meaning of meanings)
    if (meaning.kind === 'refused') return { kind: 'refused', why: meaning.why };
  const near = nearMiss(words, claims);
  if (near) return near;
  for (const meaning of meanings) if (meaning.kind === 'warned') return { kind: 'warned', why: meaning.why };
  if (hasOtherScript(name)) return { kind: 'unknown', because: 'script' };
  const claimed = claims.reduce((sum, { length }) => sum + length, 0);
  const isKnown =
    claimed === words.length &&
    meanings.some(({ kind }) => kind === 'crop') &&
    meanings.every(({ kind }) => kind === 'crop' || kind === 'harmless-word');
  if (isKnown) return { kind: 'known' };
  if (words.some((word) => ORNAMENTAL.test(word))) return { kind: 'ornamental' };
  return { kind: 'unknown', because: 'unlisted', near: nearCrop(words) };
}

/**
 * What is known of a crop by all its names. The botanical name, where there is one, says which plant it is: a known
 * common name does not make an unknown species known.
 */
export function verdictOnPlant({
  name,
  botanicalName,
  family
}: Pick<Crop, 'name' | 'botanicalName' | 'family'>): NameVerdict {
  const byFamily = verdictOnName(family);
  if (byFamily.kind === 'refused') return byFamily;
  const common = verdictOnName(name);
  if (botanicalName.trim() === '') return common;
  const botanical = verdictOnName(botanicalName);
  if (common.kind === 'unknown') return botanical;
  return GRAVITY.indexOf(common.kind) < GRAVITY.indexOf(botanical.kind) ? common : botanical;
}

/** A verdict that a person can answer: yes, this is a plant whose seedlings are food. */
export type Doubt = Exclude<NameVerdict, { kind: 'refused' | 'known' }>;

/** The doubt in a verdict; null where there is nothing to confirm, or nothing that a confirmation could change. */
export const doubtIn = (verdict: NameVerdict): Doubt | null =>
  verdict.kind === 'refused' || verdict.kind === 'known' ? null : verdict;

/** What a confirmation is given for: this doubt about these names. A changed name is another question. */
export const confirmationOf = (
  doubt: Doubt,
  { name, botanicalName }: Pick<Crop, 'name' | 'botanicalName'>
): string => [doubt.kind, name.trim().toLowerCase(), botanicalName.trim().toLowerCase()].join('|');
