import { isWeak } from '$core/supplies/seed/disinfect.ts';
import { isLoose } from '$core/supplies/media/medium.ts';
import { coirFor, partVolumes } from '$core/supplies/media/coir.ts';
import type { SharedSolution } from '$core/steps/sheet.ts';
import type { Stacking } from '$core/shelf/stack.ts';
import type { BodyOf, StepBody } from '$core/steps/step.ts';
import type { BenchStep } from '$core/sowing/event.ts';
import { figure, length, mass, seedMass, volume, type Units } from '$core/units/format.ts';
import { advisedWords, WEAK_WORDS } from '../disinfect.ts';
import { problemWords } from '../problems.ts';
import { pressingWords } from '../pressing.ts';
import { dayAndTime } from '../time.ts';
import {
  eachAndAll,
  feedWords,
  measured,
  mediumName,
  peroxideWords,
  sentences,
  sprayWords,
  strengthWords,
  type StepOn
} from './amounts.ts';

/** What a step asks for: the amount in few words, and what else to know. */
export interface Amount {
  amount: string;
  more: string;
}

type BenchBody = Extract<StepBody, { kind: BenchStep }>;

/** A step at the bench, as the sheet has it. */
export function benchAmount(body: BenchBody, on: StepOn): Amount {
  const { locale, containers } = on;
  const { units } = locale;
  switch (body.kind) {
    case 'weigh':
      return {
        amount: body.seed.map(({ seedG }) => seedMass(seedG, units)).join(' + '),
        more: sentences(
          body.seed.length > 1
            ? `${body.seed.map(({ name, seedG }) => `${name} ${seedMass(seedG, units)}`).join(', ')}.`
            : '',
          containers > 1
            ? `For each of ${containers}: ${body.seed.map(({ seedG }) => seedMass(seedG / containers, units)).join(' + ')}.`
            : '',
          advisedWords(body.disinfect)
        )
      };
    case 'rinse':
      return { amount: `${body.minutes} min`, more: '' };
    case 'disinfect':
      return disinfectAmount(body, units);
    case 'rinse-off':
      return { amount: 'Until no smell is left', more: '' };
    case 'soak':
      return soakAmount(body, on);
    case 'drain':
      return {
        amount: body.hours > 0 ? `${figure(body.hours)} h` : 'Rinse and drip',
        more: body.hours > 0 ? 'Keep it damp and covered until white tips show, so that it spreads.' : ''
      };
    case 'fill':
      return fillAmount(body, on);
    case 'damp':
      return {
        amount: `${eachAndAll(body.waterMl, containers, (mL) => volume(mL, units))}${body.feed ? `, ${feedWords(body.feed, units)}` : ''}`,
        more: sentences(DAMP_WORDS[body.how], peroxideWords(body.peroxideMl, units))
      };
    case 'sow':
      return { amount: eachAndAll(body.seedG, containers, (g) => seedMass(g, units)), more: '' };
    case 'cover':
      return {
        amount: `${eachAndAll(body.volumeMl, containers, (mL) => volume(mL, units))} of ${layerName(body.cover, on)}`,
        more: `${figure(body.cm * 10)} mm thick${body.cover === 'vermiculite' ? ', damped first' : ''}`
      };
    case 'mist':
      return {
        amount: eachAndAll(body.waterMl, containers, (mL) => volume(mL, units)),
        more: sentences(
          body.fine ? 'The finest mist you have: this seed gels.' : '',
          body.first ? thenWords(body.first) : '',
          sprayWords(body.peroxideMl)
        )
      };
    case 'press':
      return pressAmount(body, units);
  }
}

const DAMP_WORDS: Record<BodyOf<'damp'>['how'], string> = {
  'before-seed': 'Until it is damp as a wrung sponge.',
  'after-seed': 'Gently, on the seed: a soft rose, not a jet.',
  'from-below': 'Stand it in the water, in a tray underneath, until the top darkens; then let it drip.',
  reservoir: 'Into the reservoir, until the mesh is just wet.',
  film: 'A film over the bottom, so that every seed lies wet and none lies under water. The tray has no holes.'
};

/** A mat, a mesh or nothing is no medium to strew. */
const layerName = (cover: BodyOf<'cover'>['cover'], { medium }: StepOn): string =>
  cover === 'vermiculite' ? 'vermiculite' : !isLoose(medium.kind) ? 'fine seed mix' : mediumName(medium);

function disinfectAmount({ product, rule, jars, refused }: BodyOf<'disinfect'>, units: Units): Amount {
  if (refused) return { amount: 'Not worked out', more: problemWords(refused) };
  const all = jars.reduce((sum, { solution }) => sum + solution.solutionMl, 0);
  const jar = ({ name, solution }: (typeof jars)[number]) =>
    `${jars.length > 1 ? `${name}: ` : ''}${measured(solution.productMl, units)} of product in ${measured(solution.waterMl, units)} of water`;
  return {
    amount: `${measured(all, units)} of solution`,
    more: sentences(
      `${jars.map(jar).join('; ')}.`,
      `${rule.minutes} min at ${strengthWords(product, rule.target)}.`,
      isWeak(product, rule.target) ? WEAK_WORDS[product] : ''
    )
  };
}

