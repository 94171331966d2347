import type { Place } from './place.ts';

/** What a place is taken for until somebody says more: a room that is heated by day (starting figures). */
export const USUAL_PLACE = {
  dayC: 21,
  nightC: 18,
  humidityPct: 50,
  movingAir: false
} as const satisfies Partial<Place>;

/** A lamp of which nobody has said how long it burns, in hours a day (starting figure). */
export const USUAL_LAMP_H = 14;

/** A ready-made place: a refrigerator, in which ripe trays and what was cut wait (starting figures). */
export const REFRIGERATOR = {
  light: { kind: 'dark' },
  dayC: 4,
  nightC: 4,
  humidityPct: 85,
  movingAir: false
} as const satisfies Partial<Place>;
