import type { EventBody } from '../events/event.ts';
import type { TaskBody } from './task.ts';

/** The event that ticking a task records; none for a cut, which is weighed. */
export function tickOf(body: TaskBody): EventBody | null {
  switch (body.kind) {
    case 'soak':
      return { type: 'soaked' };
    case 'drain':
      return { type: 'drained' };
    case 'sow':
      return { type: 'sown', waterG: Math.round(body.waterMl) };
    case 'uncover':
      return body.to === 'blackout' ? { type: 'uncovered' } : { type: 'lit' };
    case 'light':
      return { type: 'lit' };
    case 'mist':
      return { type: 'misted', waterG: Math.round(body.waterMl) };
    case 'water':
      return { type: 'watered', waterG: Math.round(body.waterMl) };
    case 'top':
      return { type: 'watered', waterG: Math.round(body.waterMl) };
    case 'turn':
      return { type: 'turned' };
    case 'air':
      return { type: 'aired' };
    case 'cut':
      return null;
  }
}