function soakAmount(body: BodyOf<'soak'>, { now, locale }: StepOn): Amount {
  const { units } = locale;
  const later = body.seed.filter(({ intoWaterAfterH }) => intoWaterAfterH > 0.5);
  return {
    amount: `${volume(body.jar.waterMl, units)} of water`,
    more: sentences(
      `${figure(Math.round(body.hours * 10) / 10)} h, in a jar of ${volume(body.jar.jarMl, units)} or more; out by ${dayAndTime(body.latestAt, now, locale)} at the latest.`,
      ...later.map(
        ({ name, intoWaterAfterH }) => `${name} goes in ${figure(Math.round(intoWaterAfterH))} h later.`
      ),
      body.dry.length > 0
        ? `${body.dry.join(' and ')} stays dry and is mixed in at sowing: its seed gels.`
        : '',
      peroxideWords(body.peroxideMl, units)
    )
  };
}

function fillAmount(body: BodyOf<'fill'>, on: StepOn): Amount {
  const { units } = on.locale;
  const { kind, own } = on.medium;
  const sized = (own?.kind ?? kind) === 'hemp-mat' || (own?.kind ?? kind) === 'paper';
  if (sized)
    return {
      amount: `${on.containers > 1 ? `${on.containers} × ` : ''}${mediumName(on.medium)}, cut to size`,
      more: `${length(body.depthCm, units)} thick, in a tray without holes.`
    };
  if ((own?.kind ?? kind) === 'mesh') return { amount: 'The mesh over its reservoir', more: '' };
  const coir =
    (own?.kind ?? kind) === 'coir' && !own?.parts ? coirFor(body.mediumMl, own?.swellLKg ?? undefined) : null;
  const parts = own?.parts ? partVolumes(body.mediumMl, own.parts) : null;
  return {
    amount: `${eachAndAll(body.mediumMl, on.containers, (mL) => volume(mL, units))} of ${mediumName(on.medium)}`,
    more: [
      `${length(body.depthCm, units)} deep`,
      ...(coir
        ? [`${mass(coir.dryG, units)} of dry brick in about ${volume(coir.waterMl, units)} of water`]
        : []),
      ...(parts ? [parts.map(({ name, mL }) => `${volume(mL, units)} ${name}`).join(' + ')] : [])
    ].join('; ')
  };
}

function thenWords({ cover, then, leftShare }: NonNullable<BodyOf<'mist'>['first']>): string {
  if (cover === 'none')
    return 'It lies open: mist it at every round until it has rooted. With one round a day, lay a light lid on it.';
  if (then === 'daily') return 'Then once a day until it has rooted.';
  if (then === 'twice') return 'Then morning and evening until it has rooted.';
  return leftShare > 0.3
    ? `Then leave it shut: ${Math.round(leftShare * 100)} % of its water is left when the cover comes off.`
    : 'Its water will not last until the cover comes off: look after it and mist.';
}

const LID: Record<BodyOf<'press'>['cover'], string> = {
  clear: 'A clear lid, in the light',
  lid: 'A lid',
  stacked: 'Stacked',
  weight: 'A lid'
};

function pressAmount(
  { cover, pressing, later, watch, onTop, stacking, shared }: BodyOf<'press'>,
  units: Units
): Amount {
  const then = later ? pressingWords(later, units) : null;
  const weight = pressing ? pressingWords(pressing, units) : null;
  const both = shared ? 'One for both halves.' : '';
  if (cover !== 'stacked')
    return weight
      ? { ...weight, more: sentences(weight.more + (shared ? '.' : ''), both) }
      : {
          amount: LID[cover],
          more: sentences(
            both,
            then ? `Once it has rooted it is pressed with ${then.amount}: ${then.more}.` : '',
            watch ? 'Such large seed lifts its lid: look daily, and press back what rises.' : ''
          )
        };
  const { stacks, trays } = stacking ?? { stacks: 1, trays: 1 };
  const top = trays === 1 ? 'it' : stacks > 1 ? 'each top one' : 'the top one';
  return {
    amount:
      trays === 1
        ? 'Stacked'
        : stacks === 1
          ? `One stack of ${trays}`
          : `${stacks} stacks of ${trays} at most`,
    more: sentences(
      onTop === 0
        ? 'A wet tray is more than it bears: it goes on top of a stack, or stands alone.'
        : `It bears at most ${onTop} such ${onTop === 1 ? 'tray' : 'trays'} on top.`,
      weight ? `On ${top} ${weight.amount}: ${weight.more}.` : '',
      stacking && trays > 1 ? lowestWords(stacking) : '',
      'What is heaviest stands at the bottom, and the shelf carries the whole stack at one spot.'
    )
  };
}

/** What the lowest tray of a stack carries in all, against what its crop bears. */
export function lowestWords({ lowestGCm2, mostGCm2 }: Stacking): string {
  const over = lowestGCm2 / mostGCm2;
  const total = `The lowest tray carries ${figure(Math.round(lowestGCm2 * 10) / 10)} g/cm² in all`;
  return over > 1.005
    ? `${total}, ${figure(Math.round(over * 100) / 100)} times the ${figure(mostGCm2)} g/cm² that it bears: seed may be crushed. You chose this height.`
    : `${total}; it bears ${figure(mostGCm2)} g/cm².`;
}

/** A shared solution as it is mixed: product into water. */
export const solutionWords = ({ product, productPct, total }: SharedSolution, units: Units): string =>
  `${measured(total.productMl, units)} of ${product} at ${figure(productPct)} % into ${measured(total.waterMl, units)} of water`;
