import type { Standing } from '../sowing/standing.ts';
import type { Millis } from '../time/zone.ts';
import { onScaleG } from './weight.ts';

/**
 * What of a container's weight is each sowing's in it, g: divided as they are expected to weigh, for a scale knows
 * no halves. Of one alone, all.
 * @param grossG the container with all in it, without what presses on it
 */
export function dividedG({ sowings }: Pick<Standing, 'sowings'>, grossG: number, now: Millis): number[] {
  const expected = sowings.map((sowing) => onScaleG(sowing, now));
  const all = expected.reduce((sum, g) => sum + g, 0);
  return expected.map((g) => (grossG * g) / all);
}
