import { measured } from './steps/amounts.ts';
import { cropName } from './cropNames.ts';
import { t, table } from '$messages/t.ts';
import type { Cleaning, Packing, SpentTo, Spoil, Taking, Washing } from '$core/sowing/event.ts';
import type { CleaningStep, ToClean } from '$core/cleaning/cleaning.ts';
import type { PantryItem } from '$core/pantry/item.ts';
import { portionsOf, type Portioned } from '$core/pantry/amounts.ts';
import type { WhyAir } from '$core/pantry/air.ts';
import { figure, greensMass, volume, type Units } from '$core/units/format.ts';
import type { Surplus } from '$core/ahead/surplus.ts';
import { edibleNote } from './edibleNote.ts';
import { shortDate, type Locale } from './time.ts';

/** Each way of packing inside a sentence. */
export const PACKING_IN_TEXT: Record<Packing, string> = table('pantry.packingInText');

export const PACKING_WORDS: Record<Packing, string> = table('pantry.packing');

/** What each way of packing is for, in one line. */
export const PACKING_HINTS: Record<Packing, string> = table('pantry.packingHints');

export const WASHING_WORDS: Record<Washing, string> = table('pantry.washing');

export const SPOIL_WORDS: Record<Spoil, string> = table('pantry.spoil');

export const TAKING_WORDS: Record<Taking, string> = table('pantry.taking');

const TURNED = new Set<Packing>(['frozen', 'juice', 'frozen-juice', 'dried', 'plate']);

/** How something is kept, in a line. */
export const packedWords = (packing: Packing, washing: Washing): string =>
  TURNED.has(packing)
    ? PACKING_IN_TEXT[packing]
    : t('pantry.packedAndWashed', { packing: PACKING_IN_TEXT[packing], washing: WASHING_WORDS[washing] });

/** An amount of something in the pantry. */
export const amountWords = (amount: number, { unit }: Pick<PantryItem, 'unit'>, units: Units): string =>
  unit === 'g' ? greensMass(amount, units) : volume(amount, units);

/** How much is left, in portions where it is portioned. */
export function leftWords(item: PantryItem, units: Units): string {
  const amount = amountWords(item.left, item, units);
  if (item.portion === null) return amount;
  const { whole, rest } = portionsOf(item.left, item.portion);
  const each = amountWords(item.portion, item, units);
  if (whole === 0) return amount;
  const portions = t('pantry.portionEachPortionsEach', { whole, each });
  return rest > 0
    ? t('pantry.portionsAmountMore', { portions, amount: amountWords(rest, item, units) })
    : portions;
}

/** A touch that takes some of it out. */
export const touchWords = ({ kind, amount }: Portioned, item: PantryItem, units: Units): string =>
  ({
    handful: t('pantry.handfulAmount', { amount: amountWords(amount, item, units) }),
    portion: t('pantry.portionAmount', { amount: amountWords(amount, item, units) }),
    half: t('pantry.halfAmount', { amount: amountWords(amount, item, units) }),
    all: t('pantry.allAmount', { amount: amountWords(amount, item, units) })
  })[kind];

/** Between which days it is to be eaten. */
export function keepUntilWords({ bestBy, keepsTo }: PantryItem, locale: Locale): string {
  const [best, last] = [shortDate(bestBy, locale), shortDate(keepsTo, locale)];
  return best === last ? t('pantry.keepsLast', { last }) : t('pantry.bestByBestKeepsLast', { best, last });
}

/** How cold it is kept. */
export function coldWords({ packing, crop }: PantryItem, cold: (degC: number) => string): string {
  if (packing === 'frozen' || packing === 'frozen-juice') return t('pantry.freezer');
  if (packing === 'dried') return t('pantry.dryDarkShut');
  return crop.keepAtC > 5
    ? t('pantry.atAboutColdNoColder', { cold: cold(crop.keepAtC) })
    : t('pantry.atOrBelowCold', { cold: cold(crop.keepAtC) });
}

