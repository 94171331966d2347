import type { Crop } from '../crops/crop.ts';
import type { LightFrom } from '../window/forecast.ts';
import type { Method } from './method.ts';

/** What one crop goes through under one method. */
export interface Path {
  /** What lies on the seed from sowing until it has rooted. */
  cover: 'none' | 'lid' | 'stacked' | 'weight';
  /** Weight on the seed in g per cm2; 0 where nothing presses. */
  pressGCm2: number;
  /** Whether a dark, domed stage follows rooting. */
  blackout: boolean;
  lightFrom: LightFrom;
}

/** Crops that stay dark until they are cut. */
const DARK_TO_THE_END = new Set(['maize-shoot']);

/**
 * The way of a crop under a method: seed that germinates in light is never covered, grasses need no
 * darkness, a crop that bears no weight gets a lid, and maize shoots never see light.
 */
export function pathOf(crop: Crop, method: Method): Path {
  if (crop.germinationLight === 'light')
    return { cover: 'none', pressGCm2: 0, blackout: false, lightFrom: 'sown' };
  const bears = crop.pressMaxGCm2 > 0 && method.pressing !== 'none';
  const cover = !bears ? 'lid' : method.pressing === 'stacked' ? 'stacked' : 'weight';
  const pressGCm2 = cover === 'weight' ? (crop.pressMinGCm2 + crop.pressMaxGCm2) / 2 : 0;
  if (DARK_TO_THE_END.has(crop.key)) return { cover, pressGCm2, blackout: true, lightFrom: null };
  const blackout =
    crop.family !== 'Poaceae' && method.darkness === 'dome' && crop.lightReadyD21 > crop.rootedD21;
  return { cover, pressGCm2, blackout, lightFrom: blackout ? 'lightReady' : 'rooted' };
}
