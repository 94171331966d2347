import type { AheadData } from '../../core/ahead/household.ts';
import { orderReminders } from '../../core/ahead/orderReminders.ts';
import type { Period } from '../../core/away/period.ts';
import type { Reminding } from '../../core/reminders/due.ts';
import { factsOf } from '../../core/sowing/household.ts';
import type { HouseholdFacts, Projected } from '../../core/sowing/project.ts';
import { storyOf, type SowingRecord } from '../../core/sowing/record.ts';
import { MINUTE, type Millis } from '../../core/time/zone.ts';
import { isoDay } from '../../words/time.ts';
import { lastReadings } from '../air/air.ts';
import type { Tx } from '../db/connection.ts';
import { householdNow } from '../households/household.ts';
import { loadHousehold, type LoadedHousehold } from '../households/loadHousehold.ts';
import { listAway } from '../people/away.ts';
import { readJudging, type Judging } from '../reminders/judging.ts';
import { toldBefore } from '../reminders/reminders.ts';
import { listForRound, listInPantry } from '../sowings/sowings.ts';
import { orderData, scheduleOf } from './ordersAhead.ts';
import { projectRecords } from './projectRecords.ts';

/** All that a household is reminded by, as it is stored. */
export interface StoredStanding {
  judging: Judging | null;
  household: LoadedHousehold;
  records: readonly SowingRecord[];
  inPantry: readonly SowingRecord[];
  told: Reminding['told'];
  lastRead: Reminding['lastRead'];
  away: readonly Period[];
  /** What its standing orders follow from; null where it has none, or nobody asked. */
  orders: AheadData | null;
  now: Millis;
}

/** A household as it stands: its sowings projected once, for rounds, reminders, standing orders and days away alike. */
export interface HouseholdStanding {
  judging: Judging | null;
  household: LoadedHousehold;
  facts: HouseholdFacts;
  /** Under way and planned. */
  projected: Projected[];
  reminding: Reminding;
  now: Millis;
}

/**
 * Reads all that the transaction's household is reminded by.
 * @param orders whether to read what its standing orders follow from as well: only judging and late messages ask for it
 */
export async function readStanding(tx: Tx, { orders }: { orders: boolean }): Promise<StoredStanding> {
  // First: a write that comes in between changes its version.
  const judging = await readJudging(tx);
  const [household, records, inPantry, told, lastRead] = await Promise.all([
    loadHousehold(tx),
    listForRound(tx),
    listInPantry(tx),
    toldBefore(tx),
    lastReadings(tx)
  ]);
  const now = householdNow(household);
  const away = await listAway(tx, isoDay(now, household.zone));
  const known = { household, records: records.filter(({ emptied }) => !emptied), inPantry };
  return {
    judging,
    household,
    records,
    inPantry,
    told,
    lastRead,
    away,
    orders: orders ? await orderData(tx, known) : null,
    now
  };
}

/** Works out how a household stands. It needs no connection. */
export async function workOutStanding(stored: StoredStanding): Promise<HouseholdStanding> {
  const { judging, household, records, inPantry, told, lastRead, away, orders, now } = stored;
  const facts = factsOf(household);
  const projected = await projectRecords(facts, records);
  const pantry = await projectRecords(facts, inPantry);
  const underWay = records.flatMap((record, nth) =>
    projected[nth]!.state.stage === 'ended' ? [] : [{ record, projected: projected[nth]! }]
  );
  const onOrder = orders && (await scheduleOf(orders, projected));
  return {
    judging,
    household,
    facts,
    projected: underWay.map((one) => one.projected),
    reminding: {
      stories: underWay.map(({ record }) => storyOf(record)),
      emptied: projected.filter(({ state }) => state.stage === 'ended'),
      pantry,
      onOrder: onOrder && orderReminders(onOrder, facts.rhythm, now),
      away,
      told,
      lastRead,
      lastTouchAt: judging?.touchedAt ?? now,
      since: judging?.judgedUntil ?? now - MINUTE
    },
    now
  };
}

/** How the transaction's household stands. */
export const standingNow = async (tx: Tx, { orders } = { orders: false }): Promise<HouseholdStanding> =>
  workOutStanding(await readStanding(tx, { orders }));
