import { isLoose, type MediumKind } from '../supplies/media/medium.ts';

/** What a medium costs: so much money buys so much of it, mL of loose medium or cm2 of a mat, used so many times. */
export interface MediumPrice {
  price: number;
  amount: number;
  uses: number;
}

/** What a household pays, in its own money; what it does not know is not there. */
export interface Prices {
  /** ISO 4217. */
  currency: string;
  kWh: number | null;
  /** Of feed off the bottle, a litre. */
  feedL: number | null;
  /** By the household's own medium, or the kind of medium. */
  media: Readonly<Record<string, MediumPrice>>;
  /** What 100 g of a crop cost in a shop. */
  shop: Readonly<Record<string, number>>;
  /** A g of seed of a lot. */
  lots: Readonly<Record<string, number>>;
}

/** Media bought by the piece are measured by their area, the others by their volume. */
export const isByArea = (kind: MediumKind): boolean => kind !== 'none' && !isLoose(kind);

/** How often a medium is usually used: a mesh for months, all else once (starting figures of ours). */
export const usualUses = (kind: MediumKind): number => (kind === 'mesh' ? 40 : 1);
