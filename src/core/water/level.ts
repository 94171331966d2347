import type { Watered } from './watered.ts';
import type { Millis } from '../time/zone.ts';
import { FULL_SHARE, type Moisture } from './bucket.ts';
import { WaterTrack } from './track.ts';

/** Water in a sowing's medium and reservoir. */
export interface WaterLevel {
  g: number;
  /** Standard deviation of that. */
  sdG: number;
  /** All that medium and reservoir hold. */
  capacityG: number;
  /** What its share is of, g: of all it holds; over a pool, which is there to be gone, of what its medium holds. */
  baseG: number;
  /** How much of that is there, 0 to 1. */
  share: number;
  /** What is left in the reservoir or the pool, 0 to 1; null for none. It empties first, and keeps the medium damp. */
  reservoirShare: number | null;
  /** Whether that is a pool in the tray underneath. */
  isPool: boolean;
}

/** What fills a level up as far as it is ever filled, g; nothing where it is fuller. */
export const lacksG = ({ g, capacityG }: Pick<WaterLevel, 'g' | 'capacityG'>): number =>
  Math.max(0, capacityG * FULL_SHARE - g);

const tracks = new WeakMap<Watered, WaterTrack>();

/** The water of a sowing through all that happened; sowing once. */
export function trackOf(sowing: Watered): WaterTrack {
  let track = tracks.get(sowing);
  if (!track) tracks.set(sowing, (track = new WaterTrack(sowing, sowing.thirst)));
  return track;
}

/**
 * Water in the medium at a moment: filled at sowing, lost by what lies over it and the air around it,
 * corrected by every look, weighing and watering (docs/model.md, 6).
 * @param at may lie ahead: then with nothing given until then
 */
export function waterAt(sowing: Watered, at: Millis): WaterLevel {
  const track = trackOf(sowing);
  const { g, sdG } = track.at(at);
  const full = track.fullG(at);
  const below = track.belowG(at);
  const isPool = track.reservoirG === 0 && below > 0;
  const baseG = isPool ? track.mediumG : full;
  return {
    g,
    sdG,
    capacityG: full,
    baseG,
    share: baseG > 0 ? Math.min(1, g / baseG) : 0,
    reservoirShare: below > 0 ? Math.max(0, g - track.mediumG) / below : null,
    isPool
  };
}

const DAMPNESS: readonly Moisture[] = ['dry', 'right', 'wet'];

/** What a medium can be told to look and feel like at a moment: over a pool, that water still stands there as well. */
export const moisturesAt = (sowing: Watered, at: Millis): readonly Moisture[] =>
  waterAt(sowing, at).isPool ? [...DAMPNESS, 'standing'] : DAMPNESS;
