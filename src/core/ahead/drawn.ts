import type { Crop } from '../crops/crop.ts';
import { holds, type LotStock } from '../supplies/seed/lot.ts';
import { beginsAt } from '../sowing/soak.ts';
import { useFirst, type Ahead, type AheadData } from './household.ts';
import { seedNeeds, type SeedDraw, type SeedNeed } from './seedList.ts';

/** Seed that a household still draws, and what it has of it in lots, those that are used first first. */
export interface SeedDrawn {
  draws: SeedDraw[];
  lotsOf: (crop: Crop) => readonly LotStock[];
}

/**
 * Seed that planned sowings and standing orders still take out of lots.
 * @param out planned sowings that are left out
 */
export function drawnOf(data: AheadData, { input }: Ahead, out: ReadonlySet<string> = new Set()): SeedDrawn {
  const planned = input.sowings.filter(({ state }) => state.sownAt === null && state.soakedAt === null);
  const draws = planned
    .filter(({ setup }) => !out.has(setup.id))
    .flatMap((sowing): SeedDraw[] =>
      sowing.parts.map(({ crop, seedG }) => ({ crop, at: beginsAt(sowing.soak), g: seedG }))
    );
  // What a planned sowing on the list takes of a lot is counted as taken already: it is given back here.
  const stored = new Set(data.records.map(({ setup }) => setup.id));
  const given = new Map<string, number>();
  for (const sowing of planned)
    if (stored.has(sowing.setup.id))
      for (const { lotId, seedG } of sowing.parts)
        if (lotId) given.set(lotId, (given.get(lotId) ?? 0) + seedG);
  const lots = data.lots.map((lot): LotStock => ({ ...lot, takenG: lot.takenG - (given.get(lot.id) ?? 0) }));
  return {
    draws,
    lotsOf: (crop) => useFirst(lots.filter((lot) => lot.parts === null && holds(lot, crop.key)))
  };
}

/**
 * What has to be bought for what is planned and what standing orders lay.
 * @param more what is only proposed
 */
export function seedOf(
  data: AheadData,
  ahead: Ahead,
  { more = [], out }: { more?: readonly SeedDraw[]; out?: ReadonlySet<string> } = {}
): SeedNeed[] {
  const { draws, lotsOf } = drawnOf(data, ahead, out);
  const today = ahead.facts.rhythm.zone.date(data.now).toString();
  return seedNeeds([...draws, ...more], lotsOf, data.now, today);
}
