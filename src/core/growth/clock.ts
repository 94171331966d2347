import { DAY, type Millis } from '../time/zone.ts';

/** A stretch of time in which the crop's clock runs at one rate, in optimum days a day. */
export interface RateStretch {
  from: Millis;
  rate: number;
}

/**
 * A crop's clock: optimum days since sowing as a function of time (docs/model.md, 3). It runs through the
 * stretches one after the other, the last of which has no end; it never runs backwards.
 */
export class Clock {
  private readonly tauAt: number[] = [];

  /**
   * @param stretches ascending, the first from sowing on, none with a negative rate
   * @param head optimum days at sowing: negative for a sowing that starts late
   */
  constructor(
    private readonly stretches: readonly RateStretch[],
    head = 0
  ) {
    let tau = head;
    stretches.forEach((stretch, index) => {
      const before = stretches[index - 1];
      if (before) tau += ((stretch.from - before.from) / DAY) * before.rate;
      this.tauAt.push(tau);
    });
  }

  /** Optimum days at a moment; before sowing, those at sowing. */
  tau(at: Millis): number {
    const index = lastAtMost(this.stretches.length, (i) => this.stretches[i]!.from, at);
    if (index < 0) return this.tauAt[0]!;
    const stretch = this.stretches[index]!;
    return this.tauAt[index]! + ((at - stretch.from) / DAY) * stretch.rate;
  }

  /** When the clock shows `tau` optimum days; Infinity where it stands still before that. */
  when(tau: number): Millis {
    const index = Math.max(0, lastBelow(this.tauAt, tau));
    const stretch = this.stretches[index]!;
    if (tau <= this.tauAt[index]!) return stretch.from;
    return stretch.rate > 0 ? stretch.from + ((tau - this.tauAt[index]!) / stretch.rate) * DAY : Infinity;
  }
}

/** Index of the last of `count` ascending values that is at most `limit`; -1 for none. */
function lastAtMost(count: number, value: (index: number) => number, limit: number): number {
  let [low, high] = [-1, count - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (value(middle) <= limit) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Index of the last of ascending values under `limit`: the first moment that shows it lies after that. */
function lastBelow(values: readonly number[], limit: number): number {
  let [low, high] = [-1, values.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (values[middle]! < limit) low = middle;
    else high = middle - 1;
  }
  return low;
}
