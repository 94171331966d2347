import { WEAK_BOUNDS, type Disinfectant } from '$core/supplies/seed/disinfect.ts';

/** What is said of a solution that does next to nothing. */
export const WEAK_WORDS: Record<Disinfectant, string> = {
  hypochlorite: `Hypochlorite under ${WEAK_BOUNDS.hypochloritePpm} ppm does next to nothing to seed: it looks disinfected and is not.`,
  peroxide: `Peroxide under ${WEAK_BOUNDS.peroxidePercent} % does next to nothing to seed: it looks disinfected and is not.`
};

/** That disinfecting is advised for some seed and left out; empty for none. */
export const advisedWords = (names: readonly string[]): string =>
  names.length === 0
    ? ''
    : `Disinfecting is advised for ${names.join(' and ').toLowerCase()}: rough seed carries more. This method leaves it out.`;
