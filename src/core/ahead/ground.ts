import { hash } from 'ohash';
import { EVENT_TRAITS } from '../sowing/event.ts';
import { readLog, type SowingRecord } from '../sowing/record.ts';
import { leftG } from '../supplies/seed/lot.ts';
import type { AheadData } from './household.ts';

/** What a proposal is worked out from, part by part. */
export const GROUND_PARTS = [
  'sowings',
  'orders',
  'containers',
  'places',
  'appetite',
  'pantry',
  'seed',
  'away'
] as const;
export type GroundPart = (typeof GROUND_PARTS)[number];

/** A fingerprint of each part. Two households in the same state have the same, on a page as on the server. */
export type Ground = Record<GroundPart, string>;

/** What happened to a sowing that a plan depends on: the ids of those events that were not taken back. */
function planned(record: SowingRecord): [string, string[]] {
  const log = readLog(record);
  const undone = new Set(log.flatMap(({ body }) => (body.type === 'undone' ? [body.eventId] : [])));
  const counts = log.filter(({ id, body }) => !undone.has(id) && EVENT_TRAITS[body.type].movesPlan);
  return [record.setup.id, counts.map(({ id }) => id).sort()];
}

const byFirst = <T extends readonly [string, ...unknown[]]>(rows: readonly T[]): T[] =>
  [...rows].sort((a, b) => (a[0] < b[0] ? -1 : a[0] > b[0] ? 1 : 0));

/** The fingerprint of all that a proposal is worked out from. What sensors measure is left out: it moves days little by little. */
export const groundOf = (data: AheadData): Ground => ({
  sowings: hash([byFirst(data.records.map(planned)), [...data.locked].sort()]),
  orders: hash(byFirst(data.orders.map((order) => [order.id, order] as const))),
  containers: hash(
    byFirst(
      data.containers.map(({ id, owned, shape, lengthCm, widthCm, depthCm, cells }) => [
        id,
        [owned, shape, lengthCm, widthCm, depthCm, cells]
      ])
    )
  ),
  places: hash(
    byFirst(
      data.household.places.map(({ id, light, dayC, nightC, humidityPct, widthCm, depthCm, ratedG }) => [
        id,
        [light, dayC, nightC, humidityPct, widthCm, depthCm, ratedG]
      ])
    )
  ),
  appetite: hash([data.eaters, data.tastes, data.variety, data.daysOff]),
  pantry: hash(byFirst(data.inPantry.map(planned))),
  seed: hash(byFirst(data.lots.map((lot) => [lot.id, leftG(lot)] as const))),
  away: hash(data.away)
});

/** The parts in which two differ, in the order of the parts. */
export const changedParts = (one: Ground, other: Ground): GroundPart[] =>
  GROUND_PARTS.filter((part) => one[part] !== other[part]);
