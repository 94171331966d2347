import { reservoirMlOf } from '../containers/container.ts';
import type { Followed } from '../sowing/follow.ts';
import { cropAmong, type OwnCrops } from '../sowing/sowing.ts';
import { compileProtocol } from './compile.ts';
import type { Step } from './step.ts';

/** The protocol of a sowing as it stands: what is behind it at its planned time, the rest as expected now. */
export function protocolOf(followed: Followed, own: OwnCrops = new Map()): Step[] {
  const { setup, crop, path, method, areaCm2, mediumDepthCm, place, soak, forecast } = followed;
  const parts = setup.mix?.map((part) => ({ ...part, crop: cropAmong(own, part.cropKey) })) ?? [
    { cropKey: setup.cropKey, crop, seedG: setup.seedG, lotId: setup.lotId }
  ];
  return compileProtocol({
    crop,
    method,
    path,
    medium: setup.medium,
    mediumDepthCm,
    areaCm2,
    containers: setup.count,
    reservoirMl: reservoirMlOf(setup),
    place,
    seed: parts.map(({ cropKey, crop: part, seedG, lotId }) => ({ cropKey, name: part.name, seedG, lotId })),
    seedCrops: parts.map((part) => part.crop),
    soak,
    forecast
  });
}
