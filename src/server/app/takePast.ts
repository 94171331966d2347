import { v5 as namedId } from 'uuid';
import { findCrop } from '../../core/crops/library.ts';
import type { PastSowing } from '../../core/notebook/pastCsv.ts';
import type { Place } from '../../core/places/place.ts';
import type { EventBody, SowingEvent } from '../../core/sowing/event.ts';
import type { SowingSetup } from '../../core/sowing/sowing.ts';
import { areaCm2, SIZE_BOUNDS, type Container } from '../../core/supplies/containers/container.ts';
import { completed, DEFAULT_METHOD, findMethod } from '../../core/supplies/methods/ready.ts';
import { densityOf } from '../../core/supplies/seed/amount.ts';
import { HOUR, type Millis } from '../../core/time/zone.ts';
import { suggestedName } from '../../words/containers.ts';
import type { Tx } from '../db/connection.ts';
import { ownCropsOf } from '../crops/ownCrops.ts';
import type { Household } from '../households/household.ts';
import { listPlaces } from '../households/places.ts';
import { insertEvents } from '../sowings/events.ts';
import { listContainers } from '../sowings/containers.ts';
import { addSowing } from '../sowings/sowings.ts';
import { rebuild } from './rebuild.ts';

/** What people grow in where nothing was said of it and the household has no container yet. */
const USUAL: Container = { shape: 'rectangle', name: '', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 };

/** Past sowings cannot be taken where nobody has said yet where trays stand. */
export class NoPlace extends Error {
  override readonly name = 'NoPlace';
}

/**
 * Keeps sowings of before Brote, so that they stand in the notebook and teach its forecasts. Each has an id of what it says:
 * taking the same list twice adds nothing.
 * @returns how many were new
 * @throws NoPlace where the household has no place
 */
export async function takePast(
  tx: Tx,
  household: Household,
  memberId: string,
  past: readonly PastSowing[]
): Promise<number> {
  const [places, containers, own] = await Promise.all([listPlaces(tx), listContainers(tx), ownCropsOf(tx)]);
  const [place] = places;
  if (!place) throw new NoPlace();
  const ids = past.map((one) => namedId(JSON.stringify(one), household.id));
  const known = new Set(
    ids.length > 0
      ? (await tx<{ id: string }[]>`select id from sowings where id in ${tx(ids)}`).map(({ id }) => id)
      : []
  );
  const fresh = [...new Map(past.map((one, index) => [ids[index]!, one]))].filter(([id]) => !known.has(id));
  for (const [id, one] of fresh) {
    const setup = setupOf(id, one, { household, places, container: containers[0] ?? null, own });
    await addSowing(tx, household.id, setup, {
      memberId,
      at: one.sownAt - HOUR,
      containerId: namedId(`container ${JSON.stringify(setup.container)}`, household.id)
    });
    await insertEvents(
      tx,
      household.id,
      eventsOf(id, one, memberId).map((event) => ({ sowingId: id, event }))
    );
  }
  const added = fresh.map(([id]) => id);
  for (let from = 0; from < added.length; from += 100)
    await rebuild(tx, { ids: added.slice(from, from + 100) });
  return added.length;
}

function setupOf(
  id: string,
  past: PastSowing,
  {
    household,
    places,
    container: usual,
    own
  }: {
    household: Household;
    places: readonly Place[];
    container: Container | null;
    own: Parameters<typeof findCrop>[1];
  }
): SowingSetup {
  const crop = findCrop(past.cropKey, own)!;
  const container = containerOf(past, usual, household);
  const area = areaCm2(container);
  const seedG = past.seedG ?? (area * crop.seedsPerCm2.usual * crop.thousandSeedWeightG) / 1000;
  const method = findMethod(household.methodKey) ?? DEFAULT_METHOD;
  const place = places.find(({ name }) => name.toLowerCase() === past.place?.toLowerCase()) ?? places[0]!;
  return {
    id,
    cropKey: past.cropKey,
    mix: null,
    container,
    count: 1,
    areaShare: 1,
    medium: past.medium ?? method.medium,
    mediumId: null,
    method: completed(method),
    placeId: place.id,
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
    half: null
  };
}

/** The size that the list says, or that the household grows in most. */
function containerOf(
  { lengthCm, widthCm }: PastSowing,
  usual: Container | null,
  { units }: Household
): Container {
  const [least, most] = SIZE_BOUNDS.lengthCm;
  const fits = (cm: number | null): cm is number => cm !== null && cm >= least && cm <= most;
  const base = usual ?? USUAL;
  if (!fits(lengthCm)) return base.name === '' ? { ...base, name: suggestedName(base, units) } : base;
  const size: Omit<Container, 'name'> = fits(widthCm)
    ? {
        shape: 'rectangle',
        lengthCm: Math.max(lengthCm, widthCm),
        widthCm: Math.min(lengthCm, widthCm),
        depthCm: 5,
        cells: 1
      }
    : { shape: 'round', lengthCm, widthCm: lengthCm, depthCm: 8, cells: 1 };
  return { ...size, name: suggestedName(size, units) };
}

/** What happened, as far as the list says; its container has long been clean. */
function eventsOf(sowingId: string, past: PastSowing, by: string): SowingEvent[] {
  const events: SowingEvent[] = [];
  const add = (at: Millis, body: EventBody) =>
    events.push({ id: namedId(`${body.type} ${events.length}`, sowingId), at, by, taskKey: null, body });
  const { sownAt, openedAt, cutAt, cutG, lost, note } = past;
  add(sownAt, { type: 'sown', waterG: 0 });
  if (openedAt !== null) add(openedAt, { type: 'looked', cue: 'windowOpen', reached: true });
  if (note !== null) add(sownAt, { type: 'noted', text: note.slice(0, 2000) });
  const ended = cutAt ?? openedAt ?? sownAt;
  if (lost !== null) add(ended, { type: 'ended', reason: lost });
  else if (cutAt !== null && cutG !== null)
    add(cutAt, { type: 'cut', grossG: cutG, tareG: 0, share: 1, last: true });
  else add(ended, { type: 'ended', reason: 'other' });
  add(ended, { type: 'cleaned', step: 'dry' });
  return events;
}
