import { csvParseRows } from 'd3-dsv';
import type { Crop } from './crop.ts';
import { CROP_TABLE } from './table.ts';

/**
 * Reads a crop table (CSV with a header line, columns as in `table.ts`, in any order).
 * @throws Error naming row and column of the first figure that cannot be read.
 */
export function readCropTable(csv: string): Crop[] {
  const [header, ...rows] = csvParseRows(csv.trim());
  const columns = new Map((header ?? []).map((name, index) => [name, index]));
  return rows.map((cells, index) => {
    const text = (column: string): string => {
      const at = columns.get(column);
      if (at === undefined) throw new Error(`The crop table has no column “${column}”.`);
      return cells[at] ?? '';
    };
    const figure = (column: string): number => {
      const value = Number(text(column));
      if (text(column) === '' || !Number.isFinite(value))
        throw new Error(
          `Crop table, row ${index + 2} (${text('key')}): “${column}” must be a number, not “${text(column)}”.`
        );
      return value;
    };
    const oneOf = <T extends string>(column: string, ...allowed: T[]): T => {
      const value = text(column) as T;
      if (!allowed.includes(value))
        throw new Error(
          `Crop table, row ${index + 2} (${text('key')}): “${column}” must be one of ${allowed.join(', ')}.`
        );
      return value;
    };
    return {
      key: text('key'),
      name: text('common_name'),
      botanicalName: text('botanical_name'),
      family: text('family'),
      thousandSeedWeightG: figure('thousand_seed_weight_g'),
      germinationPct: figure('germination_pct'),
      seedsPerCm2: {
        sparse: figure('seeds_cm2_sparse'),
        usual: figure('seeds_cm2_usual'),
        dense: figure('seeds_cm2_dense')
      },
      soakMinH: figure('soak_min_h'),
      soakBestH: figure('soak_best_h'),
      soakMaxH: figure('soak_max_h'),
      drainH: figure('drain_h'),
      gelSeed: oneOf('gel_seed', 'yes', 'no') === 'yes',
      disinfect: oneOf('disinfect', 'no', 'optional', 'advised'),
      cover: oneOf('cover', 'none', 'thin', 'full'),
      pressMinGCm2: figure('press_min_g_cm2'),
      pressMaxGCm2: figure('press_max_g_cm2'),
      germinationLight: oneOf('germination_light', 'dark', 'light', 'either'),
      baseC: figure('t_base_c'),
      optimumC: figure('t_opt_c'),
      maximumC: figure('t_max_c'),
      keepBelowC: figure('keep_below_c'),
      rootedD21: figure('rooted_d21'),
      lightReadyD21: figure('light_ready_d21'),
      windowOpenD21: figure('window_open_d21'),
      windowBestD21: figure('window_best_d21'),
      windowCloseD21: figure('window_close_d21'),
      durationCv: figure('duration_cv'),
      harvestCue: oneOf('harvest_cue', 'cotyledon', 'true-leaf', 'height', 'tips'),
      heightMinCm: figure('height_min_cm'),
      heightMaxCm: figure('height_max_cm'),
      yieldLowGM2: figure('yield_low_g_m2'),
      yieldMidGM2: figure('yield_mid_g_m2'),
      yieldHighGM2: figure('yield_high_g_m2'),
      mouldRisk: oneOf('mould_risk', 'low', 'medium', 'high'),
      droughtRisk: oneOf('drought_risk', 'low', 'medium', 'high'),
      keepsMinD: figure('keeps_min_d'),
      keepsMaxD: figure('keeps_max_d'),
      keepAtC: figure('keep_at_c'),
      regrows: oneOf('regrows', 'yes', 'no') === 'yes',
      note: text('note')
    };
  });
}

/** The library, by name. */
export const CROPS: readonly Crop[] = readCropTable(CROP_TABLE);

const byKey = new Map(CROPS.map((crop) => [crop.key, crop]));

/** The crop of a key, the household's own figures before the library's; undefined for a key nobody has. */
export const findCrop = (key: string, own: readonly Crop[] = []): Crop | undefined =>
  own.find((crop) => crop.key === key) ?? byKey.get(key);

/** The library with the household's own crops and figures in it, by name. */
export function withOwnCrops(own: readonly Crop[]): Crop[] {
  const keys = new Set(own.map(({ key }) => key));
  return [...CROPS.filter(({ key }) => !keys.has(key)), ...own].sort((a, b) =>
    a.name.localeCompare(b.name, 'en')
  );
}

/**
 * The crop of a key that was checked before.
 * @throws Error for a key the library does not have.
 */
export function cropOf(key: string): Crop {
  const crop = byKey.get(key);
  if (!crop) throw new Error(`The library has no crop “${key}”.`);
  return crop;
}

const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Crops whose common, botanical or family name holds every word typed, accents and case aside. */
export function searchCrops(words: string, among: readonly Crop[] = CROPS): Crop[] {
  const wanted = plain(words).split(/\s+/).filter(Boolean);
  return among.filter((crop) => {
    const names = plain(`${crop.name} ${crop.botanicalName} ${crop.family}`);
    return wanted.every((word) => names.includes(word));
  });
}
