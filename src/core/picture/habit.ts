import type { Crop } from '../crops/crop.ts';

/** How a crop's young plant is drawn. */
export type LeafForm = 'heart' | 'oval' | 'blade' | 'loop' | 'strap' | 'tendril' | 'round' | 'tiny';
/** Colours of stem and leaf by what they are, not by their value: the interface owns the palette. */
export type Tint = 'green' | 'deep' | 'purple' | 'pink' | 'pale';

export interface Habit {
  leaf: LeafForm;
  leafTint: Tint;
  stemTint: Tint;
}

const FAMILY_LEAF: Record<string, LeafForm> = {
  Amaranthaceae: 'oval',
  Amaryllidaceae: 'loop',
  Apiaceae: 'strap',
  Asteraceae: 'oval',
  Boraginaceae: 'oval',
  Brassicaceae: 'heart',
  Fabaceae: 'oval',
  Lamiaceae: 'round',
  Linaceae: 'oval',
  Pedaliaceae: 'oval',
  Poaceae: 'blade',
  Polygonaceae: 'round',
  Tropaeolaceae: 'round'
};

const CROP_HABIT: Record<string, Partial<Habit>> = {
  amaranth: { leafTint: 'pink', stemTint: 'pink' },
  beet: { stemTint: 'pink' },
  buckwheat: { leaf: 'heart', stemTint: 'pink' },
  'cabbage-red': { leafTint: 'purple', stemTint: 'purple' },
  chard: { stemTint: 'pink' },
  kale: { leafTint: 'deep' },
  kohlrabi: { stemTint: 'purple' },
  lentil: { leaf: 'tendril' },
  lettuce: { leaf: 'round' },
  'maize-shoot': { leafTint: 'pale', stemTint: 'pale' },
  pea: { leaf: 'tendril' },
  'pea-tendril': { leaf: 'tendril' },
  radish: { stemTint: 'pink' },
  shiso: { leafTint: 'purple' },
  sunflower: { leafTint: 'deep' },
  watercress: { leaf: 'tiny' },
  chia: { leaf: 'heart' },
  alfalfa: { leaf: 'tiny' },
  'clover-red': { leaf: 'tiny' }
};

/** The habit of a crop, by its family where it has none of its own. */
export function habitOf(crop: Crop): Habit {
  return {
    leaf: FAMILY_LEAF[crop.family] ?? 'oval',
    leafTint: 'green',
    stemTint: 'green',
    ...CROP_HABIT[crop.key]
  };
}
