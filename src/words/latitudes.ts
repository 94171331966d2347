import { table } from '$messages/t.ts';

const CITIES = table('household.nearCity');

/** Degrees north by cities there. */
const DEGREES = {
  tromso: 70,
  reykjavik: 64,
  oslo: 60,
  edinburgh: 56,
  london: 52,
  paris: 49,
  milan: 45,
  rome: 42,
  madrid: 40,
  athens: 38,
  tokyo: 35,
  cairo: 29,
  mexicoCity: 19,
  bogota: 2,
  lima: -10,
  saoPaulo: -25,
  buenosAires: -34,
  melbourne: -38,
  christchurch: -43
} as const satisfies Record<keyof typeof CITIES, number>;

/** Somewhere near, for who does not know the latitude: how strong daylight is differs little within a few degrees. */
export const LATITUDES: readonly { name: string; deg: number }[] = Object.entries(DEGREES).map(
  ([city, deg]) => ({
    get name() {
      return CITIES[city as keyof typeof DEGREES];
    },
    deg
  })
);
