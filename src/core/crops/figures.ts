/** What several crops of one container are blended from: their values of a figure, and the share of the area of each. */
interface Blended<T> {
  values: readonly T[];
  shares: readonly number[];
  /** Values of another number of theirs. */
  of: (figure: string) => readonly number[];
  /** Whether a part's seed gels. */
  gels: readonly boolean[];
  /** Each part is cut as it is ready, and not all of them at once. */
  overDays: boolean;
}

/** Groups of figures, in the order of the work. */
export const FIGURE_GROUPS = ['seed', 'soak', 'sowing', 'days', 'warmth', 'harvest'] as const;
export type FigureGroup = (typeof FIGURE_GROUPS)[number];

interface Of<T> {
  /** Its column in the table and in the open file. */
  column: string;
  group: FigureGroup;
  /** What blended seed has of it. */
  blend: (parts: Blended<T>) => T;
  /** What a crop goes by that was kept before this was asked for. */
  usual?: T;
}
export interface NumberFigure extends Of<number> {
  kind: 'number';
  bounds: readonly [low: number, high: number];
  unit: string;
  /** The figure that it must not be less than, or where `strictly`, must be more than. */
  after?: string;
  strictly?: true;
}
export interface OneOfFigure<T extends string> extends Of<T> {
  kind: 'one-of';
  answers: readonly T[];
}
export interface YesNoFigure extends Of<boolean> {
  kind: 'yes-no';
}

const number = (figure: Omit<NumberFigure, 'kind'>): NumberFigure => ({ kind: 'number', ...figure });
const oneOf = <const T extends string>(figure: Omit<OneOfFigure<T>, 'kind'>): OneOfFigure<T> => ({
  kind: 'one-of',
  ...figure
});
const yesNo = (figure: Omit<YesNoFigure, 'kind'>): YesNoFigure => ({ kind: 'yes-no', ...figure });

const highest = ({ values }: Blended<number>): number => Math.max(...values);
const lowest = ({ values }: Blended<number>): number => Math.min(...values);
const byArea = ({ values, shares }: Blended<number>): number =>
  values.reduce((sum, value, index) => sum + value * shares[index]!, 0);
/** The last of them in the order of the answers. */
const furthest =
  <T extends string>(order: readonly T[]) =>
  ({ values }: Blended<T>): T =>
    values.reduce((far, value) => (order.indexOf(value) > order.indexOf(far) ? value : far));
/** That of the part whose best soak is longest; seed that gels stays dry, whatever it is mixed with. */
function ofLongestSoak({ values, of, gels }: Blended<number>): number {
  const best = of('soakBestH').map((hours, index) => (gels[index] ? 0 : hours));
  const longest = Math.max(...best);
  return longest === 0 ? 0 : values[best.indexOf(longest)]!;
}

const LEVELS = ['low', 'medium', 'high'] as const;
const DISINFECT = ['no', 'optional', 'advised'] as const;
const COVERS = ['none', 'thin', 'full'] as const;

const soak = { group: 'soak', unit: 'h', blend: ofLongestSoak } as const;
const press = { group: 'sowing', unit: 'g/cm²', bounds: [0, 30], blend: lowest } as const;
const warmth = { group: 'warmth', unit: '°C', blend: byArea } as const;
const days = { group: 'days', unit: 'days' } as const;
const yields = { group: 'harvest', unit: 'g/m²', bounds: [1, 40_000], blend: byArea } as const;

/**
 * Every figure of a crop, once: table, open file, bounds, blended seed, forms, and what older crops are completed with
 * follow from it. What they are called stands in `src/words/cropFigures.ts`, which does not compile without one of them.
 */
