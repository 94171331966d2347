import type { Crop } from '../crops/crop.ts';
import { holds, useFirst, type LotStock } from '../supplies/seed/lot.ts';
import { beginsAt } from '../sowing/soak.ts';
import type { Ahead, AheadData } from './household.ts';
import type { Line } from './lines.ts';
import { lacksOf, seedNeeds, type SeedDraw, type SeedNeed } from './seedList.ts';

interface Drawn {
  draws: SeedDraw[];
  lotsOf: (crop: Crop) => readonly LotStock[];
}

/** Seed that planned sowings and standing orders still take, and what a household has of it, those lots first that are used first. */
function drawnOf(data: AheadData, { input }: Ahead, out: ReadonlySet<string>): Drawn {
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

/** What has to be bought for what is planned and what standing orders lay. */
export const seedOf = (data: AheadData, ahead: Ahead): SeedNeed[] =>
  needsOf(data, ahead, drawnOf(data, ahead, new Set()));

const needsOf = (data: AheadData, { facts }: Ahead, { draws, lotsOf }: Drawn): SeedNeed[] =>
  seedNeeds(draws, lotsOf, data.now, facts.rhythm.zone.date(data.now).toString());

/** Seed that lines of a proposal would take. */
export interface ProposedSeed {
  /** What of it is not in the cupboard, g by the key of its line. */
  lacks: ReadonlyMap<string, number>;
  /** What is to be bought of those crops, for all that is planned of them. */
  toBuy: readonly SeedNeed[];
}

/** Seed that lines of a proposal would take; nothing for a household that keeps no lots, for nobody counts its seed. */
export function seedOfLines(data: AheadData, ahead: Ahead, lines: readonly Line[]): ProposedSeed {
  if (!ahead.countsSeed || lines.length === 0) return { lacks: new Map(), toBuy: [] };
  const cropOf = new Map(
    ahead.input.growables.flatMap(({ parts }) => parts.map(({ crop }) => [crop.key, crop] as const))
  );
  const out = new Set(lines.flatMap(({ changes }) => changes.flatMap(({ sowingId }) => sowingId ?? [])));
  const more = lines.flatMap(({ key, changes }) =>
    changes.flatMap(({ begin, count, row }) =>
      (begin?.seed ?? []).flatMap(({ cropKey, g }) => {
        const crop = cropOf.get(cropKey);
        return crop ? [{ key, crop, at: row.beginsAt, g: g * count }] : [];
      })
    )
  );
  const wanted = new Set(more.map(({ crop }) => crop.key));
  const { draws: planned, lotsOf } = drawnOf(data, ahead, out);
  const draws = [...planned, ...more];
  const needs = needsOf(data, ahead, { draws, lotsOf }).filter(({ crop }) => wanted.has(crop.key));
  const lacks = new Map<string, number>();
  for (const { crop, haveG } of needs) {
    const short = lacksOf(
      draws.filter((draw) => draw.crop.key === crop.key),
      haveG
    );
    for (const draw of more)
      if (short.has(draw)) lacks.set(draw.key, (lacks.get(draw.key) ?? 0) + short.get(draw)!);
  }
  return { lacks, toBuy: needs.filter(({ buyG }) => buyG > 0) };
}
