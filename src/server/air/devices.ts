import { randomBytes } from 'node:crypto';
import { accountOf, type HouseholdAccount, type AccountRow } from '../households/household.ts';
import { outside, type Tx } from '../db/connection.ts';
import { tokenHash } from '../sessions/tokenHash.ts';

/** Something that measures at a place and sends what it reads. */
export interface Device {
  id: string;
  name: string;
  placeId: string;
  createdAt: number;
  /** The last reading that was not taken, and why; null for none. */
  refused: { at: number; say: string } | null;
}

/** The devices of the transaction's household. */
export async function listDevices(tx: Tx): Promise<Device[]> {
  const rows = await tx<
    {
      id: string;
      name: string;
      place_id: string;
      created_at: Date;
      refused_at: Date | null;
      refused: string | null;
    }[]
  >`select id, name, place_id, created_at, refused_at, refused from devices where retired_at is null order by name, id`;
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    placeId: row.place_id,
    createdAt: row.created_at.getTime(),
    refused: row.refused_at ? { at: row.refused_at.getTime(), say: row.refused ?? '' } : null
  }));
}

/**
 * Adds a device, or gives one that is known a new token, name and place; the old token is then worth nothing.
 * @returns the token, which is kept nowhere
 */
export async function addDevice(
  tx: Tx,
  householdId: string,
  { id, name, placeId }: Pick<Device, 'id' | 'name' | 'placeId'>
): Promise<string> {
  const token = `brote_${randomBytes(24).toString('base64url')}`;
  await tx`insert into devices (household_id, id, name, place_id, token_hash)
    values (${householdId}, ${id}, ${name}, ${placeId}, ${tokenHash(token)})
    on conflict (household_id, id) do update set token_hash = excluded.token_hash, name = excluded.name,
      place_id = excluded.place_id, retired_at = null, refused_at = null, refused = null`;
  return token;
}

/** Takes a device's token away; what it measured stays. */
export async function retireDevice(tx: Tx, id: string): Promise<void> {
  await tx`update devices set retired_at = now() where id = ${id}`;
}

/** Notes why a reading was not taken, for the household to see. */
export async function noteRefused(tx: Tx, id: string, at: number, say: string): Promise<void> {
  await tx`update devices set refused_at = ${new Date(at)}, refused = ${say} where id = ${id}`;
}

/** Whose a token is; null for one that is worth nothing. */
export async function openDevice(
  token: string
): Promise<{ household: HouseholdAccount; deviceId: string; deviceName: string; placeId: string } | null> {
  const [row] = await outside(
    (sql) => sql<{ household: AccountRow; device_id: string; device_name: string; place_id: string }[]>`
      select household, device_id, device_name, place_id from open_device(${tokenHash(token)})`
  );
  return row
    ? {
        household: accountOf(row.household),
        deviceId: row.device_id,
        deviceName: row.device_name,
        placeId: row.place_id
      }
    : null;
}
