import type { NotebookQuery, NotebookRow } from '../../contract/notebook.ts';
import type { Crop } from '../../core/crops/crop.ts';
import { cropOfSowing } from '../../core/sowing/sowing.ts';
import { zoneOf } from '../../core/time/zone.ts';
import { findMethod } from '../../core/supplies/methods/ready.ts';
import type { Tx } from '../db/connection.ts';
import type { HouseholdAccount } from '../households/household.ts';
import { allOfNotebook } from '../notebook/search.ts';
import { csvAnswer, type Cell } from './listCsv.ts';

const COLUMNS = [
  'id',
  'crop',
  'container',
  'count',
  'medium',
  'method',
  'place',
  'seed_g',
  'sown',
  'ended',
  'days',
  'opened_on_day',
  'cut_g',
  'g_per_m2',
  'g_per_g_seed',
  'water_g',
  'eaten_g',
  'thrown_g',
  'lost'
] as const;

const round = (value: number | null, places: number): number | null =>
  value === null ? null : Number(value.toFixed(places));

/** What the notebook holds of a query, as CSV. The rows are gathered first: no connection waits for a slow line. */
export async function listAnswer(
  tx: Tx,
  household: HouseholdAccount,
  query: NotebookQuery,
  ownCrops: readonly Crop[]
): Promise<Response> {
  const zone = zoneOf(household.zone);
  const own = new Map(ownCrops.map((crop) => [crop.key, crop]));
  const day = (at: number | null) => (at === null ? null : zone.date(at).toString());
  const line = (row: NotebookRow): Cell[] => [
    row.id,
    cropOfSowing(row, own).name,
    row.container,
    row.count,
    row.mediumName ?? row.medium,
    findMethod(row.method)?.name ?? row.method,
    row.place,
    row.seedG,
    day(row.sownAt),
    day(row.endedAt),
    round(row.days, 1),
    round(row.openedD, 1),
    row.cutG > 0 ? row.cutG : null,
    round(row.perM2, 0),
    round(row.perSeed, 2),
    row.wateredG > 0 ? row.wateredG : null,
    row.eatenG > 0 ? row.eatenG : null,
    row.thrownG > 0 ? row.thrownG : null,
    row.lost
  ];
  const lines: Cell[][] = [];
  for await (const rows of allOfNotebook(tx, query)) lines.push(...rows.map(line));
  return csvAnswer('notebook.csv', COLUMNS, [lines]);
}
