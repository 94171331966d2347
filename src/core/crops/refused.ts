/** Plants whose seedlings are not food. Matched on whole words of any name a person gives them. */
const REFUSED: readonly { words: readonly string[]; why: string }[] = [
  {
    words: [
      'tomato',
      'potato',
      'pepper',
      'chilli',
      'chili',
      'aubergine',
      'eggplant',
      'nightshade',
      'solanum',
      'capsicum',
      'solanaceae',
      'tobacco',
      'tomatillo',
      'physalis'
    ],
    why: 'Nightshades are poisonous as seedlings: their leaves and stems hold alkaloids, whatever the ripe fruit is like.'
  },
  {
    words: ['rhubarb', 'rheum'],
    why: 'Rhubarb leaves are poisonous at any age: they hold much oxalic acid.'
  },
  {
    words: ['sweetpea', 'lathyrus'],
    why: 'Ornamental sweet pea is poisonous. Garden pea is another plant: choose “Pea shoots” from the library.'
  },
  {
    words: ['lupin', 'lupine', 'lupinus'],
    why: 'Lupin seedlings hold bitter, poisonous alkaloids; lupin is a strong allergen as well.'
  },
  { words: ['castor', 'ricinus'], why: 'Castor bean is deadly poisonous in small amounts.' },
  {
    words: ['kidney', 'phaseolus'],
    why: 'Raw kidney beans and their sprouts hold a poison that only thorough boiling destroys.'
  }
];

/** Words that make a harmless plant of one that is refused: peppercress is no pepper. */
const HARMLESS = [/\bpepper ?cress\b/g, /\bpepper ?grass\b/g];

/**
 * Why a plant may not be grown to be eaten young, or null where nothing speaks against it (safety). It
 * knows the common cases; it cannot know every plant.
 * @param names whatever it is called: common, botanical, family
 */
export function refusedWhy(...names: string[]): string | null {
  let text = names
    .join(' ')
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/sweet[ -]peas?\b/g, 'sweetpea');
  for (const harmless of HARMLESS) text = text.replace(harmless, '');
  const words = new Set(
    text.split(/[^a-z]+/).flatMap((word) => [word, word.replace(/e?s$/, ''), word.replace(/s$/, '')])
  );
  return REFUSED.find((entry) => entry.words.some((word) => words.has(word)))?.why ?? null;
}
