import { accountOf } from '../../src/server/households/household.ts';
import type { Session } from '../../src/server/sessions/sessions.ts';
import { randomUUID } from 'node:crypto';
import { inHousehold } from '../../src/server/db/connection.ts';
import type { HouseholdSettings } from '../../src/core/sowing/household.ts';
import { addHousehold } from '../../src/server/households/household.ts';
import { addPlace } from '../../src/server/households/places.ts';
import { hashPassphrase } from '../../src/server/sessions/passphrase.ts';
import { steadyPlace } from './rhythm.ts';

export const PASSPHRASE = 'three wet spoons';

export const settings = (name: string): HouseholdSettings => ({
  name,
  zone: 'Europe/Madrid',
  units: 'metric',
  latitudeDeg: 43.4,
  wakeMin: 420,
  sleepMin: 1350,
  roundsMin: [450, 1230],
  methodKey: 'press-and-wait'
});

/** Adds a household with one place to stand trays in. */
export async function household(name: string): Promise<{ id: string; placeId: string }> {
  const id = randomUUID();
  const placeId = randomUUID();
  const passphraseHash = await hashPassphrase(PASSPHRASE);
  await inHousehold(id, async (tx) => {
    await addHousehold(tx, { ...settings(name), id, passphraseHash });
    await addPlace(tx, id, { ...steadyPlace(21), id: placeId });
  });
  return { id, placeId };
}

/** A session of nobody in particular in a household, as a request has one. */
export const sessionOf = (householdId: string): Session => ({
  id: '',
  renewed: false,
  memberName: 'Somebody',
  memberLanguage: null,
  memberId: null as unknown as string,
  household: accountOf({
    ...{ household_id: householdId, demo: false, clock_ahead_ms: 0 },
    name: 'Upstairs',
    zone: settings('x').zone,
    units: 'metric',
    latitude_deg: 43.4,
    wake_min: 420,
    sleep_min: 1350,
    rounds_min: [450, 1230],
    method_key: 'press-and-wait'
  })
});
