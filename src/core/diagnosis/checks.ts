import { usualAir } from '../places/air/airAt.ts';
import type { Symptom } from '../symptoms/symptom.ts';
import { DAY } from '../time/zone.ts';
import type { LookFacts } from './facts.ts';

/** Something to find out about a tray that nobody has told Brote. */
export type Check =
  'lift' | 'roots' | 'foot' | 'mist' | 'thermometer' | 'lamp' | 'light' | 'leaves' | 'seed' | 'taste';

/** What would tell most about each sight, most first. */
const CHECKS_OF: Record<Symptom, readonly Check[]> = {
  tails: ['thermometer', 'seed', 'lift'],
  hairs: ['mist', 'foot'],
  mould: ['mist', 'foot'],
  'fallen-dry': ['lift', 'roots', 'thermometer'],
  'fallen-rot': ['foot', 'roots'],
  bent: ['foot', 'roots'],
  stretched: ['light', 'thermometer', 'seed'],
  weak: ['roots', 'thermometer', 'seed'],
  pale: ['light', 'roots', 'thermometer'],
  bleached: ['lamp', 'leaves', 'thermometer'],
  scorched: ['lamp', 'leaves', 'thermometer'],
  hungry: ['roots', 'thermometer', 'leaves'],
  hulls: ['lift', 'foot'],
  patchy: ['seed', 'roots', 'thermometer'],
  'true-leaf': ['taste', 'leaves'],
  'tastes-ready': ['taste', 'leaves'],
  bitter: ['lift', 'thermometer', 'taste'],
  fibrous: ['lift', 'taste']
};

/** What is known already tells nothing new. */
function isKnown(check: Check, { projected: { place, state }, light, now }: LookFacts): boolean {
  switch (check) {
    case 'thermometer':
      return usualAir(place).measured;
    case 'lamp':
      return light.kind !== 'lamp' || (light.distanceCm ?? null) !== null;
    case 'light':
      return light.kind === 'dark';
    case 'lift':
      return state.water.some((fact) => 'grossG' in fact && fact.at > now - DAY);
    default:
      return false;
  }
}

/** The two checks that would tell most of what was seen. */
export function checksFor(sight: Symptom, facts: LookFacts): Check[] {
  const open = CHECKS_OF[sight].filter((check) => !isKnown(check, facts));
  return [...open, ...(['roots', 'lift', 'leaves'] as const).filter((check) => !open.includes(check))].slice(
    0,
    2
  );
}
