import type { Crop } from '../../src/core/crops/crop.ts';
import type { Chance } from '../../src/server/demo/chance.ts';

/** A mark as a plant comes to it. */
export type Stage = 'rooted' | 'lightReady' | 'windowOpen';
export const STAGES: readonly Stage[] = ['rooted', 'lightReady', 'windowOpen'];

/** Days at the table's warmth that this very sowing needs for each of its stages. */
export type Nature = Record<Stage, number>;

/** How far households, crops in them and sowings lie apart in the world, ln; some sowings stall. */
const APART = { sowing: 1, stalls: 0.06, stalledBy: 0.35, stage: 0.04 };

/** Draws a sowing's nature. */
export function natureOf(crop: Crop, pace: number, chance: Chance): Nature {
  const own = chance.normal(crop.durationCv * APART.sowing);
  const stalled = chance.uniform() < APART.stalls ? chance.uniform() * APART.stalledBy : 0;
  const stage = () => Math.exp(pace + own + stalled + chance.normal(APART.stage));
  return {
    rooted: crop.rootedD21 * stage(),
    lightReady: crop.lightReadyD21 * stage(),
    windowOpen: crop.windowOpenD21 * stage()
  };
}

/** How fast it goes at a warmth, against the table's 21 degC: two straight lines, up to the best and down from it. */
export function speedAt({ baseC, optimumC, maximumC }: Crop, tempC: number): number {
  // A little past where books put the foot of the line, and never quite nothing near it.
  const foot = baseC + 1;
  const line = (t: number): number =>
    t <= foot
      ? 0
      : t <= optimumC
        ? (t - foot) / (optimumC - foot)
        : Math.max(0, (maximumC - t) / (maximumC - optimumC));
  return line(tempC) / line(21);
}

/** A plant under way: how far it has come, in days at the table's warmth, and how much of the medium its leaves cover. */
export class Plant {
  age = 0;
  leaves = 0;
  private readonly reachedAt: Partial<Record<Stage, number>> = {};

  constructor(
    readonly crop: Crop,
    readonly nature: Nature,
    private readonly forDark: boolean
  ) {}

  /** Whether it is just pushing off its shells. */
  get sheds(): boolean {
    const { lightReady } = this.nature;
    return this.age > lightReady * 0.85 && this.age < lightReady * 1.25;
  }

  /**
   * @param hours that go by, with light on it or not
   * @param held whether shells hold its leaves shut
   */
  live(now: number, hours: number, tempC: number, lit: boolean, held: boolean): void {
    const stretching = !this.forDark && !lit && this.age > this.nature.lightReady;
    this.age += ((hours / 24) * speedAt(this.crop, tempC)) / (stretching ? 3.5 : 1);
    // Leaves spread by their own area, until they shade each other.
    if (this.age > this.nature.rooted)
      this.leaves +=
        (hours / 24) *
        (0.15 + 1.4 * this.leaves) *
        (1 - this.leaves) *
        speedAt(this.crop, tempC) *
        (held ? 0.6 : 1);
    for (const stage of STAGES) if (this.age >= this.nature[stage]) this.reachedAt[stage] ??= now;
  }

  when(stage: Stage): number | null {
    return this.reachedAt[stage] ?? null;
  }
}
