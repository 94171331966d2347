import { problem, Unworkable, type Problem } from '../../problem.ts';

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

export const DISINFECTANTS = ['hypochlorite', 'peroxide'] as const;
export type Disinfectant = (typeof DISINFECTANTS)[number];
/** Strengths off the labels of products, percent. */
export type Strengths = Partial<Record<Disinfectant, number>>;

/** Whether a strength does next to nothing: told, not refused. */
export const isWeak = (product: Disinfectant, target: number): boolean =>
  target > 0 &&
  target < (product === 'hypochlorite' ? WEAK_BOUNDS.hypochloritePpm : WEAK_BOUNDS.peroxidePercent);

/** What is wrong with a rule, and with which of its figures; null where it can be mixed. */
export function checkRule(
  product: Disinfectant,
  { target, productPct }: { target: number; productPct: number }
): { field: 'target' | 'productPct'; problem: Problem } | null {
  try {
    (product === 'hypochlorite' ? hypochlorite : peroxide)(100, target, productPct);
    return null;
  } catch (error) {
    if (!(error instanceof Unworkable)) throw error;
    const tooStrong =
      target > (product === 'hypochlorite' ? HARD_BOUNDS.hypochloritePpm : HARD_BOUNDS.peroxidePercent);
    return { field: tooStrong ? 'target' : 'productPct', problem: error.problem };
  }
}

/** Usual litres of solution to a kg of seed. */
export const USUAL_RATIO_L_KG = 5;

/**
 * Hypochlorite solution (docs/model.md, 7).
 * @param strengthPercent of the product, off its label
 * @throws Unworkable where the target is out of bounds or over the stock, the stock over 100 %, or there is no seed
 */
export function hypochlorite(
  seedG: number,
  targetPpm: number,
  strengthPercent: number,
  ratioLKg = USUAL_RATIO_L_KG
): Solution {
  if (!(targetPpm > 0) || targetPpm > HARD_BOUNDS.hypochloritePpm)
    throw new Unworkable(problem('hypochlorite-too-strong', { ppm: HARD_BOUNDS.hypochloritePpm }));
  return solution(seedG * ratioLKg, targetPpm / 10_000, strengthPercent);
}

/**
 * Hydrogen peroxide solution (docs/model.md, 7).
 * @throws Unworkable as above
 */
export function peroxide(
  seedG: number,
  targetPercent: number,
  stockPercent: number,
  ratioLKg = USUAL_RATIO_L_KG
): Solution {
  if (!(targetPercent > 0) || targetPercent > HARD_BOUNDS.peroxidePercent)
    throw new Unworkable(problem('peroxide-too-strong', { percent: HARD_BOUNDS.peroxidePercent }));
  return solution(seedG * ratioLKg, targetPercent, stockPercent);
}

/** Weak peroxide in watering: mL of 3 % stock to a litre, the middle of the usual 5 to 10. */
export const WEAK_ML_L = 7.5;

/**
 * 3 % peroxide to add to water for a weak solution, mL.
 * @throws RangeError for a volume under 0 mL, or none
 */
export function weakPeroxideMl(waterMl: number): number {
  if (!(waterMl >= 0)) throw new RangeError(`No water is ${waterMl} mL.`);
  return (waterMl / 1000) * WEAK_ML_L;
}

function solution(solutionMl: number, targetPercent: number, stockPercent: number): Solution {
  if (!(solutionMl > 0) || !Number.isFinite(solutionMl)) throw new Unworkable(problem('no-seed-to-treat'));
  if (stockPercent > 100) throw new Unworkable(problem('over-all-of-it'));
  if (!(stockPercent >= targetPercent)) throw new Unworkable(problem('product-too-weak'));
  const productMl = (solutionMl * targetPercent) / stockPercent;
  return { solutionMl, productMl, waterMl: solutionMl - productMl };
}
