const FIRST_WAIT_MS = 15_000;
const LONGEST_WAIT_MS = 30 * 60_000;

/** How long to wait after so many tries, ms: twice as long each time, spread so that not all come back at once. */
export function backoffMs(tries: number, chance: number = Math.random()): number {
  const whole = Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (tries - 1));
  return whole * (0.5 + 0.5 * chance);
}
