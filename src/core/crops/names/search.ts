import type { Crop } from '../crop.ts';
import { CROPS } from '../library.ts';
import { CROP_NAMES } from './cropNames.ts';
import { readTable } from './readTable.ts';

/** By a crop's key what it is called: the usual name of each language, and synonyms of one word. */
const CALLED: ReadonlyMap<string, string> = new Map(
  readTable(CROP_NAMES).map(({ head, byLanguage }) => {
    const names = byLanguage.flatMap(([usual = '', ...synonyms]) => [
      usual,
      ...synonyms.filter((name) => !name.includes(' '))
    ]);
    return [head, names.join(' ')];
  })
);

const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Crops whose name in any language, botanical name or family holds every word typed, accents and case aside. */
export function searchCrops(words: string, among: readonly Crop[] = CROPS): Crop[] {
  const wanted = plain(words).split(/\s+/).filter(Boolean);
  return among.filter(({ key, name, botanicalName, family }) => {
    const names = plain(`${name} ${botanicalName} ${family} ${CALLED.get(key) ?? ''}`);
    return wanted.every((word) => names.includes(word));
  });
}
