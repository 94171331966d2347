import type { WhyRefused, WhyWarned } from '$core/crops/names/lexicon.ts';
import { cropOf } from '$core/crops/library.ts';
import type { Doubt } from '$core/crops/names/verdict.ts';

/** Why a plant is not grown to be eaten young. */
export const REFUSED_WORDS: Record<WhyRefused, string> = {
  nightshade:
    'Nightshades are poisonous as seedlings: their leaves and stems contain alkaloids, even where the ripe fruit is food.',
  rhubarb: 'Rhubarb leaves are poisonous at any age: they contain a lot of oxalic acid.',
  'sweet-pea':
    'Ornamental sweet pea is poisonous. Garden pea is another plant: choose “Pea shoots” from the library.',
  lupin: 'Lupin seedlings contain bitter, poisonous alkaloids; lupin is a strong allergen as well.',
  castor: 'Castor bean is deadly poisonous in small amounts.',
  'kidney-bean':
    'Raw kidney beans and their relatives, sprouts included, contain a poison that only thorough boiling destroys.',
  kernel: 'The seeds of apples, cherries, plums, peaches and apricots release cyanide.',
  poisonous: 'This plant is poisonous from its first leaf, in small amounts.'
};

const WARNED_WORDS: Record<WhyWarned, string> = {
  'broad-bean':
    'Broad beans can make people with favism (G6PD deficiency) seriously ill. Ask everybody who eats with you.',
  cassava: 'Cassava leaves and roots release cyanide when raw.',
  sorghum: 'Young sorghum releases cyanide: its shoots are not eaten raw.',
  cotton: 'Cotton seedlings contain gossypol, which is poisonous.',
  taro: 'Raw taro burns the mouth and throat: it contains needles of calcium oxalate.'
};

const MISSPELLED_WARNINGS: Record<WhyRefused | WhyWarned, string> = {
  ...(Object.fromEntries(
    Object.keys(REFUSED_WORDS).map((why) => [why, 'That plant is poisonous as a seedling.'])
  ) as Record<WhyRefused, string>),
  ...WARNED_WORDS
};

/** What is doubtful about a plant's name. */
export function doubtWords(doubt: Doubt): string {
  switch (doubt.kind) {
    case 'misspelled':
      return `Did you mean ${doubt.plant}? ${MISSPELLED_WARNINGS[doubt.why]}`;
    case 'warned':
      return WARNED_WORDS[doubt.why];
    case 'ornamental':
      return 'Ornamental plants are bred for their looks, and their seed is often treated. Only grow seedlings that are known to be food.';
    case 'unknown':
      if (doubt.because === 'script')
        return 'Brote cannot read plant names in this script. Add the English or the botanical name, and only grow seedlings that are known to be food.';
      return doubt.near
        ? `Did you mean ${cropOf(doubt.near).name.toLowerCase()}? Brote does not know this plant. Only grow seedlings that are known to be food.`
        : 'Brote does not know this plant. Only grow seedlings that are known to be food.';
  }
}

/** What a person confirms who goes on in spite of the doubt. */
export const CONFIRMATIONS: Record<Doubt['kind'], string> = {
  misspelled: 'It is another plant, and I know that its young leaves are eaten',
  warned: 'I know this, and I will not eat it raw or serve it to anybody it could harm',
  ornamental: 'I know that its young leaves are eaten, and my seed is untreated',
  unknown: 'I know that its young leaves are eaten'
};

/** What to do about a doubt that was not confirmed. */
export const CONFIRM_OR_RENAME = 'Tick this to confirm it, or change the name.';
