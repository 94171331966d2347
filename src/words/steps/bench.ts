import { cropName, cropList, seedInText, seedName } from '../cropNames.ts';
import { t, table } from '$messages/t.ts';
import { isWeak, type Disinfectant } from '$core/supplies/seed/disinfect.ts';
import { isLoose } from '$core/supplies/media/medium.ts';
import { coirFor, partVolumes } from '$core/supplies/media/coir.ts';
import type { SharedSolution } from '$core/steps/sheet.ts';
import type { Stacking } from '$core/shelf/stack.ts';
import type { BodyOf, StepBody } from '$core/steps/step.ts';
import type { BenchStep } from '$core/sowing/event.ts';
import { figure, length, mass, seedMass, volume, type Units } from '$core/units/format.ts';
import { unitShown, shownIn } from '$core/units/field.ts';
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
            ? `${body.seed.map((line) => `${seedName(line)} ${seedMass(line.seedG, units)}`).join(', ')}.`
            : '',
          containers > 1
            ? t('steps.eachContainersSeed', {
                containers,
                seed: body.seed.map(({ seedG }) => seedMass(seedG / containers, units)).join(' + ')
              })
            : '',
          advisedWords(body.disinfect)
        )
      };
    case 'rinse':
      return { amount: t('steps.minutesMin', { minutes: body.minutes }), more: '' };
    case 'disinfect':
      return disinfectAmount(body, units);
    case 'rinse-off':
      return { amount: t('steps.untilNoSmellLeft'), more: '' };
    case 'soak':
      return soakAmount(body, on);
    case 'drain':
      return {
        amount: body.hours > 0 ? `${figure(body.hours)} h` : t('steps.rinseDrip'),
        more: body.hours > 0 ? t('steps.keepDampCoveredUntilWhite') : ''
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
        amount: t('steps.eachandallLayername', {
          eachAndAll: eachAndAll(body.volumeMl, containers, (mL) => volume(mL, units)),
          layerName: layerName(body.cover, on)
        }),
        more: t('steps.cmMmThickDampedFirst', {
          cm: figure(body.cm * 10),
          when: body.cover === 'vermiculite' ? 'yes' : 'no'
        })
      };
    case 'mist':
      return {
        amount: eachAndAll(body.waterMl, containers, (mL) => volume(mL, units)),
        more: sentences(
          body.fine ? t('steps.finestMistYouHaveSeed') : '',
          body.first ? thenWords(body.first) : '',
          sprayWords(body.peroxideMl)
        )
      };
    case 'press':
      return pressAmount(body, units);
  }
}

const DAMP_WORDS: Record<BodyOf<'damp'>['how'], string> = table('steps.dampHow');

/** A mat, a mesh or nothing is no medium to strew. */
const layerName = (cover: BodyOf<'cover'>['cover'], { medium }: StepOn): string =>
  cover === 'vermiculite'
    ? t('steps.vermiculite')
    : !isLoose(medium.kind)
      ? t('steps.fineSeedMix')
      : mediumName(medium);

/** What is measured out: what it is, how strong, and what the household calls it where that is known. */
const bottleWords = (
  product: Disinfectant,
  { productPct, productName }: { productPct: number; productName?: string | null }
): string =>
  t('steps.productAtProductpctProductname', {
    product,
    productPct: figure(productPct),
    when: productName ? 'yes' : 'no',
    productName: productName ?? ''
  });

function disinfectAmount({ product, rule, jars, refused }: BodyOf<'disinfect'>, units: Units): Amount {
  if (refused) return { amount: t('steps.notWorkedOut'), more: problemWords(refused) };
  const all = jars.reduce((sum, { solution }) => sum + solution.solutionMl, 0);
  const jar = ({ name, solution }: (typeof jars)[number]) =>
    t('steps.nameMeasuredBottleMeasuredWater', {
      when: jars.length > 1 ? 'yes' : 'no',
      name: cropName(name),
      measured: measured(solution.productMl, units),
      bottle: bottleWords(product, rule),
      measured2: measured(solution.waterMl, units)
    });
  return {
    amount: t('steps.measuredSolution', { measured: measured(all, units) }),
    more: sentences(
      `${jars.map(jar).join('; ')}.`,
      t('steps.minutesMinAtStrength', {
        minutes: rule.minutes,
        strength: strengthWords(product, rule.target)
      }),
      isWeak(product, rule.target) ? WEAK_WORDS[product] : ''
    )
  };
}

