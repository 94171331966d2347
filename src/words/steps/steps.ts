import { allOf } from '../lists.ts';
import { seedInText } from '../cropNames.ts';
import { percent } from '../percent.ts';
import { t, table } from '$messages/t.ts';
import type { BodyOf, OffBy, StepBody } from '$core/steps/step.ts';
import { isBenchStep } from '$core/steps/step.ts';
import { hasPool } from '$core/supplies/media/below.ts';
import type { MediumKind } from '$core/supplies/media/medium.ts';
import type { DueStep } from '$core/steps/due.ts';
import type { BenchStep } from '$core/sowing/event.ts';
import { figure, length, seedMass, volume, type Units } from '$core/units/format.ts';
import { aboutGreens } from '../greens.ts';
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

const HOW_WATERED: Record<BodyOf<'water'>['how'], string> = table('steps.howWatered');

const howOften = () => [t('steps.asDries'), t('steps.onceDay'), t('steps.twiceDay')] as const;

const INTO_LIGHT: Record<BodyOf<'light'>['where'], string> = table('steps.lightFrom');

/** What a step asks for, as lists and sheets have it. */
export function stepAmount(body: StepBody, on: StepOn): Amount {
  if (isBench(body)) return benchAmount(body, on);
  const { units } = on.locale;
  switch (body.kind) {
    case 'uncover':
      return {
        amount:
          body.to === 'blackout'
            ? t('steps.darkDomeOn')
            : body.off === 'clear'
              ? t('steps.clearLidOff')
              : t('steps.intoLight'),
        more: ''
      };
    case 'weight':
      return pressingWords(body.pressing, units);
    case 'unshade':
      return { amount: t('steps.intoFullSun'), more: '' };
    case 'spray':
      return {
        amount: t('steps.nameAboutEachandall', {
          name: body.name,
          eachAndAll: eachAndAll(body.waterMl, on.containers, (mL) => volume(mL, units))
        }),
        more: t('steps.onceDayMorningEvening', { timesADay: body.timesADay })
      };
    case 'light':
      return { amount: INTO_LIGHT[body.where], more: '' };
    case 'water':
      return {
        amount:
          body.waterMl === null
            ? `${howOften()[body.timesADay]}, ${HOW_WATERED[body.how]}`
            : waterTitle(body, on),
        more: [
          feedWords(body.feed, units),
          body.peroxideMl > 0
            ? t('steps.measuredPeroxideLitre', {
                measured: measured(body.peroxideMl, units),
                when: body.waterMl === null ? 'yes' : 'no'
              })
            : ''
        ]
          .filter(Boolean)
          .join(', ')
      };
    case 'turn':
      return { amount: t('steps.halfRound'), more: '' };
    case 'air':
      return { amount: t('steps.hourDayWhereAirStands'), more: '' };
    case 'dry':
      return { amount: t('steps.noMoreWaterBeforeCut'), more: '' };
    case 'cut':
      return {
        amount: body.past ? t('steps.pastWindow') : aboutGreens(body.expectedG, units),
        more: t('steps.withSharpKnifeWithScissors', {
          when: body.tool === 'knife' ? 'yes' : 'no',
          when2: body.taking === 'strip' ? 'yes' : 'no'
        })
      };
    case 'wash':
      return { amount: body.washing === 'washed' ? t('steps.washSpinDry') : t('steps.leaveDry'), more: '' };
    case 'keep':
      return { amount: keepsWords(body.minD, body.maxD, body.keepAtC, units), more: '' };
    case 'clean':
      return {
        amount: cleaningNames(
          body.steps.filter((step) => step !== 'disinfect' || body.steps.includes('scrape') || !body.compost)
        ),
        more: body.compost ? t('steps.rootsMediumOnCompost') : ''
      };
  }
}

const waterTitle = (body: BodyOf<'water'>, { containers, locale }: StepOn): string =>
  eachAndAll(body.waterMl ?? 0, containers, (mL) => volume(mL, locale.units));

