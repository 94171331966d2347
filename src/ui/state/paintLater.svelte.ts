import { untrack } from 'svelte';
import { afterPaint } from './afterPaint.ts';

/** A value as it was at the last paint: what is costly to draw follows it, so that what it comes from is drawn first. */
export class PaintLater<T> {
  current: T = $state.raw() as T;

  /** @param of what it follows */
  constructor(of: () => T) {
    this.current = untrack(of);
    $effect(() => {
      const now = of();
      if (now !== untrack(() => this.current)) return afterPaint(() => (this.current = now));
    });
  }
}
