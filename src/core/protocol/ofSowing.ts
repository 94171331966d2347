import { cropOf } from '../crops/library.ts';
import type { Followed } from '../sowing/follow.ts';
import type { OwnCrops } from '../sowing/sowing.ts';
import { compileProtocol } from './compile.ts';
import type { Step } from './step.ts';

/** The protocol of a sowing as it stands: what is behind it at its planned time, the rest as expected now. */
export function protocolOf(followed: Followed, own: OwnCrops = new Map()): Step[] {
  const { setup, crop, path, method, areaCm2, mediumDepthCm, place, soak, forecast } = followed;
  const find = (key: string) => own.get(key) ?? cropOf(key);
  const parts = setup.mix?.map((part) => ({ ...part, crop: find(part.cropKey) })) ?? [
    { cropKey: setup.cropKey, crop, seedG: setup.seedG, lotId: setup.lotId }
  ];
  return compileProtocol({
    crop,
    method,
    path,
    medium: setup.medium,
    mediumDepthCm,
    areaCm2,
    place,
    seed: parts.map(({ cropKey, crop: part, seedG, lotId }) => ({ cropKey, name: part.name, seedG, lotId })),
    seedCrops: parts.map((part) => part.crop),
    soak,
    forecast
  });
}
