import { isId } from '../../contract/text.ts';
import { ConnectionWork, type Tx } from './statement.ts';
import { afterListening } from './patience.ts';
import { noteFull, saysFull, StorageFull } from './storage.ts';
import { LANES, LIMITS, Slots, type ConnectionLane, type Slot } from './slots.ts';
import { isLost, isPassing, Unavailable } from './unavailable.ts';

export { LIMITS, type Tx };

/** Runs work in a transaction of its own of one household: {@link inHousehold} with the household given. */
export type InTransaction = <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;

const shared = new Map<ConnectionLane, Slots>();

/**
 * The application's connections, made on first use from `BROTE_APP_URL`, which the start command sets.
 * @throws Error where the server was started without it
 */
function slots(lane: ConnectionLane): Slots {
  const url = process.env.BROTE_APP_URL;
  if (!url) throw new Error('BROTE_APP_URL is not set: start Brote with `npm start`, which sets it.');
  const open = shared.get(lane);
  if (open?.url === url) return open;
  open?.end();
  const opened = new Slots(url, LANES[lane]);
  shared.set(lane, opened);
  return opened;
}

/** Ends the application's connections; the next use opens new ones. */
export function closeDb(): void {
  for (const slots of shared.values()) slots.end();
  shared.clear();
}

/** Rejects with {@link Unavailable} where `work` is not done in time; what it does is not stopped by that. */
async function within<T>(ms: number, what: string, work: Promise<T>): Promise<T> {
  let enough = () => {};
  const late = new Promise<never>((_resolve, reject) => {
    enough = afterListening(ms, () => reject(new Unavailable(what)));
  });
  try {
    return await Promise.race([work, late]);
  } finally {
    enough();
  }
}

/** What the person is told: that it may be tried again, where it may. */
function told(error: unknown): unknown {
  if (error instanceof Unavailable) return error;
  if (saysFull(error)) {
    noteFull();
    return new StorageFull({ cause: error });
  }
  if (!isPassing(error)) return error;
  return new Unavailable((error as Error).message, { cause: error });
}

/**
 * One stretch of work on a connection of its own. Whatever is left of it when its time is up ends with the connection.
 * @param end takes back what the work began, where it failed
 */
async function onSlot<T>(
  lane: ConnectionLane,
  limitMs: number,
  work: (tx: Tx, stretch: ConnectionWork) => Promise<T>,
  end?: (tx: Tx) => Promise<unknown>
): Promise<T> {
  const from = slots(lane);
  let slot: Slot;
  try {
    slot = await from.take();
  } catch (error) {
    throw told(error);
  }
  const stretch = new ConnectionWork();
  const tx = slot.begin(stretch);
  try {
    const done = await within(limitMs, 'it did not answer in time', work(tx, stretch));
    await within(LIMITS.statementMs, 'it did not answer in time', stretch.quiet());
    return done;
  } catch (error) {
    // What is late, or lost, is let go with its connection, and nothing of it is kept.
    if (error instanceof Unavailable || stretch.over) slot.close();
    else
      try {
        await within(LIMITS.statementMs, 'it did not answer in time', stretch.quiet());
        await end?.(tx);
      } catch {
        slot.close();
      }
    throw error instanceof Unavailable ? error : told(stretch.over ?? error);
  } finally {
    from.giveBack(slot);
  }
}

/**
 * Runs queries that belong to no household: whose a token is, whether anyone is here yet. Row-level security lets
 * them see nothing but through the functions made for that.
 * @throws Unavailable where the database does not answer in time
 */
export const outside = <T>(
  work: (sql: Tx) => Promise<T>,
  limitMs = LIMITS.waitMs + LIMITS.statementMs
): Promise<T> =>
  within(
    limitMs,
    'it did not answer in time',
    onSlot('pages', limitMs, async (tx) => work(tx))
  );

/**
 * Runs `work` in one transaction that sees one household and no other. Row-level security holds it to that,
 * whatever its queries say. The transaction begins and is told its household in one message, before anything of
 * `work` is sent.
 * @param householdId a UUID
 * @param limitMs how long the whole of it may take
 * @param lane which connections it may use
 * @throws Unavailable where the database is away, busy or too slow; then nothing of it was kept, or all
 */
export async function inHousehold<T>(
  householdId: string,
  work: (tx: Tx) => Promise<T>,
  limitMs = LIMITS.transactionMs,
  lane: ConnectionLane = 'pages'
): Promise<T> {
  if (!isId(householdId)) throw new TypeError('A household is named by a UUID.');
  let begun = false;
  const transaction = () =>
    onSlot(
      lane,
      limitMs,
      async (tx, stretch) => {
        // One message, so that it costs one round trip; the id is a UUID and nothing else.
        await tx.unsafe(`begin; select set_config('brote.household_id', '${householdId}', true)`);
        begun = true;
        const done = await work(tx);
        await stretch.quiet();
        if (stretch.failed) throw stretch.failed;
        await tx.unsafe('commit');
        return done;
      },
      (tx) => tx.unsafe('rollback')
    );
  for (let tries = 1; ; tries += 1)
    try {
      return await transaction();
    } catch (error) {
      // A connection that had died while nobody used it is found out here, with nothing done as yet.
      if (begun || tries >= MOST_TRIES || !(error instanceof Unavailable) || !isLost(error.cause))
        throw error;
    }
}

/** How often a connection is asked for where the one that was had turns out to be dead. */
const MOST_TRIES = 3;
