import type { StepBody } from '$core/steps/step.ts';
import type { MediumKind } from '$core/supplies/media/medium.ts';
import { stepCaution } from '../cautions.ts';
import { stepHow } from './steps.ts';

/** A step of a walk, with what its tray is filled with. */
interface Walked {
  body: StepBody;
  of: readonly { projected: { setup: { medium: MediumKind } } }[];
}

/** Of the steps of a walk: whose caution, and whose way of doing it, an earlier one has said already. */
export interface WordsBefore<S> {
  caution: ReadonlySet<S>;
  how: ReadonlySet<S>;
}

export const saidBefore = <S extends Walked>(steps: readonly S[]): WordsBefore<S> => ({
  caution: repeated(steps, ({ body }) => stepCaution(body)),
  how: repeated(steps, ({ body, of }) => stepHow(body, of[0]!.projected.setup.medium))
});

function repeated<S>(steps: readonly S[], words: (step: S) => string | null): Set<S> {
  const said = new Set<string>();
  return new Set(
    steps.filter((step) => {
      const these = words(step);
      if (!these) return false;
      const again = said.has(these);
      said.add(these);
      return again;
    })
  );
}
