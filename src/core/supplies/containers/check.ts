import { problem, type Problem } from '../../problem.ts';
import { SIZE_BOUNDS, type Container } from './container.ts';

export type ContainerField = 'lengthCm' | 'widthCm' | 'depthCm' | 'cells';

/** What is wrong with each size of a container that cannot be; an empty object where all is well. */
export function checkContainer(container: Container): Partial<Record<ContainerField, Problem>> {
  const wrong: Partial<Record<ContainerField, Problem>> = {};
  const check = (
    field: ContainerField,
    of: 'length' | 'diameter' | 'width' | 'depth',
    [low, high]: readonly [number, number]
  ) => {
    const value = container[field];
    if (!Number.isFinite(value) || value < low || value > high)
      wrong[field] = problem('size-out-of-bounds', { of, low, high });
  };
  check('lengthCm', container.shape === 'round' ? 'diameter' : 'length', SIZE_BOUNDS.lengthCm);
  if (container.shape !== 'round') check('widthCm', 'width', SIZE_BOUNDS.lengthCm);
  check('depthCm', 'depth', SIZE_BOUNDS.depthCm);
  const [low, high] = SIZE_BOUNDS.cells;
  const { cells } = container;
  if (container.shape === 'cells' && !(Number.isInteger(cells) && cells >= low && cells <= high))
    wrong.cells = problem('cells-out-of-bounds', { low, high });
  return wrong;
}
