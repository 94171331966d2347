import { t, table } from '$messages/t.ts';
import { unitShown, shownIn } from '$core/units/field.ts';
import type { Units } from '$core/units/format.ts';
import type { CropProblem } from '$core/crops/check.ts';
import { MOST_SEEDS_CM2 } from '$core/crops/check.ts';
import {
  FIGURES,
  type FigureGroup,
  type FigureKey,
  type Figures,
  type OneOfKey
} from '$core/crops/figures.ts';
import { unitLabel } from './units.ts';
import { REFUSED_WORDS } from './plantNames.ts';

/** What each figure of a crop is called. */
export const FIGURE_NAMES: Record<FigureKey, string> = table('crops.figure');

/** What a group of figures is headed with. */
export const GROUP_NAMES: Record<FigureGroup, string> = table('crops.group');

/** The answers of a figure that has only some. */
export const ANSWER_NAMES: { [K in OneOfKey]: Record<Figures[K], string> } = table('crops.answer');

/** What is wrong with a crop, by its field, and what to do. */
export const cropProblemWords = (problems: readonly CropProblem[], units: Units): Record<string, string> =>
  Object.fromEntries(problems.map((problem) => [problem.field, sayOf(problem, units)]));

function sayOf(problem: CropProblem, units: Units): string {
  switch (problem.code) {
    case 'nameless':
      return t('crops.giveCropName');
    case 'refused':
      return REFUSED_WORDS[problem.why];
    case 'density':
      return t('crops.enterDensityOverUpMost', {
        MOST_SEEDS_CM2,
        MOST_SEEDS_CM22: Math.round(MOST_SEEDS_CM2 * 6.4516)
      });
    case 'densities-fall':
      return t('crops.sparseMustNotBeMore');
    case 'out-of-bounds': {
      const { bounds, unit } = FIGURES[problem.field];
      return t('crops.fieldMustLieBetweenBounds', {
        field: FIGURE_NAMES[problem.field],
        bounds: shownIn(bounds[0], unit, units),
        bounds2: shownIn(bounds[1], unit, units),
        unit: unitLabel(unitShown(unit, units))
      });
    }
    case 'falls':
      return t('crops.fieldMustBeMoreThan', {
        field: FIGURE_NAMES[problem.field],
        when: problem.strictly ? 'yes' : 'no',
        after: FIGURE_NAMES[problem.after]
      });
  }
}
