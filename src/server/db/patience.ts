/** Time is counted in so many parts. */
const PARTS = 8;

/**
 * Calls back after so much time in which this process was able to listen. A loop that stood still, on a machine that is busy
 * or was asleep, counts as one part: it says nothing about a database whose answer may have come meanwhile.
 * @returns what ends the waiting
 */
export function afterListening(ms: number, then: () => void): () => void {
  let left = PARTS;
  const timer = setInterval(() => {
    left -= 1;
    if (left > 0) return;
    clearInterval(timer);
    then();
  }, ms / PARTS);
  return () => clearInterval(timer);
}
