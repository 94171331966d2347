import { isWeak, WEAK_SAY } from '$core/prepare/disinfect.ts';
import type { KeptMedium, MediumKind } from '$core/medium/medium.ts';
import { coirFor, partVolumes } from '$core/medium/coir.ts';
import type { SharedSolution } from '$core/bench/sheet.ts';
import type { StepBody, StepKind } from '$core/protocol/step.ts';
import { figure, length, mass, seedMass, volume, type Units } from '$core/units/format.ts';
import { MEDIUM_WORDS } from './media.ts';
import { keepsWords } from './cropWords.ts';
import { pressingWords } from './pressing.ts';
import { dayAndTime, type Reading } from './time.ts';

/** What the hands do for every line of a section, once. */
export const STEP_LEADS: Partial<Record<StepKind, string>> = {
  weigh:
    'Put the empty cup on the scale first and set it to zero. Pick out broken, dusty and discoloured seed.',
  rinse: 'In a sieve under running water, until it runs clear.',
  'rinse-off': 'Under running water until no smell is left, then once more.',
  soak: 'Cool drinking water, in the jar, covered against dust but not shut.',
  drain: 'Tip it into a sieve, rinse until the water is clear, and let it drip.',
  fill: 'Level it, 5 mm below the rim; do not stamp it down.',
  sow: 'Spread it evenly to the edges, with no clumps.'
};

/** What a step asks for: the amount in few words, and what else to know. */
export interface StepWords {
  amount: string;
  more: string;
}

/** The strength of a solution. */
export const strengthWords = (product: 'hypochlorite' | 'peroxide', target: number): string =>
  product === 'hypochlorite' ? `${figure(target)} ppm` : `${figure(target)} %`;

/** Small volumes of product are measured with a syringe or a marked jug: to the tenth of a mL under 10. */
export const measured = (mL: number, units: Units): string =>
  mL < 10 ? `${mL.toFixed(1)} mL` : mL < 1000 ? `${Math.round(mL)} mL` : volume(mL, units);

