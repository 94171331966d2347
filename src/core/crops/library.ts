import { csvFormatRows, csvParseRows } from 'd3-dsv';
import { DENSITIES, type Crop } from './crop.ts';
import { FIGURE_KEYS, FIGURES, type FigureKey, type Figures } from './figures.ts';
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
    const wrong = (column: string, must: string): never => {
      throw new Error(
        `Crop table, row ${index + 2} (${text('key')}): “${column}” must be ${must}, not “${text(column)}”.`
      );
    };
    const number = (column: string): number => {
      const value = Number(text(column));
      return text(column) === '' || !Number.isFinite(value) ? wrong(column, 'a number') : value;
    };
    const figures = Object.fromEntries(
      FIGURE_KEYS.map((key) => {
        const figure = FIGURES[key];
        const { column } = figure;
        if (figure.kind === 'number') return [key, number(column)];
        const answers: readonly string[] = figure.kind === 'yes-no' ? ['yes', 'no'] : figure.answers;
        if (!answers.includes(text(column))) wrong(column, `one of ${answers.join(', ')}`);
        return [key, figure.kind === 'yes-no' ? text(column) === 'yes' : text(column)];
      })
    ) as unknown as Figures;
    return {
      ...figures,
      key: text('key'),
      name: text('common_name'),
      botanicalName: text('botanical_name'),
      family: text('family'),
      seedsPerCm2: {
        sparse: number('seeds_cm2_sparse'),
        usual: number('seeds_cm2_usual'),
        dense: number('seeds_cm2_dense')
      },
      note: text('note')
    };
  });
}

/** Crops as the table has them: what {@link readCropTable} reads back. */
export function cropTable(crops: readonly Crop[]): string {
  const header = [
    ...['key', 'common_name', 'botanical_name', 'family'],
    ...DENSITIES.map((density) => `seeds_cm2_${density}`),
    ...FIGURE_KEYS.map((key) => FIGURES[key].column),
    'note'
  ];
  const cell = (value: Crop[FigureKey]): string =>
    typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
  const rows = crops.map((crop) => [
    ...[crop.key, crop.name, crop.botanicalName, crop.family],
    ...DENSITIES.map((density) => String(crop.seedsPerCm2[density])),
    ...FIGURE_KEYS.map((key) => cell(crop[key])),
    crop.note
  ]);
  return `${csvFormatRows([header, ...rows])}\n`;
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
