import { seedOf } from '../../core/ahead/drawn.ts';
import { aheadInSteps } from '../../core/ahead/household.ts';
import type { SeedNeed } from '../../core/ahead/seedList.ts';
import type { Tx } from '../db/connection.ts';
import { Breath } from '../requests/breath.ts';
import { aheadData } from './aheadData.ts';

/** What seed the weeks ahead of the transaction's household take, crop by crop. */
export async function seedNeeds(tx: Tx): Promise<SeedNeed[]> {
  const data = await aheadData(tx);
  return seedOf(data, await new Breath().through(aheadInSteps(data)));
}