export const FIGURES = {
  thousandSeedWeightG: number({
    column: 'thousand_seed_weight_g',
    group: 'seed',
    unit: 'g',
    bounds: [0.01, 1500],
    // Of all its seeds, and not of its area.
    blend: ({ values, shares, of }) => {
      const seeds = of('usual').map((usual, index) => usual * shares[index]!);
      const all = seeds.reduce((sum, one) => sum + one, 0);
      return values.reduce((sum, value, index) => sum + value * seeds[index]!, 0) / all;
    }
  }),
  germinationPct: number({
    column: 'germination_pct',
    group: 'seed',
    unit: '%',
    bounds: [1, 100],
    blend: byArea
  }),
  soakMinH: number({ ...soak, column: 'soak_min_h', bounds: [0, 48] }),
  soakBestH: number({ ...soak, column: 'soak_best_h', bounds: [0, 48], after: 'soakMinH' }),
  soakMaxH: number({ ...soak, column: 'soak_max_h', bounds: [0, 60], after: 'soakBestH' }),
  /** Hours that soaked seed is left to drain and spread. */
  drainH: number({ ...soak, column: 'drain_h', bounds: [0, 48] }),
  gelSeed: yesNo({ column: 'gel_seed', group: 'soak', blend: ({ values }) => values.includes(true) }),
  disinfect: oneOf({
    column: 'disinfect',
    group: 'seed',
    answers: DISINFECT,
    blend: furthest(DISINFECT)
  }),
  cover: oneOf({ column: 'cover', group: 'sowing', answers: COVERS, blend: furthest(COVERS) }),
  pressMinGCm2: number({ ...press, column: 'press_min_g_cm2' }),
  pressMaxGCm2: number({ ...press, column: 'press_max_g_cm2', after: 'pressMinGCm2' }),
  germinationLight: oneOf({
    column: 'germination_light',
    group: 'sowing',
    answers: ['dark', 'light', 'either'],
    blend: ({ values }) =>
      values.every((value) => value === 'light') ? 'light' : values.includes('dark') ? 'dark' : 'either'
  }),
  baseC: number({ ...warmth, column: 't_base_c', bounds: [-5, 20] }),
  optimumC: number({ ...warmth, column: 't_opt_c', bounds: [10, 40], after: 'baseC', strictly: true }),
  maximumC: number({ ...warmth, column: 't_max_c', bounds: [20, 50], after: 'optimumC', strictly: true }),
  /** Where it begins to suffer. */
  keepBelowC: number({ ...warmth, column: 'keep_below_c', bounds: [5, 45], blend: lowest }),
  rootedD21: number({ ...days, column: 'rooted_d21', bounds: [0.5, 40], blend: highest }),
  lightReadyD21: number({
    ...days,
    column: 'light_ready_d21',
    bounds: [0.5, 50],
    after: 'rootedD21',
    blend: highest
  }),
  windowOpenD21: number({
    ...days,
    column: 'window_open_d21',
    bounds: [1, 90],
    after: 'lightReadyD21',
    blend: (parts) => opens(parts)
  }),
  windowBestD21: number({
    ...days,
    column: 'window_best_d21',
    bounds: [1, 100],
    after: 'windowOpenD21',
    blend: (parts) => Math.min(closes(parts), Math.max(opens(parts), byArea(parts)))
  }),
  windowCloseD21: number({
    ...days,
    column: 'window_close_d21',
    bounds: [1, 120],
    after: 'windowBestD21',
    blend: (parts) => closes(parts)
  }),
  /** Coefficient of variation of durations from one sowing to the next. */
  durationCv: number({
    ...days,
    unit: 'share',
    column: 'duration_cv',
    bounds: [0.02, 0.6],
    blend: highest
  }),
  harvestCue: oneOf({
    column: 'harvest_cue',
    group: 'harvest',
    answers: ['cotyledon', 'true-leaf', 'third-leaf', 'height', 'tips'],
    blend: ({ values }) => (values.every((value) => value === values[0]) ? values[0]! : 'cotyledon')
  }),
  heightMinCm: number({
    group: 'harvest',
    unit: 'cm',
    column: 'height_min_cm',
    bounds: [0.5, 60],
    blend: lowest
  }),
  heightMaxCm: number({
    group: 'harvest',
    unit: 'cm',
    column: 'height_max_cm',
    bounds: [0.5, 80],
    after: 'heightMinCm',
    blend: highest
  }),
  yieldLowGM2: number({ ...yields, column: 'yield_low_g_m2' }),
  yieldMidGM2: number({ ...yields, column: 'yield_mid_g_m2', after: 'yieldLowGM2' }),
  yieldHighGM2: number({ ...yields, column: 'yield_high_g_m2', after: 'yieldMidGM2' }),
  mouldRisk: oneOf({ column: 'mould_risk', group: 'harvest', answers: LEVELS, blend: furthest(LEVELS) }),
  droughtRisk: oneOf({ column: 'drought_risk', group: 'harvest', answers: LEVELS, blend: furthest(LEVELS) }),
  keepsMinD: number({
    group: 'harvest',
    unit: 'days',
    column: 'keeps_min_d',
    bounds: [0, 60],
    blend: lowest
  }),
  keepsMaxD: number({
    group: 'harvest',
    unit: 'days',
    column: 'keeps_max_d',
    bounds: [0, 90],
    after: 'keepsMinD',
    blend: lowest
  }),
  /** The warmest that it keeps well at; where the cold blackens leaves, also the coldest. */
  keepAtC: number({
    group: 'harvest',
    unit: '°C',
    column: 'keep_at_c',
    bounds: [0, 20],
    // The cold blackens one of them, so all keep where it does not.
    blend: highest,
    usual: 5
  }),
  regrows: yesNo({
    column: 'regrows',
    group: 'harvest',
    blend: ({ values }) => values.every(Boolean)
  })
};

/**
 * A window of several opens with the last and closes with the first; where they do not meet, it hardly opens at all. Taken over
 * days, it opens with the first, a day after all of them came to light, and closes with the last.
 */
const opens = ({ of, overDays }: Blended<number>): number =>
  overDays
    ? Math.max(Math.min(...of('windowOpenD21')), Math.max(...of('lightReadyD21')) + 1)
    : Math.max(...of('windowOpenD21'));
const closes = (parts: Blended<number>): number =>
  Math.max(opens(parts) + 0.5, (parts.overDays ? Math.max : Math.min)(...parts.of('windowCloseD21')));

export type FigureKey = keyof typeof FIGURES;
type ValueOf<F> = F extends NumberFigure
  ? number
  : F extends YesNoFigure
    ? boolean
    : F extends OneOfFigure<infer T>
      ? T
      : never;

/** The figures of one crop. Durations are days from sowing at a steady 21 degC in good light. */
export type Figures = { -readonly [K in FigureKey]: ValueOf<(typeof FIGURES)[K]> };

type KeysOf<Kind extends 'number' | 'one-of' | 'yes-no'> = {
  [K in FigureKey]: (typeof FIGURES)[K]['kind'] extends Kind ? K : never;
}[FigureKey];
export type NumberKey = KeysOf<'number'>;
export type OneOfKey = KeysOf<'one-of'>;

export const FIGURE_KEYS = Object.keys(FIGURES) as FigureKey[];
export const NUMBER_KEYS = FIGURE_KEYS.filter((key): key is NumberKey => FIGURES[key].kind === 'number');
