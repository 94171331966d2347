import type { EventBody } from '../sowing/event.ts';
import { isBenchStep, type StepBody, type StepKind } from './step.ts';

const mL = (amount: number): number => Math.round(amount);
const dose = (amount: number): number => Math.round(amount * 10) / 10;
const withPeroxide = (peroxideMl: number) => (peroxideMl > 0 ? { peroxideMl: dose(peroxideMl) } : {});

/** The event that ticking a step records, wherever it is ticked; null for what is weighed or asks for no tick. */
export function ticked(body: StepBody): EventBody | null {
  switch (body.kind) {
    case 'soak':
      return { type: 'soaked' };
    case 'drain':
      return { type: 'drained' };
    case 'sow':
      return { type: 'sown', waterG: mL(body.onWaterMl) };
    case 'mist':
      return body.first
        ? { type: 'prepared', step: 'mist' }
        : { type: 'misted', waterG: mL(body.waterMl), ...withPeroxide(body.peroxideMl) };
    case 'uncover':
      return body.to === 'blackout' ? { type: 'uncovered' } : { type: 'lit' };
    case 'light':
      return { type: 'lit' };
    case 'water': {
      if (body.waterMl === null) return null;
      const given = { waterG: mL(body.waterMl), ...withPeroxide(body.peroxideMl) };
      return body.feed
        ? { type: 'fed', feedMl: dose(body.feed.mL ?? 0), ...given }
        : { type: 'watered', ...given };
    }
    case 'turn':
      return { type: 'turned' };
    case 'air':
      return { type: 'aired' };
    case 'weigh':
    case 'rinse':
    case 'disinfect':
    case 'rinse-off':
    case 'fill':
    case 'damp':
    case 'cover':
    case 'press':
      return { type: 'prepared', step: body.kind };
    case 'dry':
    case 'cut':
    case 'wash':
    case 'keep':
    case 'clean':
      return null;
  }
}

/** Steps that bench and round both ask for: ticked in one, they are done in the other. */
const SHARED: readonly StepKind[] = ['soak', 'drain', 'sow'];

/** Names a step that is done once in a sowing, for whoever ticks it. */
export const keyOf = (kind: StepKind): string =>
  isBenchStep(kind) && !SHARED.includes(kind) ? `bench:${kind}` : kind;
