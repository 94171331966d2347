import type { Cleaning } from '$core/sowing/event.ts';
import type { StepKind } from '$core/steps/step.ts';

/** What each step is called, as the heading of its section. */
export const STEP_NAMES: Record<StepKind, string> = {
  weigh: 'Weigh',
  rinse: 'Rinse',
  disinfect: 'Disinfect',
  'rinse-off': 'Rinse off',
  soak: 'Soak',
  drain: 'Drain',
  fill: 'Fill',
  damp: 'Damp',
  sow: 'Sow',
  cover: 'Cover',
  mist: 'Mist',
  press: 'Press or shut',
  weight: 'Lay the weight on',
  uncover: 'Uncover',
  light: 'First light',
  unshade: 'Take the shade off',
  water: 'Water',
  spray: 'Spray',
  turn: 'Turn',
  air: 'Air',
  dry: 'Dry hours',
  cut: 'Cut',
  wash: 'After the cut',
  keep: 'Keep',
  clean: 'Clean'
};

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

/** What is done to an emptied container. */
export const CLEANING_NAMES: Record<Cleaning, string> = {
  empty: 'Empty',
  scrape: 'Scrape the mesh',
  reservoir: 'Empty the reservoir',
  'stain-soak': 'Soak out stains',
  wash: 'Wash',
  disinfect: 'Disinfect',
  dry: 'Dry'
};

/** Some steps of cleaning in one line. */
export const cleaningNames = (steps: readonly Cleaning[]): string =>
  steps
    .map((step, nth) => (nth === 0 ? CLEANING_NAMES[step] : CLEANING_NAMES[step].toLowerCase()))
    .join(', ');
