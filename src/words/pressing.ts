import { t } from '$messages/t.ts';
import { pressThing, type Pressing } from '$core/supplies/methods/pressing.ts';
import { mass, type Units } from '$core/units/format.ts';
import { figure } from '$core/units/format.ts';

/** The weight a container, and in a sentence things that weigh it and what it never bears. */
export function pressingWords(pressing: Pressing, units: Units): { amount: string; more: string } {
  const several = pressing.containers > 1;
  const each = several ? ` ${t('methods.each')}` : '';
  const thing = pressThing(pressing);
  const limits = { most: mass(pressing.mostG, units), isEach: several ? 'yes' : 'no' } as const;
  return {
    amount: `${mass(pressing.eachG, units)}${each}`,
    more:
      thing.kind === 'water'
        ? t('methods.pressWithWater', { mass: mass(thing.g, units), ...limits })
        : t('methods.pressWithBottles', { count: thing.count, size: `${figure(thing.litres)} L`, ...limits })
  };
}
