import { t, table } from '$messages/t.ts';
import { blendedNames, NAMES_JOIN } from '$core/crops/blend.ts';
import type { Crop } from '$core/crops/crop.ts';
import { CROPS } from '$core/crops/library.ts';
import type { SeedLine } from '$core/steps/step.ts';
import { capital } from './capital.ts';
import { allOf } from './lists.ts';

const NAMES: Readonly<Record<string, string>> = table('crops.names');
const NOTES: Readonly<Record<string, string | undefined>> = table('crops.notes');
const keyOf: ReadonlyMap<string, string> = new Map(CROPS.map(({ name, key }) => [name, key]));

/**
 * A crop's name inside a sentence, or those of a blend. The library's names are in the reader's language; a name that
 * somebody gave stays as it was typed.
 * @param name as the core has it
 */
export const cropInText = (name: string): string => allOf(blendedNames(name).map(oneInText));

function oneInText(name: string): string {
  const key = keyOf.get(name);
  return key === undefined ? name : NAMES[key]!;
}

/** A crop's name by itself, or at the beginning of a sentence. */
export function cropName(name: string): string {
  const [first] = blendedNames(name);
  return keyOf.has(first!) ? capital(cropInText(name)) : cropInText(name);
}

/** Crops inside a sentence. */
export const cropsInText = (names: readonly string[]): string =>
  allOf(names.flatMap(blendedNames).map(oneInText));

/** Crops by themselves, or at the beginning of a sentence: “Peas and kale”. */
export const cropList = (names: readonly string[]): string => cropName(names.join(NAMES_JOIN));

/** Seed by its crop, with the variety that somebody named. */
export const seedName = ({ name, variety }: Pick<SeedLine, 'name' | 'variety'>): string =>
  variety ? t('crops.ofVariety', { crop: cropName(name), variety }) : cropName(name);

/** The same inside a sentence. */
export const seedInText = ({ name, variety }: Pick<SeedLine, 'name' | 'variety'>): string =>
  variety ? t('crops.ofVariety', { crop: cropInText(name), variety }) : cropInText(name);

/** What is to be known about growing a crop; empty for nothing. */
export const cropNote = ({ key, note }: Pick<Crop, 'key' | 'note'>): string => note || (NOTES[key] ?? '');
