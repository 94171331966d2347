import { areaCm2, type Container } from '../containers/container.ts';
import { cropOf } from '../crops/library.ts';
import type { Crop } from '../crops/crop.ts';
import { mediumDepthCm, type MediumKind } from '../medium/medium.ts';
import { methodOf, type Method } from '../methods/method.ts';
import { pathOf, type Path } from '../methods/path.ts';
import type { Millis } from '../time/zone.ts';

/** What was decided when a sowing was planned; it does not change afterwards. */
export interface SowingSetup {
  id: string;
  cropKey: string;
  container: Container;
  count: number;
  medium: MediumKind;
  methodKey: string;
  placeId: string;
  seedsPerCm2: number;
  germinationPct: number | null;
  seedG: number;
  /** Null for seed that is sown dry. */
  soakStartAt: Millis | null;
  soakEndAt: Millis | null;
  sowAt: Millis;
}

/** A setup with what follows from it alone. */
export interface Sowing {
  setup: SowingSetup;
  crop: Crop;
  method: Method;
  path: Path;
  areaCm2: number;
  mediumDepthCm: number;
}

/** @throws Error where the setup names a crop that the library does not have. */
export function sowingOf(setup: SowingSetup): Sowing {
  const crop = cropOf(setup.cropKey);
  const method = methodOf(setup.methodKey);
  return {
    setup,
    crop,
    method,
    path: pathOf(crop, method),
    areaCm2: areaCm2(setup.container) * setup.count,
    mediumDepthCm: mediumDepthCm(setup.medium, setup.container.depthCm)
  };
}
