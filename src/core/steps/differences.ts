import { HOUR } from '../time/zone.ts';
import { STEP_KINDS, type Step, type StepKind } from './step.ts';

/** How one choice changes a protocol. */
export interface Difference {
  kind: StepKind;
  change: 'added' | 'left-out' | 'amount' | 'time';
  before: Step | null;
  after: Step | null;
}

/** Steps that move by less than this are said to stay where they are. */
const SAME_TIME = HOUR / 2;

/** Which steps, amounts and times differ between two protocols, in the order of the hands. */
export function differences(before: readonly Step[], after: readonly Step[]): Difference[] {
  return STEP_KINDS.flatMap((kind): Difference[] => {
    const [allWas, allIs] = [before, after].map((steps) => steps.filter(({ body }) => body.kind === kind));
    const [was = null] = allWas!;
    const [is = null] = allIs!;
    if (!was && !is) return [];
    if (!was || !is) return [{ kind, change: is ? 'added' : 'left-out', before: was, after: is }];
    // Of sprays there may be several.
    if (
      !alike(
        allWas!.map(({ body }) => body),
        allIs!.map(({ body }) => body)
      )
    )
      return [{ kind, change: 'amount', before: was, after: is }];
    return Math.abs(was.from - is.from) > SAME_TIME ? [{ kind, change: 'time', before: was, after: is }] : [];
  });
}

/** Whether two bodies ask for the same, moments aside. */
function alike(one: unknown, other: unknown): boolean {
  if (typeof one === 'number' && typeof other === 'number')
    return one > 1e11 || Math.abs(one - other) <= 0.005 * Math.max(Math.abs(one), Math.abs(other));
  if (typeof one !== 'object' || one === null || typeof other !== 'object' || other === null)
    return one === other;
  const keys = new Set([...Object.keys(one), ...Object.keys(other)]);
  return [...keys].every((key) =>
    alike((one as Record<string, unknown>)[key], (other as Record<string, unknown>)[key])
  );
}
