/** Numbers that a sowing's containers bear: from one on, as many as it has. */
export interface Numbered {
  no: number;
  count: number;
}

/**
 * The first number from which on so many containers alike are free, so that two trays that stand at once never bear one.
 * @param taken by sowings under way in containers of the same kind
 */
export function freeNumber(taken: readonly Numbered[], count: number): number {
  let no = 1;
  for (const other of [...taken].sort((a, b) => a.no - b.no))
    if (other.no < no + count && no < other.no + other.count) no = other.no + other.count;
  return no;
}
