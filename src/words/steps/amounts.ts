import { strengthPercent } from '../percent.ts';
import { t } from '$messages/t.ts';
import type { Feed } from '$core/steps/step.ts';
import type { Disinfectant } from '$core/supplies/seed/disinfect.ts';
import { WEAK_ML_L } from '$core/supplies/seed/disinfect.ts';
import { spoonsOf } from '$core/supplies/seed/spoons.ts';
import { spoonFigure } from '../spoons.ts';
import type { MediumStock, MediumKind } from '$core/supplies/media/medium.ts';
import { figure, volume, type Units } from '$core/units/format.ts';
import { MEDIUM_IN_TEXT } from '../media.ts';
import type { Locale } from '../time.ts';

/** What a step is told against: when, to whom, and for how many containers on what. */
export interface StepOn {
  now: number;
  locale: Locale;
  containers: number;
  medium: { kind: MediumKind; own: MediumStock | null };
}

/** A container's amount first, then all of it. */
export const eachAndAll = (total: number, containers: number, say: (amount: number) => string): string =>
  containers > 1 ? t('steps.sayEachSayAll', { say: say(total / containers), say2: say(total) }) : say(total);

/** A drop, mL. */
const DROP_ML = 0.05;

/**
 * Small volumes of product are measured with a syringe or a marked jug: to the tenth of a mL under 10. A household on US units
 * has spoons, with the mL beside them: a strength must not hang on how a spoon is heaped.
 */
export function measured(mL: number, units: Units): string {
  if (mL >= 1000) return volume(mL, units);
  const shown = mL < 10 ? mL.toFixed(1) : String(Math.round(mL));
  if (units === 'metric') return t('steps.mlMl', { mL: shown });
  const spoons = spoonsOf(mL);
  return spoons
    ? t('steps.spoonsMl', { spoons: spoonFigure(spoons), mL: shown })
    : t('steps.dropsMl', {
        drops: Math.max(1, Math.round(mL / DROP_ML)),
        mL: mL < 0.1 ? mL.toFixed(2) : shown
      });
}

/** The strength of a solution. */
export const strengthWords = (product: Disinfectant, target: number): string =>
  product === 'hypochlorite' ? t('steps.targetPpm', { target: figure(target) }) : strengthPercent(target);

/** What a medium is called here. */
export const mediumName = ({ kind, own }: StepOn['medium']): string => own?.name ?? MEDIUM_IN_TEXT[kind];

/** Peroxide that goes into water; nothing for none. */
export const peroxideWords = (peroxideMl: number, units: Units): string =>
  peroxideMl > 0 ? t('steps.withMeasuredPeroxide', { measured: measured(peroxideMl, units) }) : '';

/** As it is mixed for a spray bottle, of which a mist takes a part. */
export const sprayWords = (peroxideMl: number): string =>
  peroxideMl > 0 ? t('steps.withPeroxideWeakMlL', { WEAK_ML_L: (WEAK_ML_L / 2).toFixed(1) }) : '';

/** Feed that goes into water, by the bottle where somebody has read it. */
export function feedWords(feed: Feed | null, units: Units): string {
  if (!feed) return '';
  const strength = feed.strength < 1 ? t('steps.halfStrength') : t('steps.fullStrength');
  if (feed.mL !== null)
    return t('steps.withMeasuredFeedStrength', { measured: measured(feed.mL, units), strength });
  return feed.mLPerL !== null
    ? t('steps.withMeasuredFeedLitreStrength', { measured: measured(feed.mLPerL, units), strength })
    : t('steps.withFeedAtStrengthBy', { strength });
}

/** Sentences that have something to say, one after the other. */
export const sentences = (...parts: readonly string[]): string => parts.filter(Boolean).join(' ');
