import { v5 as namedId } from 'uuid';
import { gatherTaught, type PastTaught } from '../../core/notebook/past/taught.ts';
import type { PastSowing } from '../../core/notebook/past/pastSowing.ts';
import { HOUR } from '../../core/time/zone.ts';
import type { Container } from '../../core/supplies/containers/container.ts';
import { completed, DEFAULT_METHOD, findMethod, isReady } from '../../core/supplies/methods/ready.ts';
import type { Tx } from '../db/connection.ts';
import { factsOf } from '../../core/sowing/household.ts';
import { loadHousehold, type LoadedHousehold } from '../households/loadHousehold.ts';
import { saveContainer, listContainerStock, retireContainer } from '../sowings/containers.ts';
import { insertEvents } from '../sowings/events.ts';
import type { Session } from '../sessions/sessions.ts';
import { derivedOfAll } from './derive.ts';
import { pastRecord, type PastHome, type PastRecord } from './pastRecords.ts';
import { rebuild } from './rebuild.ts';

/** A part of a list, and what stands for what it does not say. */
export interface PastPart {
  sowings: readonly PastSowing[];
  placeId: string;
  containerId: string | null;
}

/** The place where a list says its trays stood, or is taken to, is not the household's. */
export class NoPlace extends Error {
  override readonly name = 'NoPlace';
}

/** @throws NoPlace */
async function homeOf(
  tx: Tx,
  { household, memberId }: Pick<Session, 'household' | 'memberId'>,
  { placeId, containerId }: PastPart
): Promise<{ home: PastHome; loaded: LoadedHousehold }> {
  const [loaded, containers] = await Promise.all([loadHousehold(tx), listContainerStock(tx)]);
  const { places, ownCrops } = loaded;
  if (!places.some(({ id }) => id === placeId)) throw new NoPlace();
  const home = {
    householdId: household.id,
    memberId,
    units: household.units,
    method: completed(findMethod(household.methodKey) ?? DEFAULT_METHOD),
    ownCrops,
    containers,
    placeIds: new Set(places.map(({ id }) => id)),
    placeId,
    containerId
  };
  return { home, loaded };
}

/** What a part of a list would teach, crop by crop. Nothing is written. */
export async function pastTeaches(
  tx: Tx,
  session: Pick<Session, 'household' | 'memberId'>,
  part: PastPart
): Promise<PastTaught[]> {
  const { home, loaded } = await homeOf(tx, session, part);
  const derived = await derivedOfAll(
    tx,
    factsOf(loaded),
    part.sowings.map((past) => pastRecord(home, past))
  );
  return gatherTaught(
    derived.map(({ pace, reliable, yields }, index) => [
      {
        cropKey: part.sowings[index]!.cropKey,
        sowings: 1,
        pace,
        reliable,
        paced: pace || reliable ? 1 : 0,
        yields,
        weighed: yields ? 1 : 0
      }
    ])
  );
}

/**
 * Adds a part of a list of past sowings to the notebook, from where they teach. A part that is sent again adds nothing, so a list
 * that was broken off is sent again from its first part.
 * @returns how many were new
 * @throws NoPlace
 */
export async function takePast(
  tx: Tx,
  session: Pick<Session, 'household' | 'memberId'>,
  part: PastPart
): Promise<number> {
  const { home, loaded } = await homeOf(tx, session, part);
  const records = part.sowings.map((past) => pastRecord(home, past));
  const containers = await containerIds(tx, home, records);
  const rows = records.map(({ setup }) => ({
    id: setup.id,
    crop_key: setup.cropKey,
    container_id: containers.get(sizeOf(setup.container))!,
    count: setup.count,
    medium: setup.medium,
    method_key: setup.method.key,
    method: isReady(setup.method) ? null : setup.method,
    place_id: setup.placeId,
    seeds_per_cm2: setup.seedsPerCm2,
    seed_g: setup.seedG,
    sow_at: new Date(setup.sowAt).toISOString(),
    created_at: new Date(setup.sowAt - HOUR).toISOString(),
    assumed: setup.assumed ?? null
  }));
  const added = await tx<{ id: string }[]>`
    insert into sowings (household_id, id, crop_key, container_id, count, medium, method_key, method, place_id, seeds_per_cm2, seed_g,
      sow_at, created_at, created_by, area_share, tray_no, assumed)
    select ${home.householdId}, r.id, r.crop_key, r.container_id, r.count, r.medium, r.method_key, r.method, r.place_id,
      r.seeds_per_cm2, r.seed_g, r.sow_at, r.created_at, ${home.memberId}, 1, 1, r.assumed
    from jsonb_to_recordset(${tx.json(rows as never)}) as r(id uuid, crop_key text, container_id uuid, count integer, medium text,
      method_key text, method jsonb, place_id uuid, seeds_per_cm2 double precision, seed_g double precision, sow_at timestamptz,
      created_at timestamptz, assumed jsonb)
    on conflict (household_id, id) do nothing
    returning id`;
  const fresh = new Set(added.map(({ id }) => id));
  if (fresh.size === 0) return 0;
  await insertEvents(
    tx,
    home.householdId,
    records.flatMap(({ setup, events }) =>
      fresh.has(setup.id) ? events.map((event) => ({ sowingId: setup.id, event })) : []
    )
  );
  await rebuild(tx, { ids: [...fresh] }, factsOf(loaded));
  return fresh.size;
}

const sizeOf = ({ shape, lengthCm, widthCm, depthCm, cells }: Container): string =>
  [shape, lengthCm, widthCm, depthCm, cells].join('|');

/** The ids of the containers that records stand in, each added once where it is new. One that was only assumed is not offered. */
async function containerIds(
  tx: Tx,
  { householdId, containers }: PastHome,
  records: readonly PastRecord[]
): Promise<ReadonlyMap<string, string>> {
  const ids = new Map(containers.map((one) => [sizeOf(one), one.id]));
  for (const { setup } of records) {
    const size = sizeOf(setup.container);
    if (ids.has(size)) continue;
    const id = await saveContainer(
      tx,
      householdId,
      namedId(`container ${size}`, householdId),
      setup.container
    );
    if (setup.assumed?.includes('container')) await retireContainer(tx, id);
    ids.set(size, id);
  }
  return ids;
}
