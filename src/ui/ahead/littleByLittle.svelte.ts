import { untrack } from 'svelte';
import { SvelteSet } from 'svelte/reactivity';
import { afterPaint } from '$ui/state/afterPaint.ts';

/** So many are drawn between two paints: on a cheap phone, a tenth of a second of work. */
const AT_ONCE = 6;

/** What a long list draws so far: what it drew before stays, and what is new comes a few at a time, so that no key waits for all of it. */
export class LittleByLittle {
  private readonly drawn = new SvelteSet<string>();

  /** @param keys of all that is to be drawn, in their order */
  constructor(keys: () => readonly string[]) {
    $effect(() => {
      const all = keys();
      const missing = untrack(() => {
        for (const key of this.drawn) if (!all.includes(key)) this.drawn.delete(key);
        return all.filter((key) => !this.drawn.has(key));
      });
      const next = (): void => {
        for (const key of missing.splice(0, AT_ONCE)) this.drawn.add(key);
        if (missing.length > 0) stop = afterPaint(next);
      };
      let stop = afterPaint(next);
      return () => stop();
    });
  }

  has(key: string): boolean {
    return this.drawn.has(key);
  }
}
