import { DAY, HOUR, type Millis } from '../../src/core/time/zone.ts';
import type { Chance } from '../../src/server/demo/chance.ts';

/** The air and light over a tray, as they truly are. */
export interface Weather {
  tempC: number;
  rhPct: number;
  /** What plants take up of the lamp's light, W/m2. */
  netWm2: number;
  /** Resistance of the air to vapour, s/m: less where it moves. */
  airSM: number;
}

/** A kitchen of its own: a mean that people keep, a swing over the day, spells that come and go. */
export interface Room {
  meanC: number;
  swingC: number;
  rhPct: number;
  fan: boolean;
  at(moment: Millis): Weather;
}

const LAMP_FROM_H = 7;
const LAMP_HOURS = 14;
const LAMP_WM2 = 45;

export function roomOf(chance: Chance, from: Millis, days: number): Room {
  const meanC = 16 + chance.uniform() * 12;
  const swingC = 1 + chance.uniform() * 2.5;
  const rhPct = 38 + chance.uniform() * 26;
  const fan = chance.uniform() < 0.25;
  // Spells: each day remembers most of the one before.
  const spells: { warmC: number; rhPct: number }[] = [];
  let [warmC, damp] = [0, 0];
  for (let day = 0; day <= days; day += 1) {
    warmC = 0.7 * warmC + chance.normal(0.7);
    damp = 0.7 * damp + chance.normal(4);
    spells.push({ warmC, rhPct: damp });
  }
  return {
    meanC,
    swingC,
    rhPct,
    fan,
    at(moment) {
      const spell = spells[Math.min(days, Math.max(0, Math.floor((moment - from) / DAY)))]!;
      const hour = ((moment / HOUR) % 24) + 0;
      const tempC = meanC + spell.warmC + swingC * Math.sin(((hour - 9) / 24) * 2 * Math.PI);
      const lit = hour >= LAMP_FROM_H && hour < LAMP_FROM_H + LAMP_HOURS;
      return {
        tempC,
        // The same vapour in warmer air is drier air.
        rhPct: Math.min(95, Math.max(15, rhPct + spell.rhPct - 2.2 * (tempC - meanC))),
        netWm2: lit ? LAMP_WM2 : 0,
        airSM: fan ? 45 : 75
      };
    }
  };
}
