import { outside } from '../db/connection.ts';

/**
 * Counts a try at something under a name. The first `free` of a quarter of an hour cost nothing; past them each waits twice
 * as long as the one before.
 * @returns seconds to wait; 0 to go on
 */
export async function waitFor(key: string, free: number, longestS = 900): Promise<number> {
  const [tried] = await outside(
    (sql) => sql<{ wait_s: number }[]>`select wait_s from count_attempt(${[key]}, ${[free]}, ${longestS})`
  );
  return tried!.wait_s;
}
