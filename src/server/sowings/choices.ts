import type { Crop } from '../../core/crops/crop.ts';
import type { LotStock } from '../../core/supplies/seed/lot.ts';
import type { Disinfectant, Strengths } from '../../core/supplies/seed/disinfect.ts';
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

/** Strengths off the labels of the household's products, as last used: it keeps one bottle of each for all its crops. */
export async function lastStrengths(tx: Tx): Promise<Strengths> {
  const rows = await tx<{ product: Disinfectant; pct: number }[]>`
    select distinct on (method ->> 'disinfect') method ->> 'disinfect' as product,
      (method #>> '{disinfectRule,productPct}')::double precision as pct
    from sowings where method ->> 'disinfect' in ('hypochlorite', 'peroxide')
      and jsonb_typeof(method #> '{disinfectRule,productPct}') = 'number'
    order by method ->> 'disinfect', created_at desc`;
  return Object.fromEntries(rows.map(({ product, pct }) => [product, pct]));
}
