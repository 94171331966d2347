import { randomUUID } from 'node:crypto';
import { judgeHousehold } from '../../src/server/app/judgeHousehold.ts';
import { addEvents } from '../../src/server/app/addEvents.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { markDemo } from '../../src/server/demo/markDemo.ts';
import { memberNamed, moveClock } from '../../src/server/households/household.ts';
import { deliver } from '../../src/server/jobs/deliver.ts';
import { claimDeliveries } from '../../src/server/reminders/deliveries.ts';
import { addChannel, confirmChannel, type Channel } from '../../src/server/reminders/channels.ts';
import { addSowing } from '../../src/server/sowings/sowings.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { REMINDER_KINDS } from '../../src/core/reminders/reminder.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { event, radishTray, SOWN } from './household.ts';
import { household } from './settings.ts';

export const BASE = 'http://127.0.0.1:4180/';

/** A household whose clock a test moves, with a member and a tray that is thirsty by its next round. */
export class Reminded {
  private constructor(
    readonly id: string,
    readonly placeId: string,
    readonly memberId: string
  ) {}

  /** @param at its time, as a moment */
  static async begin(ownerUrl: string, name: string, at: number): Promise<Reminded> {
    const home = await household(name);
    const memberId = await inHousehold(home.id, (tx) => memberNamed(tx, home.id, randomUUID(), 'Nela'));
    await markDemo(ownerUrl, home.id);
    const reminded = new Reminded(home.id, home.placeId, memberId);
    await reminded.clock(at);
    return reminded;
  }

  /** Sets its clock. */
  async clock(at: number): Promise<void> {
    await inHousehold(this.id, async (tx) => {
      const [row] = await tx<{ ahead: string }[]>`select clock_ahead_ms as ahead from households`;
      await moveClock(tx, Math.round(at - Date.now() - Number(row!.ahead)));
    });
  }

  async sow(setup: Partial<SowingSetup> = {}, events: SowingEvent[] = thirsty()): Promise<string> {
    const id = randomUUID();
    await inHousehold(this.id, async (tx) => {
      await addSowing(tx, this.id, radishTray({ id, placeId: this.placeId, ...setup }), {
        memberId: this.memberId,
        at: SOWN - HOUR,
        containerId: randomUUID()
      });
      await addEvents(
        tx,
        this.id,
        id,
        events.map((one) => ({ ...one, id: randomUUID() }))
      );
    });
    return id;
  }

  async channel<K extends Channel['kind']>(
    kind: K,
    address: Extract<Channel, { kind: K }>['address'],
    kinds: Channel['kinds'] = [...REMINDER_KINDS]
  ): Promise<string> {
    const id = randomUUID();
    await inHousehold(this.id, async (tx) => {
      const { memberId } = this;
      await addChannel(tx, this.id, { id, memberId, kind, name: kind, address, kinds } as Channel);
      await confirmChannel(tx, id);
    });
    return id;
  }

  judge(): Promise<number> {
    return judgeHousehold(this.id);
  }

  /** How its channel stands. */
  async state(channelId: string): Promise<{ said: string | null; broken: boolean; failures: number }> {
    const [row] = await inHousehold(
      this.id,
      (tx) => tx<{ said: string | null; broken: boolean; failures: number }[]>`
        select said, broken_at is not null as broken, failures from channels where id = ${channelId}`
    );
    return row!;
  }

  /** Has what waits tried again at once. */
  async hurry(): Promise<void> {
    await inHousehold(this.id, (tx) => tx`update deliveries set next_at = now() where state = 'pending'`);
  }
}

/** A tray in light that is dry: the next round asks for water. */
export const thirsty = (): SowingEvent[] => [
  event(0, { type: 'sown', waterG: 300 }),
  event(60, { type: 'lit' }),
  event(70, { type: 'felt', moisture: 'dry' })
];

/** Sends what is to go now, once each. */
export async function sendAll(): Promise<string[]> {
  const went: string[] = [];
  for (let claimed = await claimDeliveries(50); claimed.length > 0; claimed = await claimDeliveries(50))
    went.push(...(await Promise.all(claimed.map((one) => deliver(one, BASE)))));
  return went;
}
