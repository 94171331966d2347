import type { Crop } from './crop.ts';

/** From 0 to 1 without a corner; 0 before and 1 after. */
export const smoothStep = (share: number): number => {
  const x = Math.min(1, Math.max(0, share));
  return x * x * (3 - 2 * x);
};

type Grows = Pick<Crop, 'rootedD21' | 'windowBestD21' | 'heightMinCm' | 'heightMaxCm'>;

/** Stems begin to rise after so much of the time that seed takes to root (starting figure). */
const RISES_AFTER = 0.55;
/** What of its way up a stand has behind it when its window is best (starting figure). */
const AT_BEST = 0.92;
/** How high it stands then, between its least and its greatest height (starting figure). */
const BETWEEN = 0.55;

const tallestCm = ({ heightMinCm, heightMaxCm }: Grows): number =>
  heightMinCm + (heightMaxCm - heightMinCm) * BETWEEN;

/**
 * How high stems stand above their medium, cm, grown by the table in good light.
 * @param ageD days at 21 degC since sowing
 */
export function stemHeightCm(crop: Grows, ageD: number): number {
  const from = crop.rootedD21 * RISES_AFTER;
  return tallestCm(crop) * smoothStep(((ageD - from) / (crop.windowBestD21 - from)) * AT_BEST);
}

/**
 * The age at which stems stand so high: the inverse of {@link stemHeightCm}.
 * @returns days at 21 degC; Infinity where they never do
 */
export function ageAtHeightD21(crop: Grows, cm: number): number {
  const share = cm / tallestCm(crop);
  if (share >= 1) return Infinity;
  let [low, high] = [0, 1];
  for (let step = 0; step < 40; step += 1) {
    const middle = (low + high) / 2;
    if (smoothStep(middle) < share) low = middle;
    else high = middle;
  }
  const from = crop.rootedD21 * RISES_AFTER;
  return from + (high / AT_BEST) * (crop.windowBestD21 - from);
}
