/**
 * Whether one letter added, left out, changed, or swapped with its neighbour makes one word of the other. Equal words
 * are no edit apart: false.
 */
export function isOneEdit(a: string, b: string): boolean {
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if (long.length - short.length > 1 || short === long) return false;
  let at = 0;
  while (at < short.length && short[at] === long[at]) at += 1;
  if (short.length < long.length) return short.slice(at) === long.slice(at + 1);
  const isSwapped =
    short[at] === long[at + 1] && short[at + 1] === long[at] && short.slice(at + 2) === long.slice(at + 2);
  return isSwapped || short.slice(at + 1) === long.slice(at + 1);
}