/** A step in words. @param medium what the sowing stands on, where it is the household's own */
export function stepWords(
  body: StepBody,
  now: number,
  reading: Reading,
  on: { kind: MediumKind; own: KeptMedium | null } = { kind: 'coir', own: null }
): StepWords {
  const { units } = reading;
  switch (body.kind) {
    case 'weigh':
      return {
        amount: body.seed.map(({ seedG }) => seedMass(seedG, units)).join(' + '),
        more:
          body.seed.length > 1
            ? body.seed.map(({ name, seedG }) => `${name} ${seedMass(seedG, units)}`).join(', ')
            : ''
      };
    case 'rinse':
      return { amount: `${body.minutes} min`, more: '' };
    case 'disinfect':
      return body.solution === null
        ? { amount: 'Not worked out', more: body.refused }
        : {
            amount: `${measured(body.solution.solutionMl, units)} of solution`,
            more: `${body.rule.minutes} min at ${strengthWords(body.product, body.rule.target)}${
              isWeak(body.product, body.rule.target) ? `. ${WEAK_SAY[body.product]}` : ''
            }`
          };
    case 'rinse-off':
      return { amount: 'Until no smell is left', more: '' };
    case 'soak': {
      const later = body.seed.filter(({ intoWaterAfterH }) => intoWaterAfterH > 0.5);
      return {
        amount: `${volume(body.jar.waterMl, units)} of water`,
        more: [
          `${figure(Math.round(body.hours * 10) / 10)} h, in a jar of ${volume(body.jar.jarMl, units)} or more; out by ${dayAndTime(body.latestAt, now, reading)} at the latest`,
          ...later.map(
            ({ name, intoWaterAfterH }) => `${name} goes in ${figure(Math.round(intoWaterAfterH))} h later`
          )
        ].join('. ')
      };
    }
    case 'drain':
      return {
        amount: body.hours > 0 ? `${figure(body.hours)} h` : 'Rinse and drip',
        more: body.hours > 0 ? 'Keep it damp and covered until white tips show, so that it spreads.' : ''
      };
    case 'fill': {
      const coir =
        (on.own?.kind ?? on.kind) === 'coir' && !on.own?.parts
          ? coirFor(body.mediumMl, on.own?.swellLKg ?? undefined)
          : null;
      const parts = on.own?.parts ? partVolumes(body.mediumMl, on.own.parts) : null;
      return {
        amount: `${volume(body.mediumMl, units)} of ${(on.own?.name ?? MEDIUM_WORDS[on.kind]).toLowerCase()}`,
        more: [
          `${length(body.depthCm, units)} deep`,
          ...(coir
            ? [`${mass(coir.dryG, units)} of dry brick in about ${volume(coir.waterMl, units)} of water`]
            : []),
          ...(parts ? [parts.map(({ name, mL }) => `${volume(mL, units)} ${name}`).join(' + ')] : [])
        ].join('; ')
      };
    }
    case 'damp':
      return {
        amount: volume(body.waterMl, units),
        more: `${
          on.kind === 'mesh'
            ? 'Into the reservoir, until the mesh is just wet.'
            : {
                'before-seed': 'Until it is damp as a wrung sponge.',
                'after-seed': 'Gently, on the seed: a soft rose, not a jet.',
                'from-below': 'Stand it in the water until the top darkens, then let it drip.'
              }[body.firstWater]
        }${body.peroxideMl > 0 ? ` With ${measured(body.peroxideMl, units)} of 3 % peroxide in it.` : ''}`
      };
    case 'sow':
      return { amount: seedMass(body.seedG, units), more: '' };
    case 'cover':
      return {
        amount: `${volume(body.volumeMl, units)} of ${body.cover}`,
        more: `${figure(body.cm * 10)} mm thick${body.cover === 'vermiculite' ? ', damped first' : ''}`
      };
    case 'mist': {
      const after = !body.covered
        ? 'It stays open to the light: keep the top damp.'
        : body.then !== 'never'
          ? body.then === 'daily'
            ? 'Then once a day until it has rooted.'
            : 'Then morning and evening until it has rooted.'
          : body.leftShare > 0.3
            ? `Then leave it shut: ${Math.round(body.leftShare * 100)} % of its water is left when the cover comes off.`
            : 'Its water will not last until the cover comes off: look after it and mist.';
      return {
        amount: volume(body.waterMl, units),
        more: `${body.fine ? 'The finest mist you have: this seed gels. ' : ''}${after}`
      };
    }
    case 'press':
      return body.pressing
        ? pressingWords(body.pressing, units)
        : { amount: body.cover === 'stacked' ? 'A tray on top' : 'A lid', more: '' };
    case 'uncover':
      return { amount: body.to === 'blackout' ? 'Dark dome on' : 'Into the light', more: '' };
    case 'light':
      return { amount: body.lamp ? 'Under the lamp' : 'Into daylight', more: '' };
    case 'feed':
      return { amount: body.reservoir ? 'Full strength, in the reservoir' : 'Half strength', more: '' };
    case 'air':
      return { amount: 'More air, the dome left off', more: '' };
    case 'dry':
      return { amount: 'No more water before the cut', more: '' };
    case 'cut':
      return {
        amount: `about ${mass(body.expectedG, units)}`,
        more: `${body.tool === 'knife' ? 'With a sharp knife' : 'With scissors'}, ${body.taking === 'strip' ? 'a strip a day' : 'all at once'}`
      };
    case 'wash':
      return { amount: body.washing === 'washed' ? 'Wash and spin dry' : 'Leave it dry', more: '' };
    case 'keep':
      return { amount: keepsWords(body.minD, body.maxD, body.keepAtC, units), more: '' };
    case 'clean':
      return { amount: 'Compost, wash, dry', more: '' };
  }
}

/** A shared solution as it is mixed: product into water. */
export const solutionWords = ({ product, productPct, total }: SharedSolution, units: Units): string =>
  `${measured(total.productMl, units)} of ${product} at ${figure(productPct)} % into ${measured(total.waterMl, units)} of water`;
