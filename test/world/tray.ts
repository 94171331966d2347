import type { MediumKind } from '../../src/core/supplies/media/medium.ts';
import { HOUR, type Millis } from '../../src/core/time/zone.ts';
import { evaporationMmH } from './evaporation.ts';
import type { Mishaps } from './mishaps.ts';
import type { Plant } from './plant.ts';
import type { Room } from './room.ts';

/** What a cm of a medium truly holds for plants, mm: near what books say, and not the same. */
const HOLDS_MM_CM: Record<MediumKind, number> = {
  coir: 3.2,
  'peat-perlite': 2.8,
  'seed-mix': 2.9,
  'hemp-mat': 4.2,
  paper: 6.5,
  mesh: 0.5,
  none: 8
};
/** Hours at nothing that stands in leaf, after which it is lost. */
const BEARS_H = { low: 36, medium: 24, high: 12 } as const;
const DROWNS_H = 24;
/** A film is no standing water. */
const STANDS_CM = 0.1;

/** A container with a plant and water in it, going on by the hour. */
export class Tray {
  water: number;
  lostG = 0;
  driedOut = false;
  drowned = false;
  lit = false;
  covered: boolean;
  private dryH = 0;
  private wetH = 0;
  /** What the medium holds, g; the rest stands under it. */
  readonly holdsG: number;

  constructor(
    readonly plant: Plant,
    readonly mishaps: Mishaps,
    private readonly room: Room,
    private readonly areaCm2: number,
    private readonly on: {
      medium: MediumKind;
      depthCm: number;
      reservoirG: number;
      covered: boolean;
      sownAt: Millis;
    },
    private now: Millis = on.sownAt
  ) {
    this.holdsG = (HOLDS_MM_CM[on.medium] * on.depthCm * areaCm2) / 10 + on.reservoirG;
    this.water = 0;
    this.covered = on.covered;
  }

  /** Share of what it holds, 0 to 1 and over where water stands in it. */
  get share(): number {
    return this.water / this.holdsG;
  }

  /** How damp its medium feels, 0 to 1: over a reservoir it is wet for as long as that holds anything. */
  get feels(): number {
    const { medium, depthCm, reservoirG } = this.on;
    const mediumG = (HOLDS_MM_CM[medium] * depthCm * this.areaCm2) / 10;
    return reservoirG > 0 && this.water > mediumG ? 0.8 : Math.min(1, this.water / mediumG);
  }

  /** What stands in it is tipped out. It was wet for as long as it was. */
  pourOff(): void {
    this.water = Math.min(this.water, this.holdsG);
  }

  /** How deep water stands that nothing takes up, cm. */
  get standsCm(): number {
    return Math.max(0, this.water - this.holdsG) / this.areaCm2;
  }

  pour(g: number): void {
    this.water += g;
  }

  /** Into a reservoir: who pours sees when it is full. */
  fillUp(g: number): void {
    this.water = Math.max(this.water, Math.min(this.holdsG, this.water + g));
  }

  live(until: Millis): void {
    while (this.now < until) {
      const next = Math.min(until, this.now + HOUR);
      const hours = (next - this.now) / HOUR;
      const weather = this.room.at(this.now);
      const goes = evaporationMmH(this.lit ? weather : { ...weather, netWm2: 0 }, {
        covered: this.covered,
        leaves: this.plant.leaves
      });
      const lost = Math.min(this.water, (goes * hours * this.areaCm2) / 10);
      this.water -= lost;
      this.lostG += lost;
      this.plant.live(next, hours, weather.tempC, this.lit, this.mishaps.clinging);
      this.mishaps.live(hours, weather, {
        covered: this.covered,
        stands: this.standsCm > STANDS_CM,
        sheds: this.plant.sheds,
        dry: this.feels < 0.3 || (!this.covered && weather.rhPct < 50)
      });
      // Under a lid what little is there lasts; in the open, roots die.
      this.dryH = this.water < this.holdsG * 0.02 && !this.covered ? this.dryH + hours : 0;
      this.wetH = this.standsCm > STANDS_CM ? this.wetH + hours : 0;
      if (this.dryH > BEARS_H[this.plant.crop.droughtRisk]) this.driedOut = true;
      if (this.wetH > DROWNS_H) this.drowned = true;
      this.now = next;
    }
  }
}
