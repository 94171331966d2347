import type { Crop } from '../../src/core/crops/crop.ts';
import { HOUR, type Millis } from '../../src/core/time/zone.ts';
import type { Chance } from '../../src/server/demo/chance.ts';
import type { Weather } from './room.ts';

/** Threads that can be seen, and a tray that is nothing but threads, in days of the best growth from a spore on. */
const SEEN_D = 1;
const LOST_D = 3.5;
/** Damp air at a stem lets spores grow from here on, as a share. */
const DAMP = 0.86;
/** Hours within which shells that dry cling. */
const SHELLS_DRY_H = 10;

/**
 * What befalls a tray: threads that spread where air stands damp, and shells that dry onto leaves. The world's own laws:
 * spores come by chance, with big seed more often, and grow by a bell over warmth; shells cling where they were dry while
 * they were being shed.
 */
export class Mishaps {
  /** Days that the oldest colony has grown at its best; 0 for no colony. */
  mouldD = 0;
  clinging = false;
  private shellsDryH = 0;
  private readonly sporesADay: number;

  constructor(
    private readonly crop: Crop,
    private readonly chance: Chance
  ) {
    this.sporesADay = 0.02 + 0.05 * Math.min(1, crop.thousandSeedWeightG / 100);
  }

  get mouldShows(): boolean {
    return this.mouldD > SEEN_D;
  }

  get isLost(): boolean {
    return this.mouldD > LOST_D;
  }

  /** Wiped off, and air let at it. */
  wipe(): void {
    this.mouldD = Math.min(this.mouldD, 0.3);
  }

  /** The shells are misted and brushed off. */
  brush(): void {
    this.clinging = false;
    this.shellsDryH = -Infinity;
  }

  /** @param sheds whether shells are being shed just now */
  live(
    hours: number,
    { tempC, rhPct }: Weather,
    { covered, stands, sheds, dry }: { covered: boolean; stands: boolean; sheds: boolean; dry: boolean }
  ): void {
    const damp = covered || stands ? 0.97 : rhPct / 100;
    const grows = damp < DAMP ? -0.3 : Math.exp(-(((tempC - 25) / 6) ** 2));
    if (this.mouldD > 0) this.mouldD = Math.max(0, this.mouldD + (grows * hours) / 24);
    else if (grows > 0 && this.chance.uniform() < (this.sporesADay * grows * hours) / 24) this.mouldD = 0.01;
    if (sheds && dry) this.shellsDryH += hours;
    if (this.shellsDryH > SHELLS_DRY_H && this.crop.thousandSeedWeightG > 4) this.clinging = true;
  }
}

/** How long after mould was wiped off nobody speaks of it again. */
export const SPOKEN_MS: Millis = 20 * HOUR;
