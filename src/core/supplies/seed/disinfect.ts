/** A solution to disinfect seed in: product and water make it up. Volumes in mL. */
export interface Solution {
  solutionMl: number;
  productMl: number;
  waterMl: number;
}

/** Past these the core refuses to compute (safety: strength outside the chosen rule). */
export const HARD_BOUNDS = { hypochloritePpm: 20_000, peroxidePercent: 10 } as const;

/** Under these a solution does next to nothing to what clings to seed (docs/model.md, 7). */
export const WEAK_BOUNDS = { hypochloritePpm: 200, peroxidePercent: 1 } as const;

export type Disinfectant = 'hypochlorite' | 'peroxide';

/** What is said of them. */
export const WEAK_SAY: Record<Disinfectant, string> = {
  hypochlorite: `Hypochlorite under ${WEAK_BOUNDS.hypochloritePpm} ppm does next to nothing to seed: it looks disinfected and is not.`,
  peroxide: `Peroxide under ${WEAK_BOUNDS.peroxidePercent} % does next to nothing to seed: it looks disinfected and is not.`
};

/** Whether a strength does next to nothing: told, not refused. */
export const isWeak = (product: Disinfectant, target: number): boolean =>
  target > 0 &&
  target < (product === 'hypochlorite' ? WEAK_BOUNDS.hypochloritePpm : WEAK_BOUNDS.peroxidePercent);

/** What is wrong with a rule, and with which of its figures; null where it can be mixed. */
export function checkRule(
  product: Disinfectant,
  { target, productPct }: { target: number; productPct: number }
): { field: 'target' | 'productPct'; say: string } | null {
  try {
    (product === 'hypochlorite' ? hypochlorite : peroxide)(100, target, productPct);
    return null;
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    const tooStrong =
      target > (product === 'hypochlorite' ? HARD_BOUNDS.hypochloritePpm : HARD_BOUNDS.peroxidePercent);
    return { field: tooStrong ? 'target' : 'productPct', say: error.message };
  }
}

/** Usual litres of solution to a kg of seed. */
export const USUAL_RATIO_L_KG = 5;

/**
 * Hypochlorite solution (docs/model.md, 7).
 * @param strengthPercent of the product, off its label
 * @throws RangeError with a sentence for the person, where the target is out of bounds or over the stock
 */
export function hypochlorite(
  seedG: number,
  targetPpm: number,
  strengthPercent: number,
  ratioLKg = USUAL_RATIO_L_KG
): Solution {
  if (!(targetPpm > 0) || targetPpm > HARD_BOUNDS.hypochloritePpm)
    throw new RangeError(
      'Hypochlorite is not computed over 20 000 ppm: it harms the seed and whoever handles it.'
    );
  return solution(seedG * ratioLKg, targetPpm / 10_000, strengthPercent);
}

/**
 * Hydrogen peroxide solution (docs/model.md, 7).
 * @throws RangeError as above
 */
export function peroxide(
  seedG: number,
  targetPercent: number,
  stockPercent: number,
  ratioLKg = USUAL_RATIO_L_KG
): Solution {
  if (!(targetPercent > 0) || targetPercent > HARD_BOUNDS.peroxidePercent)
    throw new RangeError('Peroxide is not computed over 10 %: it burns skin and eyes.');
  return solution(seedG * ratioLKg, targetPercent, stockPercent);
}

/** Weak peroxide in watering: mL of 3 % stock to a litre, the middle of the usual 5 to 10. */
export const WEAK_ML_L = 7.5;

/** 3 % peroxide to add to water for a weak solution, mL. */
export const weakPeroxideMl = (waterMl: number): number => (waterMl / 1000) * WEAK_ML_L;

function solution(solutionMl: number, targetPercent: number, stockPercent: number): Solution {
  if (!(stockPercent >= targetPercent))
    throw new RangeError(
      'The product is weaker than the strength asked for: it cannot be reached by adding water.'
    );
  const productMl = (solutionMl * targetPercent) / stockPercent;
  return { solutionMl, productMl, waterMl: solutionMl - productMl };
}
