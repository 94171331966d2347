import { cropList } from './cropNames.ts';
import { t, table } from '$messages/t.ts';
import type { SowingSetup } from '$core/sowing/sowing.ts';
import {
  freeCount,
  type Container,
  type ContainerStock,
  type Shape
} from '$core/supplies/containers/container.ts';
import { lengthFigure, type Units } from '$core/units/format.ts';

const SHAPE_WORDS: Record<Shape, string> = table('containers.shape');

/** A container's inner size in a household's unit: `25 × 18`, or `16` across. */
export function sizeWords({ shape, lengthCm, widthCm }: Omit<Container, 'name'>, units: Units): string {
  const side = (cm: number) => lengthFigure(cm, units);
  return shape === 'round' ? side(lengthCm) : `${side(lengthCm)} × ${side(widthCm)}`;
}

/** What a size that a household has not used yet is called until it is given a better name. */
export const suggestedName = (container: Omit<Container, 'name'>, units: Units): string =>
  t('containers.shapeCellsSize', {
    shape: SHAPE_WORDS[container.shape],
    when: container.shape === 'cells' ? 'yes' : 'no',
    cells: container.shape === 'cells' ? container.cells : '',
    size: sizeWords(container, units),
    when2: units === 'us' ? 'yes' : 'no'
  });

/** Which containers a sowing stands in: so many of that kind, by their numbers where others are alike. */
export function containersWords({
  container,
  count,
  trayNo
}: Pick<SowingSetup, 'container' | 'count' | 'trayNo'>): string {
  const many = count > 1 ? `${count} × ` : '';
  if (trayNo === null) return `${many}${container.name}`;
  return count > 1
    ? t('containers.manyNameTraynoTrayno', {
        many,
        name: container.name,
        trayNo,
        trayNo2: trayNo + count - 1
      })
    : `${container.name} ${trayNo}`;
}

/** What is said where fewer are free than are wanted; null where enough are, or nobody has counted. */
export function notFreeWords(stock: ContainerStock, wanted: number): string | null {
  const free = freeCount(stock);
  if (free === null || wanted <= free) return null;
  const sown = stock.inUse - stock.toClean;
  const stands = [
    ...(sown > 0 ? [t('containers.sownWithSowing', { sown })] : []),
    ...(stock.toClean > 0 ? [t('containers.tocleanBeCleaned', { toClean: stock.toClean })] : []),
    t('containers.valueFreeNow', { free })
  ];
  return t('containers.ownedNameStandsPlanAll', {
    owned: stock.owned ?? 0,
    name: stock.name,
    stands: stands.join(', ')
  });
}

/** What stands in a container, by its crops: `Radish and Kale`. */
export const cropNames = (sowings: readonly { crop: { name: string } }[]): string =>
  cropList(sowings.map(({ crop }) => crop.name));
