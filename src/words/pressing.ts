import { pressThing, type Pressing } from '$core/supplies/methods/pressing.ts';
import { mass, type Units } from '$core/units/format.ts';
import { figure } from '$core/units/format.ts';

/** What to lay on a tray, in things a kitchen has; water on a scale where none of them is right. */
function pressThingWords(pressing: Pressing, units: Units): string {
  const thing = pressThing(pressing);
  if (thing.kind === 'water')
    return `a flat dish on a light board, with water until both weigh ${mass(thing.g, units)}`;
  const size = `${figure(thing.litres)} L`;
  return thing.count === 1
    ? `a filled ${size} bottle on a board`
    : `${thing.count} filled ${size} bottles on a board`;
}

/** The weight a container, its things, and what it never bears. */
export function pressingWords(pressing: Pressing, units: Units): { amount: string; more: string } {
  const each = pressing.containers > 1 ? ' each' : '';
  return {
    amount: `${mass(pressing.eachG, units)}${each}`,
    more: `${pressThingWords(pressing, units)}; never over ${mass(pressing.mostG, units)}${each}`
  };
}
