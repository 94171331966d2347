import type { Patch } from '$contract/api.ts';
import type { Learned } from '$core/growth/learned.ts';
import type { SowingRecord } from '$core/sowing/record.ts';
import type { Millis } from '$core/time/zone.ts';
import type { YieldLearned } from '$core/growth/yieldLearned.ts';
import type { ThirstLearned } from '$core/water/thirst.ts';

/** What a page was given: as of when. */
interface Loaded {
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
  record(loaded: SowingRecord, { now }: Loaded): SowingRecord {
    const known = this.records[loaded.setup.id];
    return known && known.now >= now ? known.record : loaded;
  }

  /** What the household's trays have taught, as it is now. */
  book<B extends { learned?: Learned; thirst?: ThirstLearned; yields?: YieldLearned }>(
    loaded: B,
    { now }: Loaded
  ): B {
    return this.last && this.last.now >= now
      ? { ...loaded, learned: this.last.learned, thirst: this.last.thirst, yields: this.last.yields }
      : loaded;
  }
}
