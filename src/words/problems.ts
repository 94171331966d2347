import type { Problem, ProblemKind, Problems } from '$core/problem.ts';
import type { FieldProblem } from '$core/choice/resolve.ts';
import type { UnitKind } from '$core/units/parseQuantity.ts';

const EXAMPLES: Record<UnitKind, string> = {
  mass: '12.5 g',
  length: '25 cm',
  volume: '250 mL',
  density: '2.1 /cm²'
};
const SIZES = { length: 'Length', diameter: 'Diameter', width: 'Width', depth: 'Depth' };
const COLUMNS =
  'It has more columns than the first line: decimal commas need semicolons between the columns.';
const tidy = (value: number): string => String(Math.round(value * 10) / 10);
const celsius = (degF: number): number => (degF - 32) / 1.8;

/** What is wrong, and what to do. */
const SAY: { [K in ProblemKind]: (params: Problems[K]) => string } = {
  'no-quantity': ({ kind }) => `Write a number with its unit, such as ${EXAMPLES[kind]}.`,
  'either-number': ({ typed, whole, decimal }) =>
    `“${typed}” can be ${whole} or ${decimal}: write the one you mean.`,
  'no-number': () => 'Write a number, such as 12 or 2,5.',
  'no-area': () => 'Write an area in cm², or its sides, such as 25 x 18.',
  'figure-outside': ({ label, low, high }) => `${label}: give a figure from ${low} to ${high}.`,
  'under-nothing': ({ kind }) =>
    `No quantity is less than nothing: write it without the minus, such as ${EXAMPLES[kind]}.`,
  'no-unit': ({ typed, known }) => `“${typed}” is no unit used here: try ${known.join(', ')}.`,
  'size-out-of-bounds': ({ of, low, high }) =>
    `${SIZES[of]} must be between ${low} and ${high} cm: measure the inside, where the medium lies.`,
  'cells-out-of-bounds': ({ low, high }) => `A cell tray has between ${low} and ${high} cells: count them.`,
  'no-crop': () => 'Choose a crop.',
  'crop-twice': () => 'This crop is in the blend already. Name each variety, or choose another crop or lot.',
  'parts-of-kind': () => 'One crop stands alone, halves are two, and a blend has two crops or more.',
  'no-share': ({ high }) => `Give its parts, such as 1 or 2.5, up to ${high}.`,
  'lot-gone': () => 'This lot is no longer in your cupboard, or holds another crop. Choose another lot.',
  'lot-dead': () => 'Nothing sprouted of this lot in its test. Choose another lot, or test it again.',
  'name-of-another': ({ name }) => `“${name}” is the name of another size. Give this one a different name.`,
  'count-outside': ({ low, high }) => `Give a whole number from ${low} to ${high}.`,
  'medium-gone': () => 'This medium is no longer in your cupboard. Choose another.',
  'method-gone': () => 'This method is no longer there. Choose another.',
  'no-place': () => 'Choose a place.',
  'place-gone': () => 'This place is no longer there. Choose another.',
  'place-dark': ({ name }) => `${name} is dark too. Choose a place with light.`,
  'density-outside': ({ high }) =>
    `Enter a density over 0, up to ${high} seeds per cm² (${Math.round(Number(high) * 6.4516)} per in²).`,
  'seed-outside': ({ kg }) => `Give seed over 0 g and up to ${kg} kg, or check the sizes.`,
  'germination-none': () => 'If nothing sprouts, it can’t be sown. Choose another lot.',
  'germination-outside': () => 'Give a percentage over 0 and up to 100, or leave it empty.',
  'method-figure': ({ low, high }) => `Enter a number between ${low} and ${high}.`,
  'soak-outside': ({ high }) =>
    `Give hours from 0 to ${high}, 0 for no soak, or leave it empty for the crop’s own.`,
  'stack-outside': ({ high }) => `Give a whole number of trays from 1 to ${high}.`,
  'stack-too-high': () =>
    'That stack would press its lowest tray with over 1.5 times what the crop bears. Choose fewer trays.',
  'no-day': () => 'Choose the day it should be ready.',
  'no-such-day': () => 'This day does not exist. Choose one from the calendar.',
  'day-passed': () => 'This day has passed. Choose one to come.',
  'day-too-near': () => 'Too near for this crop. Choose the day offered, or a later one.',
  'hypochlorite-too-strong': () =>
    'Hypochlorite is not computed over 20 000 ppm: it harms the seed and whoever handles it.',
  'peroxide-too-strong': () => 'Peroxide is not computed over 10 %: it burns skin and eyes.',
  'product-too-weak': () =>
    'The product is weaker than the strength asked for: it cannot be reached by adding water.',
  'stock-too-weak': () =>
    'The stock is weaker than the strength wanted: it cannot be reached by adding water.',
  'over-all-of-it': () => 'No product is over 100 %: read its strength off the label again.',
  'no-seed-to-treat': () => 'Enter how much seed there is to treat, over 0 g.',
  'bowl-not-weighed': () => 'Weigh the bowl with the greens in it and enter what the scale shows.',
  'tare-under-nothing': () => 'The empty bowl weighs 0 or more: enter 0 where the scale was zeroed with it.',
  'share-not-chosen': () => 'Choose how much of the tray was cut.',
  'bowl-too-light': () => 'The full bowl must weigh more than the empty one: check which is which.',
  'cut-given-up': () =>
    'This tray was given up: what is on it is not to be eaten. Take that back in its log, if it was a slip.',
  'cut-ended': () =>
    'This tray has been cut to the end: take its last cut back in its log, if it was a slip.',
  'cut-not-sown': () => 'This tray has not been sown yet: there is nothing to cut.',
  'cut-more-than-stands': ({ share }) =>
    `Only ${Math.round(share * 100)} % of it still stands: choose that much, or less.`,
  'cut-before': ({ pieces }) =>
    pieces === 1
      ? 'One of these pieces was cut before: touch what stands.'
      : `${pieces} of these pieces were cut before: touch what stands.`,
  'cut-no-regrowth': ({ crop }) => `${crop} does not grow again from its stubs: end the tray with this cut.`,
  'item-gone': () => 'This is not in the pantry any more: it was taken out, or its cut was taken back.',
  'item-holds-less': ({ left, unit }) =>
    `Only ${tidy(left)} ${unit} of it are left: take that much, or less.`,
  'made-more': ({ made, of }) => `${tidy(made)} cannot come of ${tidy(of)} g: check both weights.`,
  'tray-too-light': () => 'That is less than the empty tray weighs: is all of it on the scale?',
  'tray-too-heavy': ({ times }) =>
    `That is over ${Math.round(times)} times what this tray can weigh: check the scale and its unit.`,
  'reading-no-number': () => 'A reading needs a time and a temperature in °C, as numbers.',
  'reading-ahead': () => 'This reading lies ahead: set the clock of what measured it.',
  'reading-old': () => 'This reading is over three months old: it changes no tray that still stands.',
  'reading-temperature': ({ tempC, low, high }) => {
    const read = celsius(tempC);
    return read >= low && read <= high
      ? `${tidy(tempC)} °C is no room: is it °F? That would be ${read.toFixed(1)} °C.`
      : `${tidy(tempC)} °C is no room where trays stand, and as °F it would be ${read.toFixed(0)} °C: check the sensor.`;
  },
  'reading-humidity': ({ humidityPct, low, high }) =>
    `${tidy(humidityPct)} % is no humidity: it lies between ${low} and ${high} %.`,
  'line-unread': () => 'A line is: name, blank, fields such as temperature=21.3, blank, time.',
  'line-no-temperature': () => 'There is no field temperature (°C) or temperature_f (°F) in this line.',
  'line-no-time': ({ typed, precision }) => `“${typed}” is no time: whole ${precision} since 1970.`,
  'time-unread': ({ typed, tooManyColumns }) =>
    `“${typed}” is no time, such as 2026-11-23 07:30.${tooManyColumns ? ` ${COLUMNS}` : ''}`,
  'temperature-unread': ({ typed }) => `“${typed}” is no temperature.`,
  'humidity-unread': ({ typed }) => `“${typed}” is no humidity.`,
  'too-many-columns': () => COLUMNS,
  'file-no-text': () => 'This file is no plain text: save it as CSV in UTF-8 and choose it again.',
  'file-no-header': () => 'The first line must name the columns, such as: time,temperature,humidity',
  'file-no-columns': ({ names }) =>
    `The first line names ${names.join(', ')}: one must be a time and one a temperature, such as: time,temperature,humidity`,
  'file-day-or-month': ({ typed }) =>
    `“${typed}” can be read as day and month or as month and day, and no line of the file tells which. Export it with days such as 2026-04-03, or 3.4.2026.`,
  'past-too-many': ({ lines, most }) =>
    `This list has ${lines} lines. Import at most ${most} at a time: split the file.`,
  'past-no-header': () => 'The first line must name the columns, such as: crop,sown,harvested,grams',
  'past-no-columns': ({ names }) =>
    `The first line names ${names.join(', ')}. Choose which column is the crop and which is the sowing date.`,
  'past-no-crop': ({ typed }) =>
    typed === ''
      ? 'No crop is named in this line.'
      : `No crop is called “${typed}”. Choose above which crop it is, or add it as a crop of your own.`,
  'past-not-sown': () => 'This line has no sowing date.',
  'past-day-unread': ({ typed }) =>
    `“${typed}” isn’t a date Brote can read. Write it as 4 Dec 2025 or 2025-12-04.`,
  'past-day-cannot-be': ({ typed }) =>
    `“${typed}” is in the future or before the sowing date. Check the dates of this line.`,
  'past-no-number': ({ typed }) =>
    `“${typed}” isn’t a number with a unit Brote knows, such as 120, 120.5 g or 4 oz.`,
  'past-too-much': ({ typed }) =>
    `“${typed}” is too much for one sowing at home. Check the number and its unit.`,
  'past-no-count': ({ typed }) => `“${typed}” isn’t a number of trays. Write a whole number from 1 to 60.`,
  'past-no-end': () =>
    'This line doesn’t say when it was cut or ready, or that it was lost. Add one of them.',
  'past-cut-no-day': () => 'It has a yield but no date when it was cut.'
};

/** A problem in words: what is wrong, and what to do. */
export const problemWords = ({ code, params }: Problem): string =>
  (SAY[code] as (of: Problem['params']) => string)(params);

/** What is to be said of each field: of several things that are wrong with one, the first. */
export function fieldWords(problems: readonly FieldProblem[]): Record<string, string> {
  const wrong: Record<string, string> = {};
  for (const { field, problem } of problems) wrong[field] ??= problemWords(problem);
  return wrong;
}
