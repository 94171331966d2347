import { thinReadings } from '../air/air.ts';
import { isPassing } from '../db/unavailable.ts';
import { claimDeliveries } from '../reminders/deliveries.ts';
import { claimHouseholds, LEASE_S, retrySetAside } from '../reminders/judging.ts';
import { deliver } from './deliver.ts';
import { judgeOrNote } from './judgeOrNote.ts';

/** How often it is looked whether anything is due: one index entry each, where nothing is. */
const LOOK_MS = 1000;
const THIN_MS = 60 * 60_000;
/** So many households are judged, and so many messages are under way, in one process at a time. */
const AT_ONCE = 4;
const UNDER_WAY = 16;

/** Does something to each of some households, a few at a time: while the database reads for one, another is worked out. */
export async function inParallel(
  ids: readonly string[],
  work: (id: string) => Promise<unknown>
): Promise<void> {
  const left = [...ids];
  const one = async () => {
    for (let id = left.pop(); id !== undefined; id = left.pop()) await work(id);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
}

/** What a worker did, for whoever watches. */
export interface Done {
  judged: number;
  told: number;
  sent: number;
  failed: number;
  dropped: number;
}

/**
 * Works through what is due: judges households and sends messages, until it is told to stop. Any number of them share the
 * work; each takes what no other has.
 */
export class Worker {
  readonly done: Done = { judged: 0, told: 0, sent: 0, failed: 0, dropped: 0 };
  private stopping = false;
  private readonly waking = new Set<() => void>();
  private readonly underWay = new Set<Promise<void>>();
  private loop: Promise<void> | null = null;

  /**
   * @param base where Brote is reached, with a slash at its end
   * @param leaseS how long what it takes is its own; longer than any channel is waited for
   */
  constructor(
    private readonly base: string,
    private readonly leaseS = LEASE_S
  ) {}

  start(): this {
    this.loop = Promise.all([this.judging(), this.sending(), this.thinning()]).then(() => {});
    return this;
  }

  /** Ends it, once what is under way is done. */
  async stop(): Promise<void> {
    this.stopping = true;
    for (const wake of this.waking) wake();
    await this.loop;
    await Promise.all(this.underWay);
  }

  private async judging(): Promise<void> {
    for (const { householdId, fault } of await this.orNothing(retrySetAside))
      console.error(
        new Date().toISOString(),
        `Reminders of household ${householdId} were set aside and are tried again now. Last fault: ${fault}`
      );
    while (!this.stopping) {
      const ids = await this.orNothing(() => claimHouseholds(AT_ONCE * 4, this.leaseS));
      await inParallel(ids, (id) =>
        this.orNothing(async () => {
          const told = await judgeOrNote(id);
          this.done.told += told;
          this.done.judged += 1;
          return [];
        })
      );
      if (ids.length === 0) await this.pause();
    }
  }

  private async sending(): Promise<void> {
    while (!this.stopping) {
      const free = UNDER_WAY - this.underWay.size;
      const claimed = free > 0 ? await this.orNothing(() => claimDeliveries(free, this.leaseS)) : [];
      for (const one of claimed) {
        const going = this.orNothing(async () => {
          const how = await deliver(one, this.base);
          this.done[how] += 1;
          return [];
        }).then(() => void this.underWay.delete(going));
        this.underWay.add(going);
      }
      // One that hangs holds up none behind it.
      if (this.underWay.size >= UNDER_WAY) await Promise.race(this.underWay);
      else if (claimed.length === 0) await this.pause();
    }
  }

  /** Thins old readings, once an hour as far as there are any. */
  private async thinning(): Promise<void> {
    while (!this.stopping) {
      const [more] = await this.orNothing(async () => [await thinReadings(Date.now())]);
      if (!more) await this.pause(THIN_MS);
    }
  }

  private pause(ms = LOOK_MS): Promise<void> {
    if (this.stopping) return Promise.resolve();
    return new Promise((resolve) => {
      const wake = () => {
        clearTimeout(timer);
        this.waking.delete(wake);
        resolve();
      };
      const timer = setTimeout(wake, ms);
      this.waking.add(wake);
    });
  }

  /** What fails is left to the next turn: its lease runs out, and it is taken again. */
  private async orNothing<T>(work: () => Promise<T[]>): Promise<T[]> {
    try {
      return await work();
    } catch (error) {
      if (!this.stopping)
        console.error(new Date().toISOString(), isPassing(error) ? (error as Error).message : error);
      await this.pause();
      return [];
    }
  }
}