export const AIR_WORDS: Record<WhyAir, string> = table('pantry.air');

export const CLEANING_DONE: Record<Cleaning, string> = table('pantry.cleaningDone');

/** Where what was tipped out went, as a line of the log has it. */
export const SPENT_DONE: Record<SpentTo, string> = table('pantry.spentDone');

/** The same as a chip. */
export const SPENT_WORDS: Record<SpentTo, string> = table('pantry.spent');

/** A step of cleaning as an order, with its amounts. */
export function cleaningWords(
  { step, dose }: CleaningStep,
  { mouldy, compost }: ToClean,
  units: Units
): { title: string; why: string } {
  switch (step) {
    case 'empty':
      return compost
        ? { title: t('pantry.tipRootsMediumOntoCompost'), why: t('pantry.matPaperTooAllRots') }
        : {
            title: t('pantry.rootsMediumIntoBagOut'),
            why: t('pantry.whatMouldedOrRottedNot')
          };
    case 'scrape':
      return {
        title: t('pantry.scrapeBrushRootsOffMesh'),
        why: t('pantry.whileTheyDampDriedOn')
      };
    case 'reservoir':
      return {
        title: t('pantry.emptyReservoirWipeOut'),
        why: t('pantry.withPumpTubesWhereHas')
      };
    case 'stain-soak':
      return {
        title: t('pantry.soakStainsOutMesh'),
        why: t('pantry.halfHourHotWaterWith')
      };
    case 'wash':
      return {
        title: t('pantry.washWithHotWaterDrop'),
        why: t('pantry.cornersHolesWithBrushRinse')
      };
    case 'disinfect':
      return doseWords(dose, mouldy, units);
    case 'dry':
      return {
        title: t('pantry.letDryOnEdgeAir'),
        why: t('pantry.dryThroughNothingLivesOn')
      };
  }
}

function doseWords(
  dose: CleaningStep['dose'],
  mouldy: boolean,
  units: Units
): { title: string; why: string } {
  const why = mouldy ? t('pantry.somethingRottedOnWhatLeft') : t('pantry.asYouWishHeatSoap');
  if (!dose?.solution)
    return {
      title: t('pantry.sprayWithTargetPeroxideUndiluted', {
        target: figure(dose?.target ?? 3),
        minutes: dose?.minutes ?? 10
      }),
      why
    };
  const { productMl, waterMl } = dose.solution;
  return {
    title: t('pantry.wipeOrDipProductmlMl', {
      product: measured(productMl, units),
      productPct: figure(dose.productPct),
      volume: volume(waterMl, units),
      minutes: dose.minutes
    }),
    why: t('pantry.whyTargetPpmProductsLabel', { why, target: dose.target })
  };
}

/** A line to go with greens that are given away: what it is, when it was cut, until when it is good, and who should not eat it. */
export function giveWords({ item, g }: Surplus, now: number, locale: Locale): string {
  const note = edibleNote(item.crop);
  const until =
    item.bestBy >= now
      ? t('pantry.bestByShortdate', { shortDate: shortDate(item.bestBy, locale) })
      : t('pantry.eatByShortdate', { shortDate: shortDate(item.keepsTo, locale) });
  return t('pantry.nameAboutGreensmassCutShortdate', {
    name: cropName(item.crop.name),
    greensMass: greensMass(g, locale.units),
    shortDate: shortDate(item.cutAt, locale),
    until,
    when: note ? 'yes' : 'no',
    note: note ?? ''
  });
}

/** What of the pantry needs somebody, in short phrases; none where nothing does. */
export const pantryCountWords = ({ soon, past }: { soon: number; past: number }): string[] => [
  ...(soon > 0 ? [t('pantry.eatFirstEatFirst', { soon })] : []),
  ...(past > 0 ? [t('pantry.pastDaysPastTheirDays', { past })] : [])
];
