import type { Crop } from './crop.ts';

/** What a crop does that no figure of the table tells (docs/model.md, crops). */
export interface Traits {
  /** It is eaten pale, and never comes to light. */
  staysDark: boolean;
  /** Days that it stays pressed once it has rooted, so that its hulls come off. */
  pressedD: number;
  /** Its hulls cling however it was kept. */
  clings: boolean;
  /** Days in light during which moving air hurts it. */
  stillAirD: number;
}

const NONE: Traits = { staysDark: false, pressedD: 0, clings: false, stillAirD: 0 };

const TRAITS: Readonly<Record<string, Partial<Traits>>> = {
  beet: { clings: true },
  borage: { clings: true },
  buckwheat: { clings: true },
  chard: { clings: true },
  cilantro: { clings: true, pressedD: 1 },
  'maize-shoot': { staysDark: true },
  sorrel: { stillAirD: 7 },
  sunflower: { clings: true }
};

export const traitsOf = ({ key }: Pick<Crop, 'key'>): Traits => ({ ...NONE, ...TRAITS[key] });

/** Cereal grasses sprout in the open, whatever is done to other seed. */
export const isGrass = ({ family, germinationLight }: Crop): boolean =>
  family === 'Poaceae' && germinationLight === 'either';
