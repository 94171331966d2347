import { table } from '$messages/t.ts';
import type { StepBody } from '$core/steps/step.ts';

/** Cautions by the hazard, shown at the step where it is. Each says who decides. */
export const CAUTIONS = table('cautions');

/** The hazard that stands at a step of the round; null for none. */
export function stepCaution(body: StepBody): string | null {
  switch (body.kind) {
    case 'soak':
      return CAUTIONS.germs;
    case 'sow':
      return CAUTIONS.dust;
    case 'light':
      return body.where === 'lamp' ? CAUTIONS.lamp : null;
    case 'uncover':
      return body.to === 'light' && body.where === 'lamp' ? CAUTIONS.lamp : null;
    case 'mist':
    case 'water':
      return body.peroxideMl > 0 ? CAUTIONS.peroxide : null;
    default:
      return null;
  }
}
