import type { BodyOf, OffBy, StepBody } from '$core/steps/step.ts';
import { isBenchStep } from '$core/steps/step.ts';
import { hasPool } from '$core/supplies/media/below.ts';
import type { MediumKind } from '$core/supplies/media/medium.ts';
import type { DueStep } from '$core/steps/due.ts';
import type { BenchStep } from '$core/sowing/event.ts';
import { aboutGreens, figure, length, seedMass, volume, type Units } from '$core/units/format.ts';
import { keepsWords } from '../cropWords.ts';
import { MOULD_WORDS } from '../looks.ts';
import { dayAndTime, dayWords } from '../time.ts';
import { soakWords } from '../timers.ts';
import {
  eachAndAll,
  feedWords,
  measured,
  peroxideWords,
  sentences,
  sprayWords,
  type StepOn
} from './amounts.ts';
import { benchAmount, type Amount } from './bench.ts';
import { pressingWords } from '../pressing.ts';
import { cleaningNames, STEP_NAMES } from './names.ts';

/** A step as a card asks for it. */
export interface CardWords {
  /** What to do, with how much. */
  title: string;
  /** Why, in one line. */
  why: string;
  /** How it is done, the same for every tray of the kind: said once in a round. */
  how: string;
  /** What the undo line says once it is done. */
  done: string;
}

const isBench = (body: StepBody): body is Extract<StepBody, { kind: BenchStep }> => isBenchStep(body.kind);

const HOW_WATERED: Record<BodyOf<'water'>['how'], string> = {
  below: 'from below',
  above: 'from above',
  mist: 'as a fine mist',
  reservoir: 'into the reservoir',
  through: 'through the mat'
};

const HOW_OFTEN = ['As it dries', 'Once a day', 'Twice a day'] as const;

const INTO_LIGHT: Record<BodyOf<'light'>['where'], string> = {
  lamp: 'Under the lamp',
  sill: 'Into daylight',
  dark: 'Into light, at another place'
};

/** What a step asks for, as lists and sheets have it. */
export function stepAmount(body: StepBody, on: StepOn): Amount {
  if (isBench(body)) return benchAmount(body, on);
  const { units } = on.locale;
  switch (body.kind) {
    case 'uncover':
      return {
        amount:
          body.to === 'blackout' ? 'Dark dome on' : body.off === 'clear' ? 'Clear lid off' : 'Into the light',
        more: ''
      };
    case 'weight':
      return pressingWords(body.pressing, units);
    case 'unshade':
      return { amount: 'Into full sun', more: '' };
    case 'spray':
      return {
        amount: `${body.name}, about ${eachAndAll(body.waterMl, on.containers, (mL) => volume(mL, units))}`,
        more: body.timesADay === 1 ? 'Once a day' : 'Morning and evening'
      };
    case 'light':
      return { amount: INTO_LIGHT[body.where], more: '' };
    case 'water':
      return {
        amount:
          body.waterMl === null
            ? `${HOW_OFTEN[body.timesADay]}, ${HOW_WATERED[body.how]}`
            : waterTitle(body, on),
        more: [
          feedWords(body.feed, units),
          body.peroxideMl > 0
            ? `${measured(body.peroxideMl, units)} of 3 % peroxide${body.waterMl === null ? ' to a litre' : ''}`
            : ''
        ]
          .filter(Boolean)
          .join(', ')
      };
    case 'turn':
      return { amount: 'Half round', more: '' };
    case 'air':
      return { amount: 'An hour a day where air stands still', more: '' };
    case 'dry':
      return { amount: 'No more water before the cut', more: '' };
    case 'cut':
      return {
        amount: body.past ? 'Past its window' : aboutGreens(body.expectedG, units),
        more: `${body.tool === 'knife' ? 'With a sharp knife' : 'With scissors'}, ${body.taking === 'strip' ? 'a strip a day' : 'all at once'}`
      };
    case 'wash':
      return { amount: body.washing === 'washed' ? 'Wash and spin dry' : 'Leave it dry', more: '' };
    case 'keep':
      return { amount: keepsWords(body.minD, body.maxD, body.keepAtC, units), more: '' };
    case 'clean':
      return {
        amount: cleaningNames(
          body.steps.filter((step) => step !== 'disinfect' || body.steps.includes('scrape') || !body.compost)
        ),
        more: body.compost ? 'Roots and medium on the compost' : ''
      };
  }
}

const waterTitle = (body: BodyOf<'water'>, { containers, locale }: StepOn): string =>
  eachAndAll(body.waterMl ?? 0, containers, (mL) => volume(mL, locale.units));

