import { isSoaked, type Crop } from './crop.ts';

/** Days at 21 °C until a first crop may be cut at the latest. */
const SOON_D = 9;
/** Of a hundred seeds, those that sprout. */
const SPROUTS_PCT = 85;

/** Crops for somebody's first tray: soon cut, sown dry, sprouting well, and seldom mouldy; the soonest first. */
export const easyCrops = (crops: readonly Crop[]): Crop[] =>
  crops
    .filter(
      (crop) =>
        crop.windowOpenD21 <= SOON_D &&
        !isSoaked(crop) &&
        !crop.gelSeed &&
        crop.mouldRisk === 'low' &&
        crop.germinationPct >= SPROUTS_PCT
    )
    .sort((one, other) => one.windowOpenD21 - other.windowOpenD21);
