import type { Container } from './container.ts';

type Size = Pick<Container, 'shape' | 'lengthCm' | 'widthCm' | 'depthCm' | 'cells'>;

/** A size as it is kept and compared: a round pot is as wide as it is long, and what is no cell tray is one. */
export const sizeOf = ({ shape, lengthCm, widthCm, depthCm, cells }: Size): Size => ({
  shape,
  lengthCm,
  widthCm: shape === 'round' ? lengthCm : widthCm,
  depthCm,
  cells: shape === 'cells' ? cells : 1
});

/** The same for any two of one shape and size, whatever they are called. */
export const sizeKey = (size: Size): string => Object.values(sizeOf(size)).join(' ');

/** Whether two are of one shape and size, and so one container to a household. */
export function isSameSize(a: Size, b: Size): boolean {
  const [one, other] = [sizeOf(a), sizeOf(b)];
  return (Object.keys(one) as (keyof Size)[]).every((figure) => one[figure] === other[figure]);
}

/** The container of that shape and size among those a household has. */
export const ofSize = <C extends Size>(size: Size, among: readonly C[]): C | undefined =>
  among.find((one) => isSameSize(one, size));

/** Whether a name is that of a container of another size: two sizes of one name cannot be told apart. */
export const isNameOfAnother = (container: Container, among: readonly Container[]): boolean =>
  among.some((one) => foldedName(one.name) === foldedName(container.name) && !isSameSize(one, container));

const foldedName = (name: string): string => name.normalize('NFKC').trim().toLowerCase();

const IN = 2.54;
const size = (lengthCm: number, widthCm: number, more: Partial<Size> = {}): Size => ({
  shape: 'rectangle',
  lengthCm,
  widthCm,
  depthCm: 5,
  cells: 1,
  ...more
});

/** Sizes that are common where people measure in centimetres, and where they measure in inches; inner sizes. */
export const COMMON_SIZES = {
  metric: [size(25, 18), size(30, 20), size(54, 28), size(16, 16, { shape: 'round', depthCm: 8 })],
  us: [
    size(20 * IN, 10 * IN, { depthCm: 2 * IN }),
    size(10 * IN, 10 * IN, { depthCm: 2 * IN }),
    size(5 * IN, 5 * IN, { depthCm: 2 * IN }),
    size(6 * IN, 6 * IN, { shape: 'round', depthCm: 3 * IN })
  ]
} as const;
