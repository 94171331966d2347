import { hash } from 'ohash';
import { v5 as namedId } from 'uuid';
import { findCrop } from '../../core/crops/library.ts';
import type { PastContainer, PastSowing } from '../../core/notebook/past/pastSowing.ts';
import type { EventBody, SowingEvent } from '../../core/sowing/event.ts';
import { logOf, type SowingRecord } from '../../core/sowing/record.ts';
import type { Assumed } from '../../core/sowing/sowing.ts';
import {
  areaCm2,
  SIZE_BOUNDS,
  type Container,
  type ContainerStock
} from '../../core/supplies/containers/container.ts';
import type { Method } from '../../core/supplies/methods/method.ts';
import { densityOf } from '../../core/supplies/seed/amount.ts';
import type { Crop } from '../../core/crops/crop.ts';
import type { Millis } from '../../core/time/zone.ts';
import type { Units } from '../../core/units/format.ts';
import { suggestedName } from '../../words/containers.ts';

/** What a household's past sowings are completed from. */
export interface PastHome {
  householdId: string;
  memberId: string;
  units: Units;
  method: Method;
  ownCrops: readonly Crop[];
  containers: readonly ContainerStock[];
  /** The ids of its places. */
  placeIds: ReadonlySet<string>;
  /** Where those stood whose list does not say, and what they grew in: null where nobody knows. */
  placeId: string;
  containerId: string | null;
}

/** A past sowing as it is kept, with its events one by one. */
export interface PastRecord extends SowingRecord {
  events: SowingEvent[];
}

/** What people grow in where nothing was said of it and the household has no container yet. */
const USUAL: Container = { shape: 'rectangle', name: '', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 };

/** A past sowing as a record. Its id follows from what its list says of it: the same line is the same sowing whenever it is sent. */
export function pastRecord(home: PastHome, past: PastSowing): PastRecord {
  const id = namedId(hash(past), home.householdId);
  const crop = findCrop(past.cropKey, home.ownCrops)!;
  const known = knownContainer(home, past.container);
  const container = known ?? home.containers[0] ?? named(USUAL, home.units);
  const area = areaCm2(container) * past.count;
  const seedG = past.seedG ?? (area * crop.seedsPerCm2.usual * crop.thousandSeedWeightG) / 1000;
  const assumed: Assumed[] = [
    ...(known ? [] : ['container' as const]),
    ...(past.seedG === null ? ['seed' as const] : [])
  ];
  const events = eventsOf(id, past, home.memberId);
  return {
    setup: {
      id,
      cropKey: past.cropKey,
      mix: null,
      container,
      count: past.count,
      areaShare: 1,
      medium: past.medium ?? home.method.medium,
      mediumId: null,
      method: home.method,
      placeId: past.placeId && home.placeIds.has(past.placeId) ? past.placeId : home.placeId,
      lightPlaceId: null,
      seedsPerCm2: densityOf(crop, area, seedG),
      germinationPct: null,
      seedG,
      lotId: null,
      soakStartAt: null,
      soakEndAt: null,
      sowAt: past.sownAt,
      soakH: null,
      stackOf: null,
      trayNo: null,
      half: null,
      ...(assumed.length > 0 ? { assumed } : {})
    },
    log: logOf(events),
    events
  };
}

const named = (size: Omit<Container, 'name'>, units: Units): Container => ({
  ...size,
  name: suggestedName(size, units)
});

/** What it grew in, as far as its list or the answer for the whole list says; null where neither does. */
function knownContainer(
  { containers, containerId, units }: PastHome,
  said: PastContainer | null
): Container | null {
  const chosen = (id: string | null): Container | null => containers.find((one) => one.id === id) ?? null;
  if (said === null) return chosen(containerId);
  if ('id' in said && said.id) return chosen(said.id) ?? chosen(containerId);
  if (!('lengthCm' in said)) return null;
  const { lengthCm, widthCm } = said;
  const [least] = SIZE_BOUNDS.lengthCm;
  if (widthCm !== null && widthCm >= least)
    return named(
      {
        shape: 'rectangle',
        lengthCm: Math.max(lengthCm, widthCm),
        widthCm: Math.min(lengthCm, widthCm),
        depthCm: 5,
        cells: 1
      },
      units
    );
  return named({ shape: 'round', lengthCm, widthCm: lengthCm, depthCm: 8, cells: 1 }, units);
}

/** What happened, as far as the list says; its container has long been clean. */
function eventsOf(sowingId: string, past: PastSowing, by: string): SowingEvent[] {
  const events: SowingEvent[] = [];
  const add = (at: Millis, body: EventBody) =>
    events.push({ id: namedId(`${body.type} ${events.length}`, sowingId), at, by, taskKey: null, body });
  const { sownAt, openedAt, cutAt, cutG, lost, note } = past;
  add(sownAt, { type: 'sown', waterG: 0 });
  if (note !== null) add(sownAt, { type: 'noted', text: note });
  if (openedAt !== null) add(openedAt, { type: 'looked', cue: 'windowOpen', reached: true });
  const ended = cutAt ?? openedAt ?? sownAt;
  if (lost !== null) add(ended, { type: 'ended', reason: lost });
  // What was cut and not weighed stands as 0 g, which teaches nothing of yields.
  else add(ended, { type: 'cut', grossG: cutG ?? 0, tareG: 0, share: 1, last: true });
  add(ended, { type: 'cleaned', step: 'dry' });
  return events;
}
