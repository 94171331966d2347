import type { Place } from '../clock/place.ts';
import type { Crop } from '../crops/crop.ts';
import { mediumDepthCm, type MediumKind } from '../medium/medium.ts';
import type { Method } from '../methods/method.ts';
import type { Plan } from '../plan/plan.ts';
import { compileProtocol } from './compile.ts';
import type { SeedLine, Step } from './step.ts';

/** The protocol of a sowing that is only planned. */
export function protocolOfPlan(
  plan: Plan,
  of: {
    crop: Crop;
    method: Method;
    medium: MediumKind;
    containerDepthCm: number;
    containers: number;
    /** What their reservoirs hold together; null for none of their own. */
    reservoirMl: number | null;
    place: Place;
    seed: readonly (Omit<SeedLine, 'intoWaterAfterH'> & { crop: Crop })[];
  }
): Step[] {
  return compileProtocol({
    crop: of.crop,
    method: of.method,
    path: plan.path,
    medium: of.medium,
    mediumDepthCm: mediumDepthCm(of.medium, of.containerDepthCm),
    areaCm2: plan.seed.areaCm2,
    containers: of.containers,
    reservoirMl: of.reservoirMl,
    place: of.place,
    seed: of.seed.map(({ cropKey, name, seedG, lotId }) => ({ cropKey, name, seedG, lotId })),
    seedCrops: of.seed.map(({ crop }) => crop),
    soak: plan.soak,
    forecast: plan.forecast
  });
}
