import type { Crop } from '../../crops/crop.ts';
import { meaningOf } from '../../crops/names/lexicon.ts';
import { plantNameWords } from '../../crops/names/wordsOf.ts';
import { readParts } from '../media/coir.ts';
import type { LotPart } from './lot.ts';

/**
 * Reads what a packet says is in it: `2 radish, 1 kale`, or names alone for equal parts. Crops of the library are known by
 * their names in several languages.
 * @param crops those that may be in it
 * @returns null for nothing; the words that name no crop where some do not
 */
export function readLotParts(
  text: string,
  crops: readonly Crop[]
): { parts: LotPart[] } | { unknown: string[] } | null {
  if (text.trim() === '') return null;
  const read = readParts(text);
  if (!read) return { unknown: [text.trim()] };
  const plain = (name: string) => name.trim().toLowerCase();
  const listed = (name: string) => {
    const meaning = meaningOf(plantNameWords(name));
    return meaning?.kind === 'crop' ? crops.find(({ key }) => key === meaning.key) : undefined;
  };
  const named = read.map(({ name, parts }) => ({
    name,
    crop: crops.find((crop) => plain(crop.name) === plain(name) || crop.key === plain(name)) ?? listed(name),
    share: parts
  }));
  const unknown = named.filter(({ crop }) => !crop).map(({ name }) => name);
  return unknown.length > 0
    ? { unknown }
    : { parts: named.map(({ crop, share }) => ({ cropKey: crop!.key, share })) };
}
