import { holds, type LotStock } from '../supplies/seed/lot.ts';
import { beginsAt } from '../sowing/soak.ts';
import type { Millis } from '../time/zone.ts';
import { useFirst, type Ahead, type AheadData } from './household.ts';
import { seedNeeds, type SeedDraw, type SeedNeed } from './seedList.ts';

/** Seed that planned sowings and standing orders still take out of lots, and what has to be bought for them. */
export function seedOf(data: AheadData, { input, facts }: Ahead): SeedNeed[] {
  const planned = input.sowings.filter(({ state }) => state.sownAt === null && state.soakedAt === null);
  const draws = planned.flatMap((sowing): SeedDraw[] =>
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
  const today = (at: Millis): string => facts.rhythm.zone.date(at).toString();
  return seedNeeds(
    draws,
    (crop) => useFirst(lots.filter((lot) => lot.parts === null && holds(lot, crop.key))),
    today(data.now)
  );
}
