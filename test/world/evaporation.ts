import type { Weather } from './room.ts';

/** What stands over the water: seed under a lid, seed in the open, or leaves that cover a share of the medium. */
export interface Surface {
  covered: boolean;
  /** Share of the medium that leaves cover, 0 to 1. */
  leaves: number;
}

/** Of leaves by day and by night, and of a damp medium's own surface, s/m. */
const LEAF_DAY_SM = 45;
const LEAF_NIGHT_SM = 140;
const MEDIUM_SM = 220;
/** What finds its way out from under a lid. */
const LID_SHARE = 0.05;

/**
 * Water that goes from a surface, mm an hour, by Penman and Monteith's combination: what radiation drives and what dry air
 * draws (FAO Irrigation and Drainage Paper 56, chapter 2).
 */
export function evaporationMmH(
  { tempC, rhPct, netWm2, airSM }: Weather,
  { covered, leaves }: Surface
): number {
  const saturated = 0.6108 * Math.exp((17.27 * tempC) / (tempC + 237.3));
  const slope = (4098 * saturated) / (tempC + 237.3) ** 2;
  const psychrometric = 0.0665;
  const deficit = saturated * (1 - rhPct / 100);
  const from = (surfaceSM: number, wm2: number): number => {
    const drawn = (1.2 * 1013 * deficit) / airSM;
    const flux = (slope * wm2 + drawn) / (slope + psychrometric * (1 + surfaceSM / airSM));
    return (flux / 2.45e6) * 3600;
  };
  const leafSM = netWm2 > 0 ? LEAF_DAY_SM : LEAF_NIGHT_SM;
  const open = leaves * from(leafSM, netWm2) + (1 - leaves) * from(MEDIUM_SM, netWm2 * 0.3);
  return covered ? open * LID_SHARE : open;
}
