/** Daily light integral of a lamp, mol m-2 d-1, from PPFD in umol m-2 s-1 and hours a day. */
export const lampDli = (ppfd: number, hours: number): number => ppfd * hours * 0.0036;

/** Light that a watt of a grow lamp gives, umol per J, and what an open shelf keeps of it (starting figures). */
const LAMP_UMOL_J = 2.2;
/** A lamp's beam widens by about this much for each cm it hangs away (starting figure). */
const BEAM_SPREAD = 1;

/**
 * PPFD under a lamp of which only its watts and its distance are known, umol m-2 s-1: its light spread over
 * the shelf and a margin that grows with the distance. A rough figure; a meter's own wins.
 * @param shelf lit area at the lamp, in cm
 */
export function lampPpfd(
  watts: number,
  distanceCm: number,
  shelf: { widthCm: number; depthCm: number }
): number {
  const spread = distanceCm * BEAM_SPREAD;
  const litM2 = ((shelf.widthCm + spread) * (shelf.depthCm + spread)) / 10_000;
  return (watts * LAMP_UMOL_J) / litM2;
}

/** Brighter than this and closer than that, a lamp scorches leaves (docs/model.md, 4). */
const SCORCH = { ppfd: 500, distanceCm: 15 } as const;

/** Whether a lamp is likely to scorch what stands under it. */
export const scorches = (lamp: { ppfd: number; distanceCm?: number | null }): boolean =>
  lamp.ppfd > SCORCH.ppfd && (lamp.distanceCm ?? Infinity) < SCORCH.distanceCm;

/**
 * Daily extraterrestrial radiation Ra in MJ m-2 d-1 (FAO Irrigation and Drainage Paper 56, eq. 21 to 25).
 * @param latitudeDeg north positive; polar day and night are handled
 * @param dayOfYear 1 to 366
 */
export function extraterrestrialRadiation(latitudeDeg: number, dayOfYear: number): number {
  const latitude = (latitudeDeg * Math.PI) / 180;
  const season = (2 * Math.PI * dayOfYear) / 365;
  const distance = 1 + 0.033 * Math.cos(season);
  const declination = 0.409 * Math.sin(season - 1.39);
  const sunset = Math.acos(Math.min(1, Math.max(-1, -Math.tan(latitude) * Math.tan(declination))));
  const rise = sunset * Math.sin(latitude) * Math.sin(declination);
  const swing = Math.cos(latitude) * Math.cos(declination) * Math.sin(sunset);
  return ((24 * 60) / Math.PI) * 0.082 * distance * (rise + swing);
}

/** Which way a sill looks, seen from the sun: at midday, from the side (east, west), or turned away. */
export type Aspect = 'midday' | 'side' | 'away';

/** Share of outdoor light that reaches a tray behind the glass (starting figures). */
const SILL_FACTOR: Record<Aspect, number> = { midday: 0.35, side: 0.2, away: 0.08 };

/** Daily light integral on a sill, mol m-2 d-1, under an average sky; a metre back from the glass, half. */
export function sillDli(latitudeDeg: number, dayOfYear: number, aspect: Aspect, back = false): number {
  return (
    extraterrestrialRadiation(latitudeDeg, dayOfYear) *
    0.5 *
    0.45 *
    4.57 *
    SILL_FACTOR[aspect] *
    (back ? 0.5 : 1)
  );
}

/** From this daily light integral on, light no longer holds growth back (starting figure). */
const GOOD_DLI = 10;

/** How light slows the clock, 0.25 to 1, from a daily light integral in mol m-2 d-1. */
export function lightResponse(dli: number): number {
  return Math.min(1, Math.max(0.25, (1 - Math.exp(-dli / 4)) / (1 - Math.exp(-GOOD_DLI / 4))));
}
