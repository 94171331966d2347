/** The event loop is looked at so often, ms. */
const TICK_MS = 20;

/**
 * Tells whenever one piece of work kept the event loop, and with it everybody else's requests, for longer than `mostMs`.
 * Counted is what this process used of a processor meanwhile: one that waited for its turn on a busy machine held nobody.
 */
export function watchHolds(mostMs: number, tell: (heldMs: number) => void): void {
  let [at, used] = [performance.now(), process.cpuUsage()];
  setInterval(() => {
    const { user, system } = process.cpuUsage(used);
    const held = Math.min(performance.now() - at - TICK_MS, (user + system) / 1000);
    if (held > mostMs) tell(held);
    [at, used] = [performance.now(), process.cpuUsage()];
  }, TICK_MS).unref();
}
