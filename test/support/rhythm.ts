import type { Place } from '../../src/core/places/place.ts';
import type { Rhythm } from '../../src/core/time/rhythm.ts';
import { zoneOf } from '../../src/core/time/zone.ts';

/** A household that is up from 07:00 to 22:30, with rounds at 07:30 and 20:30. */
export const rhythm = (zone = 'Europe/Madrid'): Rhythm => ({
  zone: zoneOf(zone),
  wakeMin: 420,
  sleepMin: 1350,
  roundsMin: [450, 1230]
});

/** A place under a good lamp at one temperature day and night. */
export const steadyPlace = (dayC: number, nightC = dayC): Place => ({
  id: '00000000-0000-4000-8000-000000000001',
  name: 'Test shelf',
  light: { kind: 'lamp', ppfd: 300, hours: 14 },
  dayC,
  nightC,
  humidityPct: 50,
  movingAir: false
});

/** A moment given as household clock time. */
export const at = (iso: string): number => Date.parse(iso);
