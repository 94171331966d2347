import type { Cleaning, Packing, SpentTo, Spoil, Taking, Washing } from '$core/sowing/event.ts';
import type { CleaningStep, ToClean } from '$core/cleaning/cleaning.ts';
import type { PantryItem } from '$core/pantry/item.ts';
import { portionsOf, type Portioned } from '$core/pantry/amounts.ts';
import type { WhyAir } from '$core/pantry/air.ts';
import { figure, greensMass, volume, type Units } from '$core/units/format.ts';
import type { Surplus } from '$core/ahead/surplus.ts';
import { edibleNote } from './edibleNote.ts';
import { shortDate, type Locale } from './time.ts';

export const PACKING_WORDS: Record<Packing, string> = {
  'cloth-bag': 'In a cloth bag',
  'paper-box': 'In a box with paper',
  'pierced-box': 'In a pierced box',
  'open-bag': 'In a bag left open',
  frozen: 'Frozen',
  juice: 'Juice',
  'frozen-juice': 'Juice, frozen',
  dried: 'Dried',
  plate: 'Eaten at once'
};

/** What each way of packing is for, in one line. */
export const PACKING_HINTS: Record<Packing, string> = {
  'cloth-bag': 'breathes; damp the cloth where the air is dry',
  'paper-box': 'the towel takes up what drips',
  'pierced-box': 'holds its damp and lets it breathe',
  'open-bag': 'does for a day or two',
  frozen: 'in portions, for soups and smoothies',
  juice: 'for today',
  'frozen-juice': 'in portions',
  dried: 'weighed before and after',
  plate: 'nothing is kept'
};

export const WASHING_WORDS: Record<Washing, string> = {
  unwashed: 'dry, as cut',
  washed: 'washed and spun dry',
  wet: 'packed wet'
};

export const SPOIL_WORDS: Record<Spoil, string> = {
  slime: 'Slime',
  smell: 'Smells off',
  mould: 'Mould',
  wilted: 'Wilted',
  'too-old': 'Past its days',
  'too-much': 'Too much of it',
  other: 'Something else'
};

export const TAKING_WORDS: Record<Taking, string> = { eaten: 'To eat', given: 'Give away' };

const TURNED = new Set<Packing>(['frozen', 'juice', 'frozen-juice', 'dried', 'plate']);

/** How something is kept, in a line. */
export const packedWords = (packing: Packing, washing: Washing): string =>
  TURNED.has(packing)
    ? PACKING_WORDS[packing].toLowerCase()
    : `${PACKING_WORDS[packing].toLowerCase()}, ${WASHING_WORDS[washing]}`;

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
  const portions = whole === 1 ? `1 portion of ${each}` : `${whole} portions of ${each}`;
  return rest > 0 ? `${portions} and ${amountWords(rest, item, units)} more` : portions;
}

/** A touch that takes some of it out. */
export const touchWords = ({ kind, amount }: Portioned, item: PantryItem, units: Units): string =>
  ({
    handful: `A handful, ${amountWords(amount, item, units)}`,
    portion: `A portion, ${amountWords(amount, item, units)}`,
    half: `Half, ${amountWords(amount, item, units)}`,
    all: `All, ${amountWords(amount, item, units)}`
  })[kind];

/** Between which days it is to be eaten. */
export function keepUntilWords({ bestBy, keepsTo }: PantryItem, locale: Locale): string {
  const [best, last] = [shortDate(bestBy, locale), shortDate(keepsTo, locale)];
  return best === last ? `Keeps to ${last}` : `Best by ${best}, keeps to ${last} at most`;
}

/** How cold it is kept. */
export function coldWords({ packing, crop }: PantryItem, cold: (degC: number) => string): string {
  if (packing === 'frozen' || packing === 'frozen-juice') return 'in the freezer';
  if (packing === 'dried') return 'dry, dark and shut';
  return crop.keepAtC > 5
    ? `at about ${cold(crop.keepAtC)}, no colder: the cold blackens it`
    : `at or below ${cold(crop.keepAtC)}`;
}

