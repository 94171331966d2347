import { t } from '$messages/t.ts';
import { greensMass, type Units } from '$core/units/format.ts';

/** Less is no harvest, g. */
const LEAST_G = 1;

/** About how much of greens, in words; empty where that is nothing or not known. */
export const aboutGreens = (g: number, units: Units): string =>
  g >= LEAST_G ? t('harvest.about', { mass: greensMass(g >= 10 ? Math.round(g) : g, units) }) : '';
