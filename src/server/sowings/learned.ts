import type { CropLearned, Learned } from '../../core/window/learned.ts';
import type { Tx } from '../db/connection.ts';

interface EndedRow {
  crop_key: string;
  mean: number;
  variance: number;
  trays: number;
}

interface UnderWayRow {
  id: string;
  crop_key: string;
  pace_mean: number;
  pace_variance: number;
}

/**
 * What the household's trays have taught: those that ended put together by crop (the product of their
 * normal observations), those under way one by one. Blended seed teaches of no crop alone.
 */
export async function listLearned(tx: Tx): Promise<Learned> {
  const [ended, underWay] = await Promise.all([
    tx<EndedRow[]>`
      select crop_key, sum(pace_mean / pace_variance) / sum(1 / pace_variance) as mean,
        1 / sum(1 / pace_variance) as variance, count(*)::int as trays
      from sowings where ended_at is not null and pace_variance is not null and mix is null
      group by crop_key order by crop_key`,
    tx<UnderWayRow[]>`
      select id, crop_key, pace_mean, pace_variance from sowings
      where ended_at is null and pace_variance is not null and mix is null order by id`
  ]);
  return {
    ended: ended.map(({ crop_key, mean, variance, trays }): CropLearned => ({
      cropKey: crop_key,
      message: { mean, variance },
      trays
    })),
    underWay: underWay.map(({ id, crop_key, pace_mean, pace_variance }) => ({
      sowingId: id,
      cropKey: crop_key,
      message: { mean: pace_mean, variance: pace_variance }
    }))
  };
}
