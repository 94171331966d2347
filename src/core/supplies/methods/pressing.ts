import type { Path } from './path.ts';

/** What is to lie on one container while its seed roots, and what it bears at least and at most. Grams. */
export interface Pressing {
  eachG: number;
  leastG: number;
  mostG: number;
  containers: number;
}

/**
 * The weight on each container (docs/model.md, 9): the middle of what the crop bears, by its area.
 * @param areaCm2 of all containers together
 * @returns null where nothing presses
 */
export function pressingOf(path: Path, areaCm2: number, containers: number): Pressing | null {
  if (!(path.pressGCm2 > 0)) return null;
  const each = areaCm2 / containers;
  return {
    eachG: path.pressGCm2 * each,
    leastG: path.bearsGCm2[0] * each,
    mostG: path.bearsGCm2[1] * each,
    containers
  };
}

/** Something that weighs it: bottles that a kitchen has, or water poured until the scale says so. */
export type PressThing = { kind: 'bottles'; count: number; litres: number } | { kind: 'water'; g: number };

/** Filled bottles and what each weighs: the water and some 30 g of bottle (starting figures). */
const BOTTLES = [
  { litres: 0.5, g: 530 },
  { litres: 1, g: 1030 },
  { litres: 1.5, g: 1530 }
] as const;
/** More than these do not stand on a tray. */
const MOST_BOTTLES = 6;

/**
 * What to lay on one container. Only a thing whose weight lies within what the crop bears there is named, never one
 * that is heavier; of those the nearest to the middle, and of two alike the fewer. Otherwise it is water to weigh.
 */
export function pressThing({ eachG, leastG, mostG }: Pressing): PressThing {
  let best: { count: number; litres: number; off: number } | null = null;
  for (let count = 1; count <= MOST_BOTTLES; count += 1)
    for (const { litres, g } of BOTTLES) {
      const weight = count * g;
      if (weight < leastG || weight > mostG) continue;
      // Another bottle has to be clearly nearer to be worth fetching.
      const off = Math.abs(weight - eachG) / eachG + 0.05 * count;
      if (!best || off < best.off) best = { count, litres, off };
    }
  return best ? { kind: 'bottles', count: best.count, litres: best.litres } : { kind: 'water', g: eachG };
}
