import type { Patch } from '$contract/api.ts';
import type { Household } from '$core/sowing/household.ts';
import type { SowingRecord } from '$core/sowing/record.ts';
import type { Millis } from '$core/time/zone.ts';

/** As of when something was loaded. */
export interface LoadedAt {
  now: Millis;
}

/**
 * What the server said had changed since a page was loaded. A page that was loaded later knows it already, so nothing
 * need be thrown away: whatever is newer is shown.
 */
export class Patches {
  private records = $state.raw<Readonly<Record<string, { now: Millis; record: SowingRecord }>>>({});
  private last = $state.raw<Patch | null>(null);
  /** The household's time at least: set where a page was kept from before, and counts on. */
  atLeast = $state<Millis>(-Infinity);

  /** Takes an answer up; one that was overtaken by a later one changes nothing. */
  take(patch: Patch): void {
    const records = { ...this.records };
    for (const record of patch.records) {
      const known = records[record.setup.id];
      if (!known || known.now <= patch.now) records[record.setup.id] = { now: patch.now, record };
    }
    this.records = records;
    if (!this.last || this.last.now <= patch.now) this.last = patch;
  }

  /** The household's time, as last told. */
  now(loaded: Millis): Millis {
    return Math.max(loaded, this.last?.now ?? -Infinity, this.atLeast);
  }

  /** A sowing as it is now. */
  record(loaded: SowingRecord, { now }: LoadedAt): SowingRecord {
    const known = this.records[loaded.setup.id];
    return known && known.now >= now ? known.record : loaded;
  }

  /** The household with what its trays have taught by now. */
  household(loaded: Household, { now }: LoadedAt): Household {
    const { last } = this;
    return last && last.now >= now
      ? { ...loaded, learned: last.learned, thirst: last.thirst, yields: last.yields }
      : loaded;
  }
}
