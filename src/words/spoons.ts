import { t } from '$messages/t.ts';
import { unitLabel } from './units.ts';
import type { Spoons } from '$core/supplies/seed/spoons.ts';

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/** Spoons as they are said: “about 2¾ tsp”; so little that no spoon measures it is to be weighed. */
export function spoonsWords(spoons: Spoons | null): string {
  return spoons ? t('steps.aboutSpoons', { spoons: spoonFigure(spoons) }) : t('steps.tooLittleSpoonWeigh');
}

/** Spoons or cups as a figure: `2¾ tsp`. */
export function spoonFigure(spoons: Spoons): string {
  const eighths = Math.round(spoons.count * 8);
  const whole = Math.floor(eighths / 8);
  return t('steps.spoons', {
    whole: whole > 0 ? whole : '',
    eighths: EIGHTHS[eighths % 8]!,
    unit: unitLabel(spoons.unit)
  });
}
