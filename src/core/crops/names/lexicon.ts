import { CROPS } from '../library.ts';
import { CROP_NAMES } from './cropNames.ts';
import { FOOD_NAMES, HARMLESS_WORDS, NAMESAKES } from './foodNames.ts';
import { POISONOUS_NAMES, RISKY_NAMES } from './poisonousNames.ts';
import { readTable } from './readTable.ts';
import { plantNameWords, writtenAsOne } from './wordsOf.ts';

/** Why a plant's seedlings are no food. */
export type WhyRefused =
  'nightshade' | 'rhubarb' | 'sweet-pea' | 'lupin' | 'castor' | 'kidney-bean' | 'kernel' | 'poisonous';

/** Why a plant is eaten with care only. */
export type WhyWarned = 'broad-bean' | 'cassava' | 'sorghum' | 'cotton' | 'taro';

/** What a name of the table stands for. */
export type Meaning =
  | { kind: 'refused'; why: WhyRefused; plant: string }
  | { kind: 'warned'; why: WhyWarned; plant: string }
  | { kind: 'crop'; key: string }
  | { kind: 'other-plant' }
  | { kind: 'harmless-word' };

/** Where two meanings claim the same words, the first of these holds. */
const PRECEDENCE: readonly Meaning['kind'][] = ['refused', 'warned', 'other-plant', 'crop', 'harmless-word'];

const listed = (names: string): string[] => names.split(';').map((name) => name.trim());

const MEANINGS: readonly (readonly [name: string, meaning: Meaning])[] = [
  ...readTable(POISONOUS_NAMES).flatMap(({ head, names }) =>
    names.map((name) => [name, { kind: 'refused', why: head as WhyRefused, plant: names[0]! }] as const)
  ),
  ...readTable(RISKY_NAMES).flatMap(({ head, names }) =>
    names.map((name) => [name, { kind: 'warned', why: head as WhyWarned, plant: names[0]! }] as const)
  ),
  ...[...listed(FOOD_NAMES), ...listed(NAMESAKES)].map((name) => [name, { kind: 'other-plant' }] as const),
  ...readTable(CROP_NAMES).flatMap(({ head, names }) =>
    names.map((name) => [name, { kind: 'crop', key: head }] as const)
  ),
  ...CROPS.flatMap(({ key, name, botanicalName }) =>
    [name, botanicalName].map((one) => [one, { kind: 'crop', key }] as const)
  ),
  ...listed(HARMLESS_WORDS).map((name) => [name, { kind: 'harmless-word' }] as const)
];

const rank = ({ kind }: Meaning): number => PRECEDENCE.indexOf(kind);

const BY_NAME = new Map<string, Meaning>();
for (const [name, meaning] of MEANINGS) {
  const written = plantNameWords(name).join('');
  const held = BY_NAME.get(written);
  if (!held || rank(meaning) < rank(held)) BY_NAME.set(written, meaning);
}

/** Words of the longest name, such as lily of the valley. */
export const MOST_WORDS = 4;

/** What words mean together as one listed name, singular or plural; null where nothing is listed. */
export function meaningOf(words: readonly string[]): Meaning | null {
  const found = writtenAsOne(words).flatMap((written) => BY_NAME.get(written) ?? []);
  return found.reduce<Meaning | null>(
    (first, one) => (first && rank(first) <= rank(one) ? first : one),
    null
  );
}

/** The names of crops, long enough for a near miss to mean something. */
export const CROPS_BY_NAME: readonly { written: string; key: string }[] = [...BY_NAME].flatMap(
  ([written, meaning]) =>
    meaning.kind === 'crop' && written.length >= 5 ? [{ written, key: meaning.key }] : []
);

type Dangerous = Extract<Meaning, { kind: 'refused' | 'warned' }>;

/** The names of plants that are refused or warned about, long enough for a near miss to mean something. */
export const DANGEROUS: readonly { written: string; meaning: Dangerous }[] = [...BY_NAME].flatMap(
  ([written, meaning]) =>
    (meaning.kind === 'refused' || meaning.kind === 'warned') && written.length >= 5
      ? [{ written, meaning }]
      : []
);
