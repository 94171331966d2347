import type { Crop } from '../../core/crops/crop.ts';
import type { LotStock } from '../../core/supplies/seed/lot.ts';
import type { KeptMedium } from '../../core/supplies/media/medium.ts';
import type { Method } from '../../core/supplies/methods/method.ts';
import { READY_METHODS } from '../../core/supplies/methods/ready.ts';
import { listLots } from '../cupboard/lots.ts';
import { listMedia } from '../cupboard/media.ts';
import { ownCropsOf } from '../crops/ownCrops.ts';
import { listLessons, type Lessons } from './learned.ts';
import type { Tx } from '../db/connection.ts';
import { listMethods } from '../methods/methods.ts';

/** What a household may choose from when it sows, beyond its places and containers. */
export interface Choices extends Pick<Lessons, 'learned' | 'yields'> {
  ownCrops: Crop[];
  methods: Method[];
  lots: LotStock[];
  media: KeptMedium[];
}

/** The choices of the transaction's household. */
export async function listChoices(tx: Tx): Promise<Choices> {
  const [ownCrops, own, lots, media, { learned, yields }] = await Promise.all([
    ownCropsOf(tx),
    listMethods(tx),
    listLots(tx),
    listMedia(tx),
    listLessons(tx)
  ]);
  return { ownCrops, methods: [...READY_METHODS, ...own], lots, media, learned, yields };
}
