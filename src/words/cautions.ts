import type { StepBody } from '$core/steps/step.ts';

/** Cautions by the hazard, shown at the step where it is. Each says who decides. */
export const CAUTIONS = {
  hypochlorite:
    'Plain unscented product only; read its strength and date off the label. Gloves, eye protection, open window. Never together with peroxide, vinegar, ammonia or any other cleaner: toxic gas. Measure with its own marked jug, label the solution, use it once, keep it from children. Rinse the seed until no smell is left. The product’s label and your local food authority decide.',
  peroxide:
    'Over 3 % it burns skin and eyes: gloves and goggles. Food grade only. Add it to the water, in a vented container. Never with hypochlorite or vinegar. The product’s label and your local food authority decide.',
  ownSpray:
    'Only what may be used on food, as its label says; nothing for ornamental plants, no essential oils, no soap. What you made yourself keeps for a day. The product’s label and your local food authority decide.',
  germs:
    'Warm and wet grows germs too. Disinfecting lowers the risk and does not remove it. Clean hands and tools. Pregnant, very young, old or immune-weakened people: cook what you grow, or ask a clinician.',
  seed: 'Only untreated seed sold for sprouting or micro-greens. Dyed or dusted seed is treated: never eat it. The packet decides.',
  dust: 'Damp dry medium before you handle it, and do not breathe its dust; a mask if it must be dry.',
  lamp: 'Lamp near water: residual-current protected socket, a drip loop in the lead, dry hands, no chained extension leads. Fixed wiring is for a qualified electrician.',
  load: 'Sum of wet trays and weights against what the shelf is rated for. Heavy trays low and centred, out of children’s reach. The maker’s rating decides.',
  mould:
    'If in doubt, throw it out, outdoors, without sniffing it; do not eat around it. Clean the tray before the next one.',
  cut: 'Cut away from your hand, just above the medium. If there is mould, throw the tray out, do not eat around it. Germs grow where it is warm and wet: clean hands and blade. Pregnant, very young, old or immune-weakened people: cook it, or ask a clinician.',
  juice:
    'Raw grass juice spoils quickly: drink it at once or freeze it. Pregnant, very young, old or immune-weakened people should not drink it raw.',
  keeping:
    'Dates are for a refrigerator at or below 5 °C (41 °F), or as each says; they are for quality. Slime, smell or mould ends it sooner: throw it out, do not taste it. Your food authority decides.',
  giving:
    'What may be given away or sold, how it is washed and labelled, differs from place to place: ask your local food authority.',
  dip: 'Plain unscented hypochlorite only, its strength and date read off the label; gloves, eye protection, open window. Never together with peroxide, vinegar, ammonia or any other cleaner: toxic gas. Use it once, rinse well, keep it from children. The product’s label decides.',
  stains:
    'Never mix a stain remover with hypochlorite, vinegar or any other cleaner. Gloves; the product’s label decides.',
  fodder:
    'Only for animals that may eat this crop, fresh, and with nothing mouldy in it. Some seedlings harm some animals: ask a vet if you are not sure.',
  spray:
    'Peroxide at 3 % in its own sprayer, never with hypochlorite or vinegar; gloves and eye protection. The product’s label decides.',
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