/** How a step of the round is done, whichever tray it is for; nothing where its title says it all. */
export function stepHow(body: StepBody, medium: MediumKind): string {
  switch (body.kind) {
    case 'spray':
      return 'Your own spray: as strong as its label or recipe says, and no wetter than a breath on the leaves.';
    case 'mist':
      return 'The seed is to stay damp, not wet.';
    case 'turn':
      return 'A window lights it from one side: turned daily, it stands straight.';
    case 'air':
      return 'An open window nearby or a small fan dries the stems before the cut.';
    case 'cut':
      return `${body.taking === 'strip' ? 'Cut a strip' : 'Cut it'} with ${body.tool === 'knife' ? 'a sharp knife' : 'scissors'} and weigh it.`;
    case 'water':
      if (body.how === 'reservoir') return '';
      if (body.how === 'mist') return 'Stop when drops hang together.';
      if (body.how === 'through')
        return 'Lift the mat, pour over the roots until it runs out below, and let it drip for a minute before you put it back.';
      return body.how === 'below' && hasPool(medium)
        ? 'Pour off first what still stands in the tray. This may stand: it is gone by the next round.'
        : 'Pour off what stands after ten minutes.';
    default:
      return '';
  }
}

/** A step as a card asks for it: the same amounts as the list, as an order and with its reason. */
export const cardWords = (step: Pick<DueStep, 'body' | 'with'>, on: StepOn): CardWords => ({
  ...ownWords(step, on),
  how: stepHow(step.body, on.medium.kind)
});

/** What is said of this step and no other. */
function ownWords(step: Pick<DueStep, 'body' | 'with'>, on: StepOn): Omit<CardWords, 'how'> {
  const { body } = step;
  const { now, locale } = on;
  const { units } = locale;
  switch (body.kind) {
    case 'soak':
      return {
        title: `Soak ${body.seed.map(({ seedG, name }) => `${seedMass(seedG, units)} of ${body.seed.length > 1 || body.dry.length > 0 ? name.toLowerCase() : 'seed'}`).join(' and ')} in ${volume(body.jar.waterMl, units)} of water`,
        why: sentences(
          `Out again ${dayAndTime(body.until, now, locale)}. A jar of ${volume(body.jar.jarMl, units)} or more leaves room to swell.`,
          peroxideWords(body.peroxideMl, units)
        ),
        done: 'Put to soak'
      };
    case 'drain':
      return {
        title:
          body.hours > 0
            ? `Drain and rinse, then keep damp and covered for ${body.hours} h`
            : 'Drain and rinse until the water is clear',
        why: soakWords(body, now, locale),
        done: 'Drained'
      };
    case 'sow': {
      // In the order of the hands, each as the bench has it.
      const with_ = step.with.map((other) => ({ body: other, ...stepAmount(other, on) }));
      const fill = with_.find((one) => one.body.kind === 'fill');
      return {
        title: `Sow ${stepAmount(body, on).amount}${fill ? ` on ${fill.amount}` : ''}`,
        why: sentences(
          ...with_
            .filter((one) => one.body.kind !== 'fill' && one.body.kind !== 'mist')
            .map(
              (one) => `${STEP_NAMES[one.body.kind]}: ${[one.amount, one.more].filter(Boolean).join('. ')}`
            )
            .map((text) => (text.endsWith('.') ? text : `${text}.`))
        ),
        done: 'Sown'
      };
    }
    case 'weight': {
      const { amount, more } = pressingWords(body.pressing, units);
      return {
        title: `Take the lid off and press it with ${amount}`,
        why: sentences(
          `It has rooted: pressed for a day or two from now, it stands firm and sheds its hulls.`,
          `${more}.`,
          body.shared ? 'One for both halves.' : ''
        ),
        done: 'Pressed'
      };
    }
    case 'spray':
      return {
        title: `Spray finely with ${body.name}, about ${eachAndAll(body.waterMl, on.containers, (mL) => volume(mL, units))}`,
        why: '',
        done: 'Sprayed'
      };
    case 'uncover': {
      const what = { weight: 'weight', stacked: 'upper tray', lid: 'lid', clear: 'clear lid' }[body.off];
      return {
        title:
          body.to === 'blackout'
            ? `Take the ${what} off and put a dark dome on`
            : body.off === 'clear'
              ? 'Take the clear lid off'
              : `Take the ${what} off and bring it to light${body.where === 'dark' ? ', to another place' : ''}`,
        why: body.by ? offByWords(body.by, units) : 'Once roots hold it, stems need room.',
        done: body.to === 'blackout' ? 'Uncovered' : body.off === 'clear' ? 'Lid off' : 'Brought to light'
      };
    }
    case 'light':
      return {
        title: `Dome off, ${INTO_LIGHT[body.where].toLowerCase()}`,
        why: body.by
          ? offByWords(body.by, units)
          : 'Once the stems are even, light makes them green and stops them stretching.',
        done: 'Brought to light'
      };
    case 'unshade':
      return {
        title: 'Take the shade off',
        why: 'It has had its days of gentle light: full sun makes it sturdy.',
        done: 'Shade taken off'
      };
    case 'mist':
      return {
        title: `Mist ${body.fine ? 'as finely as you can' : 'finely'}, about ${eachAndAll(body.waterMl, on.containers, (mL) => volume(mL, units))}`,
        why: sentences(sprayWords(body.peroxideMl)),
        done: 'Misted'
      };
    case 'water':
      return waterCard(body, on);
    case 'turn':
      return {
        title: 'Turn it half round',
        why: '',
        done: 'Turned'
      };
    case 'air':
      return {
        title: 'Let air at it for an hour',
        why: `${MOULD_WORDS[body.drivers[0] ?? 'covered']}.`,
        done: 'Aired'
      };
    case 'cut':
      return {
        title: body.past
          ? 'Past its window: taste it, then cut it or let it go'
          : [
              body.cutShare > 0
                ? 'The rest is ready to cut'
                : body.sure
                  ? 'Ready to cut'
                  : body.seen
                    ? 'Ready to cut, as you saw'
                    : 'May be ready to cut',
              aboutGreens(body.expectedG, units)
            ]
              .filter(Boolean)
              .join(': '),
        why: sentences(
          body.cutShare > 0 ? `${Math.round(body.cutShare * 100)} % of it is cut.` : '',
          body.past
            ? `It closed about ${dayWords(body.closesAt, now, locale)}.`
            : `${body.sure || body.cutShare > 0 ? '' : body.seen ? 'One check can be wrong, so check once more as you cut. ' : 'Check whether it is. '}Good until about ${dayWords(body.closesAt, now, locale)}.`
        ),
        done: 'Cut'
      };
    default: {
      const { amount, more } = stepAmount(body, on);
      return {
        title: `${STEP_NAMES[body.kind]}: ${amount}`,
        why: more,
        done: `${STEP_NAMES[body.kind]} done`
      };
    }
  }
}