/** How a step of the round is done, whichever tray it is for; nothing where its title says it all. */
export function stepHow(body: StepBody, medium: MediumKind): string {
  switch (body.kind) {
    case 'spray':
      return t('steps.yourOwnSprayAsStrong');
    case 'mist':
      return t('steps.seedStayDampNotWet');
    case 'turn':
      return t('steps.windowLightsFromOneSide');
    case 'air':
      return t('steps.openWindowNearbyOrSmall');
    case 'cut':
      return t('steps.cutStripCutWithSharp', {
        when: body.taking === 'strip' ? 'yes' : 'no',
        when2: body.tool === 'knife' ? 'yes' : 'no'
      });
    case 'water':
      if (body.how === 'reservoir') return '';
      if (body.how === 'mist') return t('steps.stopWhenDropsHangTogether');
      if (body.how === 'through') return t('steps.liftMatPourOverRoots');
      return body.how === 'below' && hasPool(medium)
        ? t('steps.pourOffFirstWhatStill')
        : t('steps.pourOffWhatStandsAfter');
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
        title: t('steps.soakSeedVolumeWater', {
          seed: allOf(
            body.seed.map((line) => {
              const seed = seedMass(line.seedG, units);
              return body.seed.length > 1 || body.dry.length > 0
                ? t('steps.soak.ofCrop', { mass: seed, crop: seedInText(line) })
                : t('steps.soak.ofSeed', { mass: seed });
            })
          ),
          volume: volume(body.jar.waterMl, units)
        }),
        why: sentences(
          t('steps.outAgainDayandtimeJarVolume', {
            dayAndTime: dayAndTime(body.until, now, locale),
            volume: volume(body.jar.jarMl, units)
          }),
          peroxideWords(body.peroxideMl, units)
        ),
        done: t('steps.putSoak')
      };
    case 'drain':
      return {
        title:
          body.hours > 0
            ? t('steps.drainRinseThenKeepDamp', { hours: body.hours })
            : t('steps.drainRinseUntilWaterClear'),
        why: soakWords(body, now, locale),
        done: t('steps.drained')
      };
    case 'sow': {
      // In the order of the hands, each as the bench has it.
      const with_ = step.with.map((other) => ({ body: other, ...stepAmount(other, on) }));
      const fill = with_.find((one) => one.body.kind === 'fill');
      return {
        title: t('steps.sowAmountOnAmount', {
          amount: stepAmount(body, on).amount,
          when: fill ? 'yes' : 'no',
          amount2: fill ? fill.amount : ''
        }),
        why: sentences(
          ...with_
            .filter((one) => one.body.kind !== 'fill' && one.body.kind !== 'mist')
            .map(
              (one) => `${STEP_NAMES[one.body.kind]}: ${[one.amount, one.more].filter(Boolean).join('. ')}`
            )
            .map((text) => (text.endsWith('.') ? text : `${text}.`))
        ),
        done: t('steps.sown')
      };
    }
    case 'weight': {
      const { amount, more } = pressingWords(body.pressing, units);
      return {
        title: t('steps.takeLidOffPressWith', { amount }),
        why: sentences(t('steps.hasRootedPressedDayOr'), more, body.shared ? t('steps.oneBothHalves') : ''),
        done: t('steps.pressed')
      };
    }
    case 'spray':
      return {
        title: t('steps.sprayFinelyWithNameAbout', {
          name: body.name,
          eachAndAll: eachAndAll(body.waterMl, on.containers, (mL) => volume(mL, units))
        }),
        why: '',
        done: t('steps.sprayed')
      };
    case 'uncover': {
      const what = {
        weight: t('steps.weight'),
        stacked: t('steps.upperTray'),
        lid: t('steps.lid2'),
        clear: t('steps.clearLid')
      }[body.off];
      return {
        title:
          body.to === 'blackout'
            ? t('steps.takeWhatOffPutDark', { what })
            : body.off === 'clear'
              ? t('steps.takeClearLidOff')
              : t('steps.takeWhatOffBringLight', { what, when: body.where === 'dark' ? 'yes' : 'no' }),
        why: body.by ? offByWords(body.by, units) : t('steps.onceRootsHoldStemsNeed'),
        done:
          body.to === 'blackout'
            ? t('steps.uncovered')
            : body.off === 'clear'
              ? t('steps.lidOff')
              : t('steps.broughtLight')
      };
    }
    case 'light':
      return {
        title: t('steps.domeOffWhere', { where: INTO_LIGHT[body.where] }),
        why: body.by ? offByWords(body.by, units) : t('steps.onceStemsEvenLightMakes'),
        done: t('steps.broughtLight')
      };
    case 'unshade':
      return {
        title: t('steps.takeShadeOff'),
        why: t('steps.hasHadDaysGentleLight'),
        done: t('steps.shadeTakenOff')
      };
    case 'mist':
      return {
        title: t('steps.mistAsFinelyAsYou', {
          when: body.fine ? 'yes' : 'no',
          eachAndAll: eachAndAll(body.waterMl, on.containers, (mL) => volume(mL, units))
        }),
        why: sentences(sprayWords(body.peroxideMl)),
        done: t('steps.misted')
      };
    case 'water':
      return waterCard(body, on);
    case 'turn':
      return {
        title: t('steps.turnHalfRound'),
        why: '',
        done: t('steps.turned')
      };
    case 'air':
      return {
        title: t('steps.letAirAtHour'),
        why: `${MOULD_WORDS[body.drivers[0] ?? 'covered']}.`,
        done: t('steps.aired')
      };
    case 'cut':
      return {
        title: body.past
          ? t('steps.pastWindowTasteThenCut')
          : [
              body.cutShare > 0
                ? t('steps.restReadyCut')
                : body.sure
                  ? t('steps.readyCut')
                  : body.seen
                    ? t('steps.readyCutAsYouSaw')
                    : t('steps.mayBeReadyCut'),
              aboutGreens(body.expectedG, units)
            ]
              .filter(Boolean)
              .join(': '),
        why: sentences(
          body.cutShare > 0 ? t('steps.cutshareCut', { cutShare: Math.round(body.cutShare * 100) }) : '',
          body.past
            ? t('steps.closedAboutDay', { day: dayWords(body.closesAt, now, locale) })
            : t('steps.oneCheckCanBeWrong', {
                when: body.sure || body.cutShare > 0 ? 'yes' : 'no',
                when2: !(body.sure || body.cutShare > 0) && body.seen ? 'yes' : 'no',
                day: dayWords(body.closesAt, now, locale)
              })
        ),
        done: t('steps.cut')
      };
    default: {
      const { amount, more } = stepAmount(body, on);
      return {
        title: `${STEP_NAMES[body.kind]}: ${amount}`,
        why: more,
        done: t('steps.kindDone', { kind: STEP_NAMES[body.kind] })
      };
    }
  }
}

