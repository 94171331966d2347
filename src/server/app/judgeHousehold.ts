import { randomUUID } from 'node:crypto';
import { orderReminders } from '../../core/ahead/orderReminders.ts';
import { judge, type Reminding } from '../../core/reminders/due.ts';
import type { OnOrder } from '../../core/reminders/reminder.ts';
import { factsOf } from '../../core/sowing/facts.ts';
import type { HouseholdFacts, Projected } from '../../core/sowing/project.ts';
import { storyOf } from '../../core/sowing/record.ts';
import { roundThatTells } from '../../core/reminders/once.ts';
import { isQuiet, quietEnds } from '../../core/reminders/quiet.ts';
import { lastReadings } from '../air/air.ts';
import { inHousehold, type Tx } from '../db/connection.ts';
import { readBook, type HouseholdBook } from '../households/book.ts';
import { findHousehold, householdNow, type Household } from '../households/household.ts';
import { listeningChannels } from '../reminders/channels.ts';
import { addDeliveries } from '../reminders/deliveries.ts';
import { holdJudging, noteJudged, type Judging } from '../reminders/judging.ts';
import { keepReminders, toldBefore, type KeptReminder } from '../reminders/reminders.ts';
import { isoDay } from '../../words/time.ts';
import { listAway } from '../people/away.ts';
import { turnsOf } from '../people/turns.ts';
import { ordersAhead, ordersAheadIn } from './ordersAhead.ts';
import { projectRecords } from './projectRecords.ts';
import { listForRound, listInPantry } from '../sowings/sowings.ts';

/** All that judging a household goes by. */
export interface HouseholdNow {
  household: Household;
  book: HouseholdBook;
  facts: HouseholdFacts;
  projected: Projected[];
  reminding: Reminding;
}

/**
 * Reads all that judging the transaction's household goes by.
 * @param onOrder what its standing orders schedule; needed only to judge what is due
 */
export async function standingNow(
  tx: Tx,
  judging: Judging | null,
  onOrder: readonly OnOrder[] | null = null
): Promise<HouseholdNow> {
  const [household, book, records, told, lastRead, kept] = await Promise.all([
    findHousehold(tx),
    readBook(tx),
    listForRound(tx),
    toldBefore(tx),
    lastReadings(tx),
    listInPantry(tx)
  ]);
  const facts = factsOf(household, book);
  const now = householdNow(household);
  const [standing, inPantry] = [await projectRecords(facts, records), await projectRecords(facts, kept)];
  const all = records.map((record, at) => ({
    story: storyOf(record),
    projected: standing[at]!
  }));
  const underWay = all.filter(({ projected }) => projected.state.stage !== 'ended');
  return {
    household,
    book,
    facts,
    projected: underWay.map(({ projected }) => projected),
    reminding: {
      stories: underWay.map(({ story }) => story),
      emptied: all.flatMap(({ projected }) => (projected.state.stage === 'ended' ? [projected] : [])),
      pantry: inPantry,
      onOrder: onOrder && orderReminders(onOrder, facts.rhythm, now),
      away: await listAway(tx, isoDay(now, household.zone)),
      told,
      lastRead,
      lastTouchAt: judging?.touchedAt ?? now,
      since: judging?.judgedUntil ?? now - 60_000
    }
  };
}

/**
 * Judges one household: what it is to be told is written down, put on its way to each member's channels, and the next
 * moment noted, all or nothing. Two who judge it at once tell it once.
 * @returns how many reminders were new
 */
export async function judgeHousehold(householdId: string): Promise<number> {
  // Before the judging is held: a full household's schedule takes longer than a transaction may on a busy machine.
  await ordersAhead((work) => inHousehold(householdId, work));
  return inHousehold(householdId, async (tx) => {
    const judging = await holdJudging(tx);
    if (!judging) return 0;
    const standing = await standingNow(tx, judging, await ordersAheadIn(tx));
    const { household, facts, projected, reminding } = standing;
    const now = householdNow(household);
    const { due, nextAt } = judge(facts, projected, reminding, now);
    const told = await keepReminders(
      tx,
      householdId,
      due.map((reminder) => ({ ...reminder, id: randomUUID() })),
      now
    );
    await putOnTheirWay(tx, standing, told, now);
    // The machine's time: the demo's clock runs ahead of it.
    await noteJudged(tx, now, nextAt - (now - Date.now()));
    return told.length;
  });
}

/** What is told at once is one message to each channel that wants any of it, held until its member's night is over. */
export async function putOnTheirWay(
  tx: Tx,
  { household, facts: { rhythm } }: Pick<HouseholdNow, 'household' | 'facts'>,
  told: readonly KeptReminder[],
  now: number
): Promise<void> {
  if (told.length === 0) return;
  const listening = (await listeningChannels(tx)).map((channel) => ({
    ...channel,
    heldUntil: isQuiet(rhythm, channel.quiet, now) ? quietEnds(rhythm, channel.quiet, now) : now
  }));
  const tellsToo = (reminder: KeptReminder, heldUntil: number) =>
    roundThatTells(reminder, told, rhythm, heldUntil);
  const rounds = told.flatMap((reminder) => [
    ...(reminder.body.type === 'round' ? [reminder.body.roundKey] : []),
    ...listening.flatMap(({ heldUntil }) => tellsToo(reminder, heldUntil) ?? [])
  ]);
  const turns = await turnsOf(tx, rounds);
  // A round that is somebody's comes to them alone.
  const isTheirs = (key: string, memberId: string) => (turns.get(key) ?? memberId) === memberId;
  const isFor = (
    reminder: KeptReminder,
    { memberId, kinds, heldUntil }: (typeof listening)[number]
  ): boolean => {
    if (!kinds.includes(reminder.kind)) return false;
    if (reminder.body.type === 'round') return isTheirs(reminder.body.roundKey, memberId);
    const round = kinds.includes('round') ? tellsToo(reminder, heldUntil) : null;
    return round === null || !isTheirs(round, memberId);
  };
  const deliveries = listening.flatMap((channel) => {
    const wanted = told.filter((reminder) => isFor(reminder, channel));
    return wanted.length > 0
      ? [
          {
            id: randomUUID(),
            channelId: channel.id,
            reminders: wanted.map((reminder) => reminder.id),
            nextAt: Date.now() + (channel.heldUntil - now)
          }
        ]
      : [];
  });
  await addDeliveries(tx, household.id, deliveries);
}
