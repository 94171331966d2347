/** Litres that a kg of dry compressed coir swells to (docs/model.md, 9); a brick's own figure wins. */
export const COIR_SWELL_L_KG = 8;

/** Litres of water that a kg of dry coir takes up in swelling (starting figure of ours). */
export const COIR_WATER_L_KG = 4.5;

/** Dry coir and water for a volume of swollen coir: g and mL. */
export function coirFor(mediumMl: number, swellLKg = COIR_SWELL_L_KG): { dryG: number; waterMl: number } {
  const dryG = mediumMl / swellLKg;
  return { dryG, waterMl: dryG * COIR_WATER_L_KG };
}

/** One part of a mixed medium. */
export interface MediumPart {
  name: string;
  parts: number;
}

/** How much of each part makes up a volume, mL (docs/model.md, 9). */
export function partVolumes(mediumMl: number, parts: readonly MediumPart[]): { name: string; mL: number }[] {
  const all = parts.reduce((sum, part) => sum + part.parts, 0);
  return parts.map(({ name, parts: count }) => ({ name, mL: (mediumMl * count) / all }));
}

/**
 * Reads the parts of a mix as people write them: `3 coir, 1 perlite` or `coir 2 + vermiculite 1`.
 * @returns null where it cannot be read
 */
export function readParts(text: string): MediumPart[] | null {
  const parts = text
    .split(/(?<!\d),|,(?!\d)|[+;&\n]| and /)
    .map((one) => one.trim())
    .filter(Boolean)
    .map((one) => {
      const match = /^(\d+(?:[.,]\d+)?)\s*(?:x|×|parts?(?: of)?)?\s*(\p{L}.*)$/iu.exec(one) ?? null;
      const back = /^(\p{L}.*?)\s*(?:x|×|:)?\s*(\d+(?:[.,]\d+)?)$/u.exec(one);
      const [name, count] = match ? [match[2]!, match[1]!] : back ? [back[1]!, back[2]!] : [one, '1'];
      return { name: name.trim(), parts: Number(count.replace(',', '.')) };
    });
  const fine = parts.length > 0 && parts.every((part) => part.parts > 0 && /\p{L}/u.test(part.name));
  return fine ? parts : null;
}
