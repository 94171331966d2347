import type { Glut } from '$core/ahead/glut.ts';
import { greensMass } from '$core/units/format.ts';
import { dayWords, type Locale } from './time.ts';

/** That more opens in a week than is eaten, in a sentence or two. */
export function glutWords(
  { from, until, g, addedG }: Glut,
  appetiteGD: number,
  now: number,
  locale: Locale
): string {
  const day = (at: number) => dayWords(at, now, locale);
  const mass = (grams: number) => greensMass(grams, locale.units);
  return `With this, about ${mass(g)} open from ${day(from)} to ${day(until)}, ${mass(addedG)} of it from this sowing. You eat about ${mass(appetiteGD)} a day, ${mass(7 * appetiteGD)} in that time.`;
}
