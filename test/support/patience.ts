/**
 * No test passes or fails by the clock. These two only end what hangs, so that a run ends at all; a machine that is ten
 * times slower than usual stays below them.
 */
export const HANG_MS = 8 * 60_000;
/** A page's wait for something to be shown; shorter, so that a failure names what was not shown. */
export const SHOWN_MS = 5 * 60_000;
/** A whole test or hook. */
export const TEST_MS = 20 * 60_000;
/** So many times longer than usual the application waits for its database before it says to try again. */
export const PATIENCE = 20;
