import { setImmediate } from 'node:timers/promises';

/** Work goes on for so long before others are answered, ms. */
const MOST_MS = 25;

/** Keeps long work in this process from holding up everybody else. */
export class Breath {
  private since = performance.now();

  /** Await this between two pieces of work: once the work has gone on for too long, it lets others be answered. */
  async taken(): Promise<void> {
    if (performance.now() - this.since < MOST_MS) return;
    await setImmediate();
    this.since = performance.now();
  }

  /** What a computation in steps comes to, with breath taken between them. */
  async through<T>(steps: Generator<unknown, T, void>): Promise<T> {
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      await this.taken();
    }
  }
}
