/** A page that is younger than this by the clock of the server only took that long to come, ms. */
const ON_ITS_WAY = 1500;

/**
 * The household's clock in a browser. It runs on from what the server said last, by a clock of the browser's that nobody
 * sets: what this device shows as the time of day may be wrong by a day.
 */
export class HouseholdClock {
  private here: number;

  /** @param told what the page was written at */
  constructor(public told: number) {
    // The page was written about when it was asked for.
    this.here = typeof performance === 'undefined' ? 0 : Math.min(performance.now(), ON_ITS_WAY);
  }

  now(): number {
    return this.told + performance.now() - this.here;
  }

  /** Something was loaded as of then; what was kept from before moves nothing. */
  heard(told: number): void {
    if (told > this.now()) this.set(told);
  }

  /** The server says what time it is. */
  set(told: number): void {
    if (!Number.isFinite(told)) return;
    this.told = told;
    this.here = performance.now();
  }

  /**
   * Where this page was kept from before, it counts on from when it was: by how far this device's clock has gone on since,
   * however wrong it is. @returns whether it was
   */
  startKept(): boolean {
    const at = Number(document.documentElement.dataset.keptAt);
    if (!at) return false;
    this.here = performance.now() - Math.max(0, Date.now() - at);
    return true;
  }
}
