import type { Crop } from '../crops/crop.ts';
import type { Packing, Washing } from '../sowing/event.ts';

/** Washing and spinning costs so many days of keeping; what is packed wet keeps half as long (docs/model.md, 12). */
const WASHED_COST_D = 2;
const WET_SHARE = 0.5;
/** Days that what is frozen or dried keeps (docs/model.md, 12; starting figures). Fresh juice is for the same day. */
const LASTING_D = { frozen: 90, 'frozen-juice': 90, dried: 180 } as const;
const JUICE_D = 1;
/** A bag left open lets greens dry: it is for the next days, whatever the crop (starting figure). */
const OPEN_BAG_D = 2;

/** Days from and to which something is at its best. */
export interface KeepingDays {
  minD: number;
  maxD: number;
}

/** Days that fresh greens keep, by how they are handled: never less than one. */
export function keepingDays(
  { keepsMinD, keepsMaxD }: Pick<Crop, 'keepsMinD' | 'keepsMaxD'>,
  washing: Washing
): KeepingDays {
  const days = (keeps: number): number =>
    Math.max(
      1,
      washing === 'washed' ? keeps - WASHED_COST_D : washing === 'wet' ? Math.floor(keeps * WET_SHARE) : keeps
    );
  return { minD: days(keepsMinD), maxD: days(keepsMaxD) };
}

/** Days that something keeps as it is packed, counted from when it was cut or, frozen, pressed or dried, from then. */
export function packedDays(
  crop: Pick<Crop, 'keepsMinD' | 'keepsMaxD'>,
  packing: Exclude<Packing, 'plate'>,
  washing: Washing
): KeepingDays {
  switch (packing) {
    case 'frozen':
    case 'frozen-juice':
    case 'dried':
      return { minD: LASTING_D[packing], maxD: LASTING_D[packing] };
    case 'juice':
      return { minD: JUICE_D, maxD: JUICE_D };
    case 'open-bag': {
      const { minD, maxD } = keepingDays(crop, washing);
      return { minD: Math.min(minD, OPEN_BAG_D - 1), maxD: Math.min(maxD, OPEN_BAG_D) };
    }
    default:
      return keepingDays(crop, washing);
  }
}

/** Whether it counts from when it was packed so, and not from the cut. */
export const isTurned = (packing: Packing): boolean =>
  packing === 'frozen' || packing === 'frozen-juice' || packing === 'juice' || packing === 'dried';
