import type { Gaussian } from './gaussian.ts';
import { phi } from './normal.ts';

const density = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/**
 * Mean and variance of a normal that is known to lie between two bounds. Where that contradicts the belief
 * outright, it is taken to lie just inside the nearer bound.
 * @param low under `high`
 */
export function truncated({ mean, variance }: Gaussian, low: number, high: number): Gaussian {
  const sd = Math.sqrt(variance);
  const [a, b] = [(low - mean) / sd, (high - mean) / sd];
  const mass = phi(b) - phi(a);
  const width = high - low;
  if (mass < 1e-7) {
    const inside = mean < low ? low + width / 10 : high - width / 10;
    return { mean: inside, variance: (width / 10) ** 2 };
  }
  const [da, db] = [density(a), density(b)];
  const shift = (da - db) / mass;
  const spread = 1 + (a * da - b * db) / mass - shift * shift;
  return { mean: mean + sd * shift, variance: variance * Math.max(1e-6, spread) };
}