export const AIR_WORDS: Record<WhyAir, string> = {
  washed:
    'It was washed: spread it on a cloth for an hour before packing. What is packed wet keeps half as long.',
  misted:
    'Its leaves were wetted today: spread it on a cloth for an hour before packing. What is packed wet keeps half as long.',
  'mould-risk': 'It moulds easily: an hour of air on a cloth before packing pays.'
};

export const CLEANING_DONE: Record<Cleaning, string> = {
  empty: 'Tray emptied',
  scrape: 'Mesh scraped',
  reservoir: 'Reservoir emptied and wiped',
  'stain-soak': 'Stains soaked out',
  wash: 'Washed',
  disinfect: 'Disinfected',
  dry: 'Dry, back on the shelf'
};

/** Where what was tipped out went, as a line of the log has it. */
export const SPENT_DONE: Record<SpentTo, string> = {
  compost: 'onto the compost',
  fodder: 'fed to animals',
  bin: 'into the bin'
};

/** The same as a chip. */
export const SPENT_WORDS: Record<SpentTo, string> = {
  compost: 'Compost',
  fodder: 'Animal feed',
  bin: 'Bin'
};

/** A step of cleaning as an order, with its amounts. */
export function cleaningWords(
  { step, dose }: CleaningStep,
  { mouldy, compost }: ToClean,
  units: Units
): { title: string; why: string } {
  switch (step) {
    case 'empty':
      return compost
        ? { title: 'Tip roots and medium onto the compost', why: 'Mat and paper too: all of it rots.' }
        : {
            title: 'Roots and medium into a bag, and out of the house',
            why: 'What moulded or rotted is not for an indoor compost, and not for the next tray.'
          };
    case 'scrape':
      return {
        title: 'Scrape and brush the roots off the mesh',
        why: 'While they are damp; dried on, they sit fast.'
      };
    case 'reservoir':
      return {
        title: 'Empty the reservoir and wipe it out',
        why: 'With its pump and its tubes, where it has them: unplugged first.'
      };
    case 'stain-soak':
      return {
        title: 'Soak stains out of the mesh',
        why: 'Half an hour in hot water with an oxygen stain remover, as strong as its label says; then rinse until nothing foams.'
      };
    case 'wash':
      return {
        title: 'Wash with hot water and a drop of soap',
        why: 'Corners and holes with a brush; rinse.'
      };
    case 'disinfect':
      return doseWords(dose, mouldy, units);
    case 'dry':
      return {
        title: 'Let it dry on its edge, in the air',
        why: 'Dry through, nothing lives on it. Then it counts as free.'
      };
  }
}

function doseWords(
  dose: CleaningStep['dose'],
  mouldy: boolean,
  units: Units
): { title: string; why: string } {
  const why = mouldy
    ? 'Something rotted on it, and what is left of that would come back.'
    : 'As you wish: heat, soap and drying do for most.';
  if (!dose?.solution)
    return {
      title: `Spray with ${figure(dose?.target ?? 3)} % peroxide, undiluted; wait ${dose?.minutes ?? 10} min, rinse`,
      why
    };
  const { productMl, waterMl } = dose.solution;
  return {
    title: `Wipe or dip in ${figure(productMl)} mL of hypochlorite (${figure(dose.productPct)} %) in ${volume(waterMl, units)} of water; ${dose.minutes} min, then rinse`,
    why: `${why} ${dose.target} ppm: the product’s label decides.`
  };
}

/** A line to go with greens that are given away: what it is, when it was cut, until when it is good, and who should not eat it. */
export function giveWords({ item, g }: Surplus, now: number, locale: Locale): string {
  const note = edibleNote(item.crop);
  const until =
    item.bestBy >= now
      ? `best by ${shortDate(item.bestBy, locale)}`
      : `eat by ${shortDate(item.keepsTo, locale)}`;
  return `${item.crop.name}, about ${greensMass(g, locale.units)}, cut ${shortDate(item.cutAt, locale)}. Keep it cold; ${until}.${note ? ` ${note}` : ''}`;
}

/** What of the pantry needs somebody, in short phrases; none where nothing does. */
export const pantryCountWords = ({ soon, past }: { soon: number; past: number }): string[] => [
  ...(soon > 0 ? [soon === 1 ? '1 to eat first' : `${soon} to eat first`] : []),
  ...(past > 0 ? [past === 1 ? '1 past its days' : `${past} past their days`] : [])
];