const whyWords = (why: BodyOf<'water'>['why'], left: string): string =>
  why === 'unsure'
    ? `About ${left} should be left, and that is not sure: lift it first, and leave it where it is heavy.`
    : why === 'uncovered'
      ? 'Its cover is off now: water it once, and little from then on.'
      : why === 'as-chosen'
        ? `${left} is left; your method waters it at this round anyway.`
        : `${left} is left${why === 'soon' ? ', too little until the next round' : ''}.`;

/** What a cover comes off by, where the method says so. */
function offByWords(by: OffBy, units: Units): string {
  if (by.kind === 'dark-days') return `Your method gives it ${daysWords(by.days)} in the dark.`;
  if (by.kind === 'dome-days') return `Your method gives it ${daysWords(by.days)} under the dome.`;
  const { overRimCm, stemCm } = by;
  return `Only once most stems stand ${length(overRimCm, units)} over the rim, ${length(stemCm, units)} from the medium. If they don’t, leave it covered.`;
}

const daysWords = (days: number): string => `${figure(days)} ${days === 1 ? 'day' : 'days'}`;

/** A pool is renewed at each round, however damp its medium is. */
const poolWords = (why: BodyOf<'water'>['why'], share: number): string =>
  share >= 0.9
    ? 'It is damp now, but that does not last until the next round.'
    : whyWords(why, `${Math.round(share * 100)} % of what it holds itself`);

function waterCard(body: BodyOf<'water'>, on: StepOn): Omit<CardWords, 'how'> {
  const { units } = on.locale;
  const amount = waterTitle(body, on);
  const feed = body.feed ? `, ${feedWords(body.feed, units)}` : '';
  const left = `${Math.round((body.share ?? 0) * 100)} %`;
  const peroxide = peroxideWords(body.peroxideMl, units);
  if (body.how === 'reservoir')
    return {
      title: `Fill the reservoir up: ${amount}${feed}`,
      why: sentences(
        `${left} is left in it${body.why === 'soon' ? ', too little until the next round' : ''}, and what stands over it lives from it alone.`,
        on.medium.kind === 'mesh' ? 'Stop where it touches the mesh.' : 'Stop where it is full.',
        peroxide
      ),
      done: `Reservoir filled, ${volume(body.waterMl ?? 0, units)}`
    };
  if (body.how === 'through')
    return {
      title: `Pour ${amount} through the mat and let it drain${feed}`,
      why: sentences(whyWords(body.why, `${left} of its water`), peroxide),
      done: 'Poured through'
    };
  return {
    title: `Water ${amount} ${HOW_WATERED[body.how]}${feed}`,
    why: sentences(
      body.how === 'below' && hasPool(on.medium.kind)
        ? poolWords(body.why, body.share ?? 0)
        : whyWords(body.why, `${left} of its water`),
      peroxide
    ),
    done: `Watered ${volume(body.waterMl ?? 0, units)}`
  };
}

/** Where water still stood under a tray that was to be watered: what was enough. */
export function ifStoodWords(
  ifStoodMl: number,
  containers: number,
  units: Units
): { chip: string; done: string } {
  const mL = Math.round(ifStoodMl);
  const amount = eachAndAll(mL, containers, (each) => volume(each, units));
  return mL > 0
    ? { chip: `Yes: poured off, gave ${amount}`, done: `water still stood, gave ${volume(mL, units)}` }
    : { chip: 'Yes: poured off, gave none', done: 'water still stood, gave none' };
}
