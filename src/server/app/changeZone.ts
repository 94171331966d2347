import { randomUUID } from 'node:crypto';
import { beginsAt } from '../../core/sowing/soak.ts';
import { factsOf } from '../../core/sowing/household.ts';
import { sameClockTime, zoneOf, type Millis } from '../../core/time/zone.ts';
import type { Tx } from '../db/connection.ts';
import { householdNow } from '../households/household.ts';
import { loadHousehold } from '../households/loadHousehold.ts';
import type { Session } from '../sessions/sessions.ts';
import { listInPreparation } from '../sowings/sowings.ts';
import { projectRecords } from './projectRecords.ts';
import { recordEvents } from './recordEvents.ts';

/** A sowing that is planned and not begun. */
interface Planned {
  id: string;
  beginsAt: Millis;
}

/** What the household has planned and not begun, the first to begin first. */
export async function plannedAhead(tx: Tx): Promise<Planned[]> {
  const [household, records] = await Promise.all([loadHousehold(tx), listInPreparation(tx)]);
  const now = householdNow(household);
  return (await projectRecords(factsOf(household), records))
    .filter(({ state }) => state.soakedAt === null)
    .map(({ setup, soak }) => ({ id: setup.id, beginsAt: beginsAt(soak) }))
    .filter((one) => one.beginsAt > now)
    .sort((a, b) => a.beginsAt - b.beginsAt);
}

/**
 * Lets what is planned begin at the same time on the clock of another zone, and not at the same moment.
 * @param to the zone that the household moves to
 */
export async function keepClockTimes(
  tx: Tx,
  session: Pick<Session, 'household' | 'memberId'>,
  to: string
): Promise<void> {
  const now = householdNow(session.household);
  const from = zoneOf(session.household.zone);
  await recordEvents(
    tx,
    session,
    (await plannedAhead(tx)).map(({ id, beginsAt: at }) => ({
      id: randomUUID(),
      sowingId: id,
      at: now,
      sure: true,
      body: { type: 'put-off', until: Math.max(now, sameClockTime(at, from, zoneOf(to))) }
    }))
  );
}
