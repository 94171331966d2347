import { randomUUID } from 'node:crypto';
import { inHousehold } from '../../src/server/db/connection.ts';
import { addHousehold, type HouseholdSettings } from '../../src/server/households/household.ts';
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
