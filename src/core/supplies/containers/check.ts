import { SIZE_BOUNDS, type Container } from './container.ts';

export type ContainerField = 'lengthCm' | 'widthCm' | 'depthCm' | 'cells';

/**
 * Says of each size of a container that cannot be what is wrong and what to do; an empty object where all
 * is well. Used by the form and by the server alike.
 */
export function checkContainer(container: Container): Partial<Record<ContainerField, string>> {
  const wrong: Partial<Record<ContainerField, string>> = {};
  const check = (field: ContainerField, name: string, [low, high]: readonly [number, number]) => {
    const value = container[field];
    if (!Number.isFinite(value) || value < low || value > high)
      wrong[field] =
        `${name} must be between ${low} and ${high} cm: measure the inside, where the medium lies.`;
  };
  check('lengthCm', container.shape === 'round' ? 'Diameter' : 'Length', SIZE_BOUNDS.lengthCm);
  if (container.shape !== 'round') check('widthCm', 'Width', SIZE_BOUNDS.lengthCm);
  check('depthCm', 'Depth', SIZE_BOUNDS.depthCm);
  const [fewest, most] = SIZE_BOUNDS.cells;
  if (
    container.shape === 'cells' &&
    !(Number.isInteger(container.cells) && container.cells >= fewest && container.cells <= most)
  )
    wrong.cells = `A cell tray has between ${fewest} and ${most} cells: count them.`;
  return wrong;
}
