import type { Crop } from '../../crops/crop.ts';
import { CROPS_BY_NAME, meaningOf } from '../../crops/names/lexicon.ts';
import { isOneEdit } from '../../crops/names/oneEdit.ts';
import { verdictOnName } from '../../crops/names/verdict.ts';
import { plantNameWords, writtenAsOne } from '../../crops/names/wordsOf.ts';

const written = (name: string): string => plantNameWords(name).join(' ');

/** The crops by their keys and names as they are compared, the household's own before the library's. */
export class CropNames {
  private readonly byName = new Map<string, Crop>();
  private readonly byKey: ReadonlyMap<string, Crop>;
  private readonly found = new Map<string, Crop | null>();

  /** @param crops that can be sown here, the household's own among them */
  constructor(private readonly crops: readonly Crop[]) {
    this.byKey = new Map(crops.map((crop) => [crop.key, crop]));
    for (const crop of crops)
      for (const name of [crop.key, crop.name, crop.botanicalName])
        if (!this.byName.has(written(name))) this.byName.set(written(name), crop);
  }

  /**
   * The crop that a name stands for: a crop's own name, or one that the table of names has for it, in any language,
   * singular or plural, with words such as a colour beside it. Null where that leaves a doubt.
   */
  named(typed: string): Crop | null {
    let found = this.found.get(typed);
    if (found === undefined) this.found.set(typed, (found = this.lookUp(typed)));
    return found;
  }

  private lookUp(typed: string): Crop | null {
    const own = this.byName.get(written(typed));
    if (own) return own;
    const listed = this.listed(plantNameWords(typed));
    return listed && verdictOnName(typed).kind === 'known' ? listed : null;
  }

  /** The one crop that the table has for these words or the longest part of them; null for none or several. */
  private listed(words: readonly string[]): Crop | null {
    for (let length = words.length; length >= 1; length -= 1) {
      const found = this.within(words, length);
      if (found.length > 0) return found.length === 1 ? found[0]! : null;
    }
    return null;
  }

  /** The crops that so many neighbouring words name. */
  private within(words: readonly string[], length: number): Crop[] {
    const found = new Set<Crop>();
    for (let from = 0; from + length <= words.length; from += 1) {
      const meaning = meaningOf(words.slice(from, from + length));
      const crop = meaning?.kind === 'crop' ? this.byKey.get(meaning.key) : undefined;
      if (crop) found.add(crop);
    }
    return [...found];
  }

  /** Crops that a name may mean, the likeliest first: those named by a part of it, then those one letter away. None for a plant that is no food. */
  like(typed: string): Crop[] {
    const verdict = verdictOnName(typed).kind;
    if (verdict === 'refused' || verdict === 'misspelled') return [];
    const words = plantNameWords(typed);
    const found = new Set<Crop>();
    for (let length = words.length; length >= 1; length -= 1)
      for (const crop of this.within(words, length)) found.add(crop);
    const names = [...this.crops].map((crop) => ({ name: plantNameWords(crop.name).join(''), crop }));
    const listed = CROPS_BY_NAME.flatMap(({ written: name, key }) => {
      const crop = this.byKey.get(key);
      return crop ? [{ name, crop }] : [];
    });
    for (const form of [...writtenAsOne(words), ...words])
      for (const { name, crop } of [...names, ...listed])
        if (isOneEdit(form, name) || (form.length >= 4 && name.startsWith(form))) found.add(crop);
    return [...found];
  }
}
