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
    case 'weight':
      return { type: 'pressed' };
    case 'spray':
      return { type: 'sprayed', name: body.name, waterG: mL(body.waterMl) };
    case 'uncover':
      return body.to === 'blackout' ? { type: 'uncovered' } : { type: 'lit' };
    case 'light':
      return { type: 'lit' };
    case 'water': {
      if (body.waterMl === null) return null;
      const given = {
        waterG: mL(body.staysMl ?? body.waterMl),
        ...(body.staysMl === null ? {} : { through: true as const }),
        ...withPeroxide(body.peroxideMl)
      };
      return body.feed
        ? { type: 'fed', feedMl: dose(body.feed.mL ?? 0), ...given }
        : { type: 'watered', ...given };
    }
    case 'unshade':
      return { type: 'unshaded' };
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

/**
 * What watering records where some still stood: that it was seen, and the less that was given once it was poured off, be it
 * none.
 * @returns null where nothing could stand
 */
export function tickedIfStood(body: StepBody): EventBody[] | null {
  if (body.kind !== 'water' || body.ifStoodMl === null || body.waterMl === null) return null;
  const part = body.waterMl > 0 ? Math.min(1, body.ifStoodMl / body.waterMl) : 0;
  const given = ticked({
    ...body,
    waterMl: body.waterMl * part,
    feed: body.feed && { ...body.feed, mL: body.feed.mL === null ? null : body.feed.mL * part },
    peroxideMl: body.peroxideMl * part
  });
  return [{ type: 'felt', moisture: 'standing' }, ...(given ? [given] : [])];
}

/** Steps that bench and round both ask for: ticked in one, they are done in the other. */
const SHARED: readonly StepKind[] = ['soak', 'drain', 'sow'];

/** Names a step that is done once in a sowing, for whoever ticks it. */
export const keyOf = (kind: StepKind): string =>
  isBenchStep(kind) && !SHARED.includes(kind) ? `bench:${kind}` : kind;
