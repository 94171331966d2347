/** The three shapes people grow in; sizes are inner sizes in cm at the level of the medium. */
export type Shape = 'rectangle' | 'round' | 'cells';

export interface Container {
  shape: Shape;
  name: string;
  /** Rectangle: the longer side. Round: the diameter. Cells: one cell's longer side. */
  lengthCm: number;
  /** Rectangle and cells: the shorter side. Round: not used, equal to the diameter. */
  widthCm: number;
  depthCm: number;
  /** Cells: how many; otherwise 1. */
  cells: number;
  /** What its reservoir holds, mL; null or absent for none. */
  reservoirMl?: number | null;
  /** Empty, g; null or absent while nobody has weighed it. */
  emptyG?: number | null;
}

/** What the reservoirs of a sowing's containers hold, mL; null where they have none. */
export const reservoirMlOf = ({
  container,
  count,
  areaShare
}: {
  container: Container;
  count: number;
  areaShare: number;
}): number | null => (container.reservoirMl ? container.reservoirMl * count * areaShare : null);

/** A kind of container a household keeps. */
export interface ContainerStock extends Container {
  id: string;
  emptyG: number | null;
  /** Whether it has holes. */
  drains: boolean;
  reservoirMl: number | null;
  /** How many there are; null while nobody has counted. */
  owned: number | null;
  /** How many stand under sowings now, or emptied and not clean yet. */
  inUse: number;
  /** How many of those are emptied, and only to be cleaned. */
  toClean: number;
}

/** How many are free; null where nobody has counted. Never under 0: a count can lag behind. */
export const freeCount = ({ owned, inUse }: Pick<ContainerStock, 'owned' | 'inUse'>): number | null =>
  owned === null ? null : Math.max(0, owned - inUse);

/** Bounds within which a size is a kitchen container and not a slip of the finger. */
export const SIZE_BOUNDS = {
  lengthCm: [2, 150],
  depthCm: [0.5, 40],
  cells: [1, 300],
  count: [1, 60]
} as const;

/** Growing area of one container in cm2 (docs/model.md, 1). */
export function areaCm2(container: Pick<Container, 'shape' | 'lengthCm' | 'widthCm' | 'cells'>): number {
  switch (container.shape) {
    case 'rectangle':
      return container.lengthCm * container.widthCm;
    case 'round':
      return Math.PI * (container.lengthCm / 2) ** 2;
    case 'cells':
      return container.cells * container.lengthCm * container.widthCm;
  }
}

/** How wide it looks from the side, in cm; a tray of cells is taken as two rows deep. */
export function frontWidthCm(container: Container): number {
  return container.shape === 'cells'
    ? Math.ceil(container.cells / 2) * (container.lengthCm + 0.6)
    : container.lengthCm;
}
