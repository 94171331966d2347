import { isZone } from '../../contract/schemas/household.ts';
import { isKey, nameKey } from '../../contract/text.ts';
import { DEFAULT_METHOD } from '../../core/supplies/methods/ready.ts';
import { likelyLatitude } from './latitude.ts';
import { faultOf } from '../data/faultOf.ts';
import { note } from '../data/sound.ts';
import type { HouseholdSettings } from '../../core/sowing/household.ts';
import type { Units } from '../../core/units/format.ts';
import type { Tx } from '../db/connection.ts';

/** A household's settings with what only the server knows of it. Nothing secret: it is sent to the browser. */
export interface HouseholdAccount extends HouseholdSettings {
  id: string;
  demo: boolean;
  /** How far its clock is ahead of the machine's: 0 for all but the demo. */
  clockAheadMs: number;
}

/** Columns of `households` as the database gives them. */
export interface AccountRow {
  household_id: string;
  name: string;
  zone: string;
  units: Units;
  latitude_deg: number;
  wake_min: number;
  sleep_min: number;
  rounds_min: number[];
  method_key: string;
  demo: boolean;
  clock_ahead_ms: string | number;
}

/** When a household wakes, sleeps and looks after its trays until it says otherwise. */
export const USUAL_DAY = { wakeMin: 420, sleepMin: 1350, roundsMin: [450, 1230] };

const faultOfHousehold = (row: AccountRow): string | null => faultOf('households', { ...row }, null);

/** An account from its row. Settings that cannot be read go by what is usual. */
export function accountOf(row: AccountRow): HouseholdAccount {
  const { zone, latitude_deg: latitude, clock_ahead_ms: ahead } = row;
  const rest = { id: row.household_id, name: row.name, demo: row.demo, clockAheadMs: Number(ahead) };
  if (faultOfHousehold(row) !== null)
    return {
      ...rest,
      ...USUAL_DAY,
      zone: isZone(zone) ? zone : 'UTC',
      units: row.units === 'us' ? 'us' : 'metric',
      latitudeDeg: Math.abs(latitude) <= 90 ? latitude : likelyLatitude(zone),
      methodKey: isKey(row.method_key) ? row.method_key : DEFAULT_METHOD.key
    };
  return {
    ...rest,
    zone,
    units: row.units,
    latitudeDeg: latitude,
    wakeMin: row.wake_min,
    sleepMin: row.sleep_min,
    roundsMin: row.rounds_min,
    methodKey: row.method_key
  };
}

/** The household's time now: the real one, but for the demo's moved clock. */
export const householdNow = (household: HouseholdAccount): number =>
  Date.now() + (household.demo ? household.clockAheadMs : 0);

/** Whether a write failed for a name that another household has. */
export const isNameTaken = (error: unknown): boolean => (error as { code?: string }).code === '23505';

/**
 * Adds a household. The transaction must have been opened for its id.
 * @param currency what it pays in; euros if not given
 */
export async function addHousehold(
  tx: Tx,
  household: HouseholdSettings & { id: string; passphraseHash: string },
  currency?: string
): Promise<void> {
  await tx`insert into households (household_id, name, name_key, zone, units, passphrase_hash, latitude_deg,
      wake_min, sleep_min, rounds_min, method_key)
    values (${household.id}, ${household.name}, ${nameKey(household.name)}, ${household.zone}, ${household.units},
      ${household.passphraseHash}, ${household.latitudeDeg}, ${household.wakeMin}, ${household.sleepMin},
      ${[...household.roundsMin]}, ${household.methodKey})`;
  // The application may change a currency, not insert one.
  if (currency !== undefined)
    await tx`update households set currency = ${currency} where household_id = ${household.id}`;
}

/** The columns of an {@link AccountRow}. */
export const accountColumns = (
  tx: Tx
) => tx`household_id, name, zone, units, latitude_deg, wake_min, sleep_min,
  rounds_min, method_key, demo, clock_ahead_ms`;

/** {@link accountOf} that notes a row that cannot be read. */
export function readAccount(tx: Tx, row: AccountRow): HouseholdAccount {
  const fault = faultOfHousehold(row);
  if (fault !== null) note(tx, 'households', { ...row }, fault);
  return accountOf(row);
}

/** The account of the transaction's household. */
export async function findAccount(tx: Tx): Promise<HouseholdAccount> {
  const [row] = await tx<AccountRow[]>`
    select ${accountColumns(tx)} from households where household_id = current_household()`;
  return readAccount(tx, row!);
}

/** Changes the settings of the transaction's household. */
export async function changeHousehold(tx: Tx, settings: HouseholdSettings): Promise<void> {
  await tx`update households set name = ${settings.name}, name_key = ${nameKey(settings.name)}
    where household_id = current_household()`;
  await changeSettings(tx, settings);
}

/** Changes all of them but its name. */
export async function changeSettings(tx: Tx, settings: Omit<HouseholdSettings, 'name'>): Promise<void> {
  await tx`update households set zone = ${settings.zone}, units = ${settings.units}, latitude_deg = ${settings.latitudeDeg},
    wake_min = ${settings.wakeMin}, sleep_min = ${settings.sleepMin}, rounds_min = ${[...settings.roundsMin]},
    method_key = ${settings.methodKey} where household_id = current_household()`;
}

/** Moves the demo household's clock forward; does nothing to any other household. */
export async function moveClock(tx: Tx, byMs: number): Promise<void> {
  await tx`update households set clock_ahead_ms = clock_ahead_ms + ${byMs} where demo`;
}

/** The member of that name, added where there is none yet. */
export async function memberNamed(tx: Tx, householdId: string, id: string, name: string): Promise<string> {
  await tx`insert into members (household_id, id, name, name_key) values (${householdId}, ${id}, ${name.trim()}, ${nameKey(name)})
    on conflict (household_id, name_key) where left_at is null do nothing`;
  const [row] = await tx<
    { id: string }[]
  >`select id from members where name_key = ${nameKey(name)} and left_at is null`;
  return row!.id;
}
