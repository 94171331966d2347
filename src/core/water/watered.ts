import type { Place } from '../places/place.ts';
import type { Crop } from '../crops/crop.ts';
import type { Forecast, Stay } from '../growth/forecast.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import type { Container } from '../supplies/containers/container.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import type { Path } from '../supplies/methods/path.ts';
import type { Millis } from '../time/zone.ts';

/** Water that was given, or how much was found, in the order it happened. */
export type WaterFact = { at: Millis } & (
  | {
      addedG: number;
      /** A breath of it on the leaves, which pours off no pool and is no watering. */
      onLeaves?: true;
    }
  /** Between these shares of all it holds, by its weight in the hand. */
  | { between: readonly [low: number, high: number] }
  /** Between these shares of what its medium holds, as that looks and feels: what stands below keeps it wet. */
  | { feels: readonly [low: number, high: number] }
  | { grossG: number; full: boolean }
);

/** What of a sowing its water depends on: what it stands in, what lies on it, where, and what happened to it. */
export interface Watered {
  crop: Crop;
  path: Path;
  areaCm2: number;
  mediumDepthCm: number;
  setup: { medium: MediumKind; container: Container; count: number; areaShare: number };
  /** The start of its clock: when it was sown, or is to be. */
  startAt: Millis;
  stays: readonly Stay[];
  /** Where it is carried as it comes to light; null where it stays. */
  carriedTo: Place | null;
  forecast: Forecast;
  /** The longest gap between two rounds of its household, hours. */
  gapH: number;
  /** ln of the factor on water loss that it started from. */
  thirst: Gaussian;
  state: {
    sownAt: Millis | null;
    litAt: Millis | null;
    water: readonly WaterFact[];
    /** When somebody looked at its plants. */
    looks: readonly { at: Millis }[];
    cuts: readonly { at: Millis; netG: number; share: number }[];
    regrowsSince: Millis | null;
  };
}
