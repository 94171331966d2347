import type { Place, PlaceLight } from '$core/places/place.ts';
import type { Load } from '$core/shelf/load.ts';
import { mass, type Units } from '$core/units/format.ts';

const SILLS = { midday: 'bright sill', side: 'half-bright sill', away: 'dim sill' };

/** A place's light in a few words. */
export function lightWords(light: PlaceLight): string {
  switch (light.kind) {
    case 'lamp':
      return `lamp, ${light.hours} h a day`;
    case 'sill':
      return `${SILLS[light.aspect]}${light.back ? ', a metre back' : ''}`;
    case 'dark':
      return 'dark';
  }
}

/** What stands on a place against its rating. */
export function loadWords({ g, ratedG, state }: Load, units: Units): string {
  if (g === 0 && ratedG === null) return 'Nothing stands here.';
  if (ratedG === null) return `Carries ${mass(g, units)}. Nobody has said what it is rated for.`;
  const share = `${Math.round((g / ratedG) * 100)} %`;
  const words = `Carries ${mass(g, units)} of ${mass(ratedG, units)}, ${share}`;
  if (state === 'over') return `${words}: too much.`;
  return state === 'amber' ? `${words}: nearly full.` : `${words}.`;
}

/** How a move shifts a window, in words. */
export function laterWords(laterD: number | null): string {
  if (laterD === null) return 'does not grow there';
  const hours = Math.round(laterD * 24);
  if (Math.abs(hours) < 3) return 'window as it is';
  const size = Math.abs(laterD) < 1.25 ? `${Math.abs(hours)} h` : `${Math.abs(laterD).toFixed(1)} days`;
  return `window ${size} ${laterD > 0 ? 'later' : 'sooner'}`;
}

/** Why a tray is not moved to a place, and what to do. */
export const heavyWords = (place: Pick<Place, 'name'>, { g, ratedG }: Load, units: Units): string =>
  `${place.name} would carry ${mass(g, units)}, more than the ${mass(ratedG ?? 0, units)} it is rated for: the tray was left where it stood. If you have checked that it carries more, say so on the Shelf.`;