function soakAmount(body: BodyOf<'soak'>, { now, locale }: StepOn): Amount {
  const { units } = locale;
  const later = body.seed.filter(({ intoWaterAfterH }) => intoWaterAfterH > 0.5);
  return {
    amount: t('steps.volumeWater', { volume: volume(body.jar.waterMl, units) }),
    more: sentences(
      t('steps.hoursHJarVolumeOr', {
        hours: figure(Math.round(body.hours * 10) / 10),
        volume: volume(body.jar.jarMl, units),
        dayAndTime: dayAndTime(body.latestAt, now, locale)
      }),
      ...later.map(({ intoWaterAfterH, ...line }) =>
        t('steps.nameGoesIntowaterafterhHLater', {
          name: seedInText(line),
          intoWaterAfterH: figure(Math.round(intoWaterAfterH))
        })
      ),
      body.dry.length > 0 ? t('steps.dryStaysDryMixedAt', { dry: cropList(body.dry) }) : '',
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
      amount: t('steps.containersMediumnameCutSize', {
        when: on.containers > 1 ? 'yes' : 'no',
        containers: on.containers > 1 ? on.containers : '',
        mediumName: mediumName(on.medium)
      }),
      more: t('steps.lengthThickTrayWithoutHoles', { length: length(body.depthCm, units) })
    };
  if ((own?.kind ?? kind) === 'mesh') return { amount: t('steps.meshOverReservoir'), more: '' };
  const coir =
    (own?.kind ?? kind) === 'coir' && !own?.parts ? coirFor(body.mediumMl, own?.swellLKg ?? undefined) : null;
  const parts = own?.parts ? partVolumes(body.mediumMl, own.parts) : null;
  return {
    amount: t('steps.eachandallMediumname', {
      eachAndAll: eachAndAll(body.mediumMl, on.containers, (mL) => volume(mL, units)),
      mediumName: mediumName(on.medium)
    }),
    more: [
      t('steps.lengthDeep', { length: length(body.depthCm, units) }),
      ...(coir
        ? [
            t('steps.massDryBrickAboutVolume', {
              mass: mass(coir.dryG, units),
              volume: volume(coir.waterMl, units)
            })
          ]
        : []),
      ...(parts ? [parts.map(({ name, mL }) => `${volume(mL, units)} ${name}`).join(' + ')] : [])
    ].join('; ')
  };
}

function thenWords({ cover, then, leftShare }: NonNullable<BodyOf<'mist'>['first']>): string {
  if (cover === 'none') return t('steps.liesOpenMistAtEvery');
  if (then === 'daily') return t('steps.thenOnceDayUntilHas');
  if (then === 'twice') return t('steps.thenMorningEveningUntilHas');
  return leftShare > 0.3
    ? t('steps.thenLeaveShutLeftshareWater', { leftShare: Math.round(leftShare * 100) })
    : t('steps.waterWillNotLastUntil');
}

const LID: Record<BodyOf<'press'>['cover'], string> = table('steps.lidAfter');

function pressAmount(
  { cover, pressing, later, watch, onTop, stacking, shared }: BodyOf<'press'>,
  units: Units
): Amount {
  const then = later ? pressingWords(later, units) : null;
  const weight = pressing ? pressingWords(pressing, units) : null;
  const both = shared ? t('steps.oneBothHalves') : '';
  if (cover !== 'stacked')
    return weight
      ? { ...weight, more: sentences(weight.more, both) }
      : {
          amount: LID[cover],
          more: sentences(
            both,
            then ? t('steps.onceHasRootedPressedWith', { amount: then.amount, more: then.more }) : '',
            watch ? t('steps.suchLargeSeedLiftsLid') : ''
          )
        };
  const { stacks, trays } = stacking ?? { stacks: 1, trays: 1 };
  const top = trays === 1 ? t('steps.it') : stacks > 1 ? t('steps.eachTopOne') : t('steps.topOne');
  return {
    amount: trays === 1 ? t('steps.stacked') : t('steps.oneStackTraysStacksTrays', { stacks, trays }),
    more: sentences(
      onTop === 0 ? t('steps.wetTrayMoreThanBears') : t('steps.bearsAtMostOntopSuch', { onTop }),
      weight ? t('steps.onTopAmountMore', { top, amount: weight.amount, more: weight.more }) : '',
      stacking && trays > 1 ? lowestWords(stacking, units) : '',
      t('steps.whatHeaviestStandsAtBottom')
    )
  };
}

const pressureWords = (gCm2: number, units: Units): string =>
  t('steps.pressure', { figure: shownIn(gCm2, 'g/cm²', units), unit: unitShown('g/cm²', units) });

/** What the lowest tray of a stack carries in all, against what its crop bears. */
export function lowestWords({ lowestGCm2, mostGCm2 }: Stacking, units: Units): string {
  const over = lowestGCm2 / mostGCm2;
  const total = t('steps.lowestTrayCarriesLowestgcmG', {
    pressure: pressureWords(Math.round(lowestGCm2 * 10) / 10, units)
  });
  return over > 1.005
    ? t('steps.totalOverTimesMostgcmG', {
        total,
        over: figure(Math.round(over * 100) / 100),
        most: pressureWords(mostGCm2, units)
      })
    : t('steps.totalBearsMostgcmGCm', { total, most: pressureWords(mostGCm2, units) });
}

/** A shared solution as it is mixed: product into water. */
export const solutionWords = (shared: SharedSolution, units: Units): string =>
  t('steps.measuredBottleIntoMeasuredWater', {
    measured: measured(shared.total.productMl, units),
    bottle: bottleWords(shared.product, shared),
    measured2: measured(shared.total.waterMl, units)
  });
