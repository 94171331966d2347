import type { StepBody } from '$core/steps/step.ts';

/** Cautions by the hazard, shown at the step where it is. Each says who decides. */
export const CAUTIONS = {
  hypochlorite:
    'Plain unscented product only; read its strength and date off the label. Gloves, eye protection, open window. Never together with peroxide, vinegar, ammonia or any other cleaner: toxic gas. Measure with its own marked jug, label the solution, use it once, keep it from children. Rinse the seed until no smell is left. The product’s label and your local food authority decide.',
  peroxide:
    'Over 3 % it burns skin and eyes: gloves and goggles. Food grade only. Add it to the water, in a vented container. Never with hypochlorite or vinegar. The product’s label and your local food authority decide.',
  germs:
    'Warm and wet grows germs too. Disinfecting lowers the risk and does not remove it. Clean hands and tools. Pregnant, very young, old or immune-weakened people: cook what you grow, or ask a clinician.',
  seed: 'Only untreated seed sold for sprouting or micro-greens. Dyed or dusted seed is treated: never eat it. The packet decides.',
  dust: 'Damp dry medium before you handle it, and do not breathe its dust; a mask if it must be dry.',
  lamp: 'Lamp near water: residual-current protected socket, a drip loop in the lead, dry hands, no chained extension leads. Fixed wiring is for a qualified electrician.',
  load: 'Sum of wet trays and weights against what the shelf is rated for. Heavy trays low and centred, out of children’s reach. The maker’s rating decides.',
  mould:
    'If in doubt, throw it out, outdoors, without sniffing it; do not eat around it. Clean the tray before the next one.',
  weights: 'Weights low and centred, on a shelf rated for them, out of children’s reach.'
} as const;

/** The hazard that stands at a step of the round; null for none. */
export function stepCaution(body: StepBody): string | null {
  switch (body.kind) {
    case 'soak':
      return CAUTIONS.germs;
    case 'sow':
      return CAUTIONS.dust;
    case 'light':
      return body.lamp ? CAUTIONS.lamp : null;
    case 'mist':
    case 'water':
      return body.peroxideMl > 0 ? CAUTIONS.peroxide : null;
    default:
      return null;
  }
}
