import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { phiInverse } from '../../core/stats/normal.ts';

/** Chance with a fixed seed: the demo is the same at every start. */
export interface Chance {
  /** Uniform over 0 to 1. */
  uniform(): number;
  /** Normal with mean 0 and the given sd. */
  normal(sd: number): number;
  /** An id in the form of a UUID. */
  id(): string;
}

export function chanceFrom(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  const uniform = () => uniformFloat64(generator);
  const hex = (digits: number) =>
    Array.from({ length: digits }, () => Math.floor(uniform() * 16).toString(16)).join('');
  return {
    uniform,
    normal: (sd) => phiInverse(Math.min(1 - 1e-9, Math.max(1e-9, uniform()))) * sd,
    id: () => `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`
  };
}