const whyWords = (why: BodyOf<'water'>['why'], left: string): string =>
  why === 'unsure'
    ? t('steps.aboutLeftShouldBeLeft', { left })
    : why === 'uncovered'
      ? t('steps.coverOffNowWaterOnce')
      : why === 'as-chosen'
        ? t('steps.leftLeftYourMethodWaters', { left })
        : t('steps.leftLeftTooLittleUntil', { left, when: why === 'soon' ? 'yes' : 'no' });

/** What a cover comes off by, where the method says so. */
function offByWords(by: OffBy, units: Units): string {
  if (by.kind === 'dark-days') return t('steps.yourMethodGivesDaysDark', { days: daysWords(by.days) });
  if (by.kind === 'dome-days') return t('steps.yourMethodGivesDaysUnder', { days: daysWords(by.days) });
  const { overRimCm, stemCm } = by;
  return t('steps.onlyOnceMostStemsStand', {
    length: length(overRimCm, units),
    length2: length(stemCm, units)
  });
}

const daysWords = (days: number): string => t('steps.daysDayDays', { days: figure(days), days2: days });

/** A pool is renewed at each round, however damp its medium is. */
const poolWords = (why: BodyOf<'water'>['why'], share: number): string =>
  share >= 0.9
    ? t('steps.dampNowButDoesNot')
    : whyWords(why, t('steps.shareWhatHoldsItself', { share: Math.round(share * 100) }));

function waterCard(body: BodyOf<'water'>, on: StepOn): Omit<CardWords, 'how'> {
  const { units } = on.locale;
  const amount = waterTitle(body, on);
  const feed = body.feed ? `, ${feedWords(body.feed, units)}` : '';
  const left = percent(body.share ?? 0);
  const peroxide = peroxideWords(body.peroxideMl, units);
  if (body.how === 'reservoir')
    return {
      title: t('steps.fillReservoirUpAmountFeed', { amount, feed }),
      why: sentences(
        t('steps.leftLeftTooLittleUntil2', { left, when: body.why === 'soon' ? 'yes' : 'no' }),
        on.medium.kind === 'mesh' ? t('steps.stopWhereTouchesMesh') : t('steps.stopWhereFull'),
        peroxide
      ),
      done: t('steps.reservoirFilledVolume', { volume: volume(body.waterMl ?? 0, units) })
    };
  if (body.how === 'through')
    return {
      title: t('steps.pourAmountThroughMatLet', { amount, feed }),
      why: sentences(whyWords(body.why, t('steps.leftWater', { left })), peroxide),
      done: t('steps.pouredThrough')
    };
  return {
    title: t('steps.waterAmountHowFeed', { amount, how: HOW_WATERED[body.how], feed }),
    why: sentences(
      body.how === 'below' && hasPool(on.medium.kind)
        ? poolWords(body.why, body.share ?? 0)
        : whyWords(body.why, t('steps.leftWater', { left })),
      peroxide
    ),
    done: t('steps.wateredVolume', { volume: volume(body.waterMl ?? 0, units) })
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
    ? {
        chip: t('steps.yesPouredOffGaveAmount', { amount }),
        done: t('steps.waterStillStoodGaveVolume', { volume: volume(mL, units) })
      }
    : { chip: t('steps.yesPouredOffGaveNone'), done: t('steps.waterStillStoodGaveNone') };
}
