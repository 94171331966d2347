import { percent } from './percent.ts';
import { t, table } from '$messages/t.ts';
import type { Place, PlaceLight } from '$core/places/place.ts';
import type { Load } from '$core/shelf/load.ts';
import { mass, type Units } from '$core/units/format.ts';

const SILLS = table('shelf.sills');

/** A place's light in a few words. */
export function lightWords(light: PlaceLight): string {
  switch (light.kind) {
    case 'lamp':
      return t('shelf.lampHoursHDay', { hours: light.hours });
    case 'sill':
      return t('shelf.aspectMetreBack', { aspect: SILLS[light.aspect], when: light.back ? 'yes' : 'no' });
    case 'dark':
      return t('shelf.dark');
  }
}

/** What stands on a place against its rating. */
export function loadWords({ g, ratedG, state }: Load, units: Units): string {
  if (g === 0 && ratedG === null) return t('shelf.nothingStandsHere');
  if (ratedG === null) return t('shelf.carriesMassNobodyHasSaid', { mass: mass(g, units) });
  const share = percent(g / ratedG);
  const words = t('shelf.carriesMassMassShare', { mass: mass(g, units), mass2: mass(ratedG, units), share });
  if (state === 'over') return t('shelf.wordsTooMuch', { words });
  return state === 'amber' ? t('shelf.wordsNearlyFull', { words }) : `${words}.`;
}

/** How a move shifts a window, in words. */
export function laterWords(laterD: number | null): string {
  if (laterD === null) return t('shelf.doesNotGrowThere');
  const hours = Math.round(laterD * 24);
  if (Math.abs(hours) < 3) return t('shelf.windowAs');
  const size =
    Math.abs(laterD) < 1.25
      ? `${Math.abs(hours)} h`
      : t('shelf.laterdDays', { laterD: Math.abs(laterD).toFixed(1) });
  return t('shelf.windowSizeLaterSooner', { size, when: laterD > 0 ? 'yes' : 'no' });
}

/** Why a tray is not moved to a place, and what to do. */
export const heavyWords = (place: Pick<Place, 'name'>, { g, ratedG }: Load, units: Units): string =>
  t('shelf.nameWouldCarryMassMore', {
    name: place.name,
    mass: mass(g, units),
    mass2: mass(ratedG ?? 0, units)
  });
