import { t } from '$messages/t.ts';
import { pressThing, type Pressing } from '$core/supplies/methods/pressing.ts';
import { mass, type Units } from '$core/units/format.ts';
import { figure } from '$core/units/format.ts';

/** What to lay on a tray, in things a kitchen has; water on a scale where none of them is right. */
function pressThingWords(pressing: Pressing, units: Units): string {
  const thing = pressThing(pressing);
  if (thing.kind === 'water') return t('methods.flatDishOnLightBoard', { mass: mass(thing.g, units) });
  const size = `${figure(thing.litres)} L`;
  return t('methods.filledSizeBottleOnBoard', { count: thing.count, size });
}

/** The weight a container, its things, and what it never bears. */
export function pressingWords(pressing: Pressing, units: Units): { amount: string; more: string } {
  const each = pressing.containers > 1 ? ` ${t('methods.each')}` : '';
  return {
    amount: `${mass(pressing.eachG, units)}${each}`,
    more: t('methods.pressthingNeverOverMassEach', {
      pressThing: pressThingWords(pressing, units),
      mass: mass(pressing.mostG, units),
      each
    })
  };
}
