/**
 * Small irregularities that stay the same for a tray: a hash of its id and a counter, 0 to 1. Drawn alike on
 * the server and in the browser.
 */
export function wobbleFrom(seed: string): (index: number) => number {
  let base = 2166136261;
  for (let at = 0; at < seed.length; at += 1) base = Math.imul(base ^ seed.charCodeAt(at), 16777619);
  return (index) => {
    let hash = Math.imul(base ^ (index + 1), 2654435761);
    hash ^= hash >>> 15;
    hash = Math.imul(hash, 2246822519);
    hash ^= hash >>> 13;
    return (hash >>> 0) / 4294967296;
  };
}
