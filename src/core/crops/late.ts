import type { Crop } from './crop.ts';

/** What waiting too long does to a crop. */
export type LateCost = 'bitter' | 'tough' | 'sharp';

/** What a crop turns to past its window: seed leaves bitter, stems and blades tough, leaves only sharper. */
export const lateCost = ({ harvestCue, family }: Pick<Crop, 'harvestCue' | 'family'>): LateCost =>
  family === 'Poaceae' || family === 'Fabaceae' || harvestCue === 'tips'
    ? 'tough'
    : harvestCue === 'cotyledon'
      ? 'bitter'
      : 'sharp';
