import { DAY, type Millis } from '../time/zone.ts';

/** A stretch of time in which the crop's clock runs at one rate, in optimum days a day. */
export interface Stretch {
  from: Millis;
  rate: number;
}

/**
 * A crop's clock: optimum days since sowing as a function of time (model, section 3). It runs through the
 * stretches one after the other, the last of which has no end; it never runs backwards.
 */
export class Clock {
  private readonly tauAt: number[] = [];

  /**
   * @param stretches ascending, the first from sowing on, none with a negative rate
   * @param head optimum days at sowing: negative for a sowing that starts late
   */
  constructor(
    private readonly stretches: readonly Stretch[],
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
    const index = this.last((from) => from <= at);
    if (index < 0) return this.tauAt[0]!;
    const stretch = this.stretches[index]!;
    return this.tauAt[index]! + ((at - stretch.from) / DAY) * stretch.rate;
  }

  /** When the clock shows `tau` optimum days; Infinity where it stands still before that. */
  when(tau: number): Millis {
    let index = this.tauAt.length - 1;
    while (index > 0 && this.tauAt[index]! > tau) index -= 1;
    const stretch = this.stretches[index]!;
    if (tau <= this.tauAt[index]!) return stretch.from;
    return stretch.rate > 0 ? stretch.from + ((tau - this.tauAt[index]!) / stretch.rate) * DAY : Infinity;
  }

  private last(holds: (from: Millis) => boolean): number {
    let index = this.stretches.length - 1;
    while (index >= 0 && !holds(this.stretches[index]!.from)) index -= 1;
    return index;
  }
}
