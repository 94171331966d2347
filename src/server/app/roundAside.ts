import { anyOrder } from '../ahead/orders.ts';
import type { Tx } from '../db/connection.ts';
import type { Member } from '../people/members.ts';
import { unseenCount } from '../reminders/reminders.ts';

/** What the page of a round shows beside its trays. */
export interface RoundAside {
  /** Reminders that came since this member last looked. */
  unseen: number;
  /** When anybody last recorded anything, and the last silence that ended. */
  heard: { touchedAt: number | null; silence: { from: number; until: number } | null };
  /** Whose round it is; null for anybody's. */
  turnOf: string | null;
  people: Member[];
  hasOrders: boolean;
}

interface Row {
  unseen: number;
  touched_at: Date | null;
  silence_from: Date | null;
  silence_until: Date | null;
  turn_of: string | null;
  people: Member[];
  has_orders: boolean;
}

/** What is shown beside the trays of a round, in one query: the page waits for it. */
export async function roundAside(tx: Tx, roundKey: string, memberId: string): Promise<RoundAside> {
  const [row] = await tx<Row[]>`
    select ${unseenCount(tx, memberId)} as unseen, touched_at, silence_from, silence_until,
      (select member_id from turns where round_key = ${roundKey}) as turn_of,
      coalesce((select json_agg(json_build_object('id', id, 'name', name) order by name, id)
        from members where left_at is null), '[]') as people,
      ${anyOrder(tx)} as has_orders
    from households left join judging using (household_id)
    where households.household_id = current_household()`;
  const { unseen, touched_at, silence_from, silence_until, turn_of, people, has_orders } = row!;
  return {
    unseen,
    heard: {
      touchedAt: touched_at?.getTime() ?? null,
      silence:
        silence_from && silence_until
          ? { from: silence_from.getTime(), until: silence_until.getTime() }
          : null
    },
    turnOf: turn_of,
    people,
    hasOrders: has_orders
  };
}
