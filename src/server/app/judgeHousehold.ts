import { randomUUID } from 'node:crypto';
import { judge } from '../../core/reminders/due.ts';
import { roundThatTells } from '../../core/reminders/once.ts';
import { isQuiet, quietEnds } from '../../core/reminders/quiet.ts';
import { inHousehold, type Tx } from '../db/connection.ts';
import { listeningChannels } from '../reminders/channels.ts';
import { addDeliveries } from '../reminders/deliveries.ts';
import { holdJudging, noteJudged } from '../reminders/judging.ts';
import { saveReminders, type StoredReminder } from '../reminders/reminders.ts';
import { turnsOf } from '../people/turns.ts';
import { readStanding, standingNow, workOutStanding, type HouseholdStanding } from './householdStanding.ts';

/** If a household changes each time while it is worked out, it is worked out while its writes wait. */
const MOST_LOOKS = 3;

/**
 * Judges one household: what it is to be told is written down, put on its way to each member's channels, and the next
 * moment noted, all or nothing. Two who judge it at once tell it once. No connection is held while it is worked out: what was
 * written meanwhile has changed the version of its judging, and it is read again.
 * @returns how many reminders were new
 */
export async function judgeHousehold(householdId: string): Promise<number> {
  for (let look = 0; look < MOST_LOOKS; look++) {
    const standing = await workOutStanding(
      await inHousehold(householdId, (tx) => readStanding(tx, { orders: true }))
    );
    const told = await inHousehold(householdId, async (tx) => {
      const held = await holdJudging(tx);
      if (!held) return 0;
      return held.version === standing.judging?.version ? tell(tx, standing) : null;
    });
    if (told !== null) return told;
  }
  return inHousehold(householdId, async (tx) =>
    (await holdJudging(tx)) ? tell(tx, await standingNow(tx, { orders: true })) : 0
  );
}

/** Writes down what a household is to be told now. @returns how many reminders were new */
async function tell(tx: Tx, standing: HouseholdStanding): Promise<number> {
  const { household, facts, projected, reminding, now } = standing;
  const { due, nextAt } = judge(facts, projected, reminding, now);
  const told = await saveReminders(
    tx,
    household.id,
    due.map((reminder) => ({ ...reminder, id: randomUUID() })),
    now
  );
  await putOnTheirWay(tx, standing, told);
  // The machine's time: the demo's clock runs ahead of it.
  await noteJudged(tx, now, nextAt - household.clockAheadMs);
  return told.length;
}

/** What is told at once is one message to each channel that wants any of it, held until its member's night is over. */
export async function putOnTheirWay(
  tx: Tx,
  { household, facts: { rhythm }, now }: Pick<HouseholdStanding, 'household' | 'facts' | 'now'>,
  told: readonly StoredReminder[]
): Promise<void> {
  if (told.length === 0) return;
  const listening = (await listeningChannels(tx)).map((channel) => ({
    ...channel,
    heldUntil: isQuiet(rhythm, channel.quiet, now) ? quietEnds(rhythm, channel.quiet, now) : now
  }));
  const tellsToo = (reminder: StoredReminder, heldUntil: number) =>
    roundThatTells(reminder, told, rhythm, heldUntil);
  const rounds = told.flatMap((reminder) => [
    ...(reminder.body.type === 'round' ? [reminder.body.roundKey] : []),
    ...listening.flatMap(({ heldUntil }) => tellsToo(reminder, heldUntil) ?? [])
  ]);
  const turns = await turnsOf(tx, rounds);
  // A round that is somebody's comes to them alone.
  const isTheirs = (key: string, memberId: string) => (turns.get(key) ?? memberId) === memberId;
  const isFor = (
    reminder: StoredReminder,
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
