import type { Millis } from '../time/zone.ts';
import { lampDli, lightResponse, sillDli, type Aspect } from './light.ts';

export type PlaceLight =
  | {
      kind: 'lamp';
      ppfd: number;
      hours: number;
      /** Where the PPFD was worked out from the lamp's label. */
      watts?: number | null;
      /** From the lamp to the trays; null where nobody has measured it. */
      distanceCm?: number | null;
    }
  | { kind: 'sill'; aspect: Aspect; back: boolean }
  /** A cupboard or a covered shelf: for soaking, rooting and blackout. */
  | { kind: 'dark' };

/** Where trays stand, with its usual warmth, air and light. */
export interface Place {
  id: string;
  name: string;
  light: PlaceLight;
  dayC: number;
  nightC: number;
  humidityPct: number;
  movingAir: boolean;
  /** Its board, for drawing it to scale and for what fits; null where nobody has measured it. */
  widthCm?: number | null;
  depthCm?: number | null;
  /** What it is rated to carry, g; null where that is not known. */
  ratedG?: number | null;
  /** Somebody has looked at the rating and says that it holds. */
  ratingSure?: boolean;
  /** What was said of its air before that was changed, ascending; null or absent for never. It held until then. */
  usualBefore?: readonly SaidBefore[] | null;
  /**
   * How far the household's own figures count again, 0 to 1, since its sensor fell silent; absent for not at all.
   */
  ownShare?: number;
  /** What was measured there of late, as `packAir` makes it; the usual day and night stand in where nothing was. */
  air?: string | null;
}

/** What was said of a place's air, and until when that held. */
export interface SaidBefore {
  until: Millis;
  dayC: number;
  nightC: number;
  humidityPct: number;
}

/** What was said of a place's air, as it held at a moment: what is changed holds from then on (docs/model.md, 3). */
export const saidAt = (place: Place, at: Millis): Pick<SaidBefore, 'dayC' | 'nightC' | 'humidityPct'> =>
  place.usualBefore?.find(({ until }) => at < until) ?? place;

/** So many changes are remembered: nothing that stands is older. */
const MOST_BEFORE = 30;

/** What was said of a place until now, where another is said from now on; as it was where nothing changes. */
export function changedUsual(before: Place, after: Place, now: Millis): readonly SaidBefore[] | null {
  const { dayC, nightC, humidityPct, usualBefore = null } = before;
  if (dayC === after.dayC && nightC === after.nightC && humidityPct === after.humidityPct) return usualBefore;
  return [...(usualBefore ?? []), { until: now, dayC, nightC, humidityPct }].slice(-MOST_BEFORE);
}

/** A shelf's board where nobody has measured it, in cm (starting figures). */
const USUAL_BOARD_CM = { widthCm: 80, depthCm: 35 } as const;

/** The board of a place in cm. */
export const boardOf = ({ widthCm, depthCm }: Place): { widthCm: number; depthCm: number } => ({
  widthCm: widthCm ?? USUAL_BOARD_CM.widthCm,
  depthCm: depthCm ?? USUAL_BOARD_CM.depthCm
});

/** Hours of a day that the usual day temperature stands for. */
export const DAY_HOURS = 16;

/** Mean temperature of a place over 24 h, degC. */
export const meanTempC = (place: Pick<Place, 'dayC' | 'nightC'>): number =>
  (place.dayC * DAY_HOURS + place.nightC * (24 - DAY_HOURS)) / 24;

/** Daily light integral here on a day of the year, mol m-2 d-1. */
export function placeDli({ light }: Place, latitudeDeg: number, dayOfYear: number): number {
  if (light.kind === 'dark') return 0;
  return light.kind === 'lamp'
    ? lampDli(light.ppfd, light.hours)
    : sillDli(latitudeDeg, dayOfYear, light.aspect, light.back);
}

/** What a sheet of paper or a thin cloth in front of it lets through of a sill's light (starting figure). */
const SHADE_LEAVES = 0.3;

/** The same with the sun of a sill kept off; elsewhere as it is. */
export const shadedResponses = (place: Place, latitudeDeg: number): ((dayOfYear: number) => number) =>
  lightResponses(place, latitudeDeg, SHADE_LEAVES);

/**
 * How light slows the clock here, by the day of the year.
 * @param leaves share of a sill's light that reaches the tray
 */
export function lightResponses(
  { light }: Place,
  latitudeDeg: number,
  leaves = 1
): (dayOfYear: number) => number {
  if (light.kind === 'sill') {
    const year = sillYear(latitudeDeg, light.aspect, light.back, leaves);
    return (day) =>
      (year[day] ??= lightResponse(leaves * sillDli(latitudeDeg, day, light.aspect, light.back)));
  }
  const always = lightResponse(light.kind === 'lamp' ? lampDli(light.ppfd, light.hours) : 0);
  return () => always;
}

const sillYears = new Map<string, number[]>();
/** More sills than a server's households have latitudes and windows would be needed to fill this. */
const MOST_SILLS = 2000;

/** Every forecast on a sill asks for the same days of the same year: worked out once. */
function sillYear(latitudeDeg: number, aspect: Aspect, back: boolean, leaves: number): number[] {
  const key = `${latitudeDeg}|${aspect}|${back}|${leaves}`;
  let year = sillYears.get(key);
  if (!year) {
    if (sillYears.size >= MOST_SILLS) sillYears.clear();
    sillYears.set(key, (year = []));
  }
  return year;
}
