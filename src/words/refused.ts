import type { WhyRefused } from '$core/crops/refused.ts';

/** Why a plant is not grown to be eaten young. */
export const REFUSED_WORDS: Record<WhyRefused, string> = {
  nightshade:
    'Nightshades are poisonous as seedlings: their leaves and stems hold alkaloids, whatever the ripe fruit is like.',
  rhubarb: 'Rhubarb leaves are poisonous at any age: they hold much oxalic acid.',
  'sweet-pea':
    'Ornamental sweet pea is poisonous. Garden pea is another plant: choose “Pea shoots” from the library.',
  lupin: 'Lupin seedlings hold bitter, poisonous alkaloids; lupin is a strong allergen as well.',
  castor: 'Castor bean is deadly poisonous in small amounts.',
  'kidney-bean':
    'Raw kidney beans and their kin, sprouts as well, hold a poison that only thorough boiling destroys.',
  poisonous: 'This plant is poisonous from its first leaf, in small amounts.',
  ornamental:
    'Plants for show are bred, and their seed is treated, for looking at: none of their seedlings is taken for food.'
};
