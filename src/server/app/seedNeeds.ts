import { seedOf } from '../../core/ahead/drawn.ts';
import { aheadInSteps } from '../../core/ahead/household.ts';
import type { SeedNeed } from '../../core/ahead/seedList.ts';
import { Breath } from '../requests/breath.ts';
import { inSession } from '../requests/session.ts';
import { aheadData } from './aheadData.ts';

/** What seed the weeks ahead of a household take, crop by crop. */
export async function householdSeedNeeds(locals: App.Locals): Promise<SeedNeed[]> {
  // Worked out once the connection is free again: many trays take a while.
  const data = await inSession(locals, aheadData);
  return seedOf(data, await new Breath().through(aheadInSteps(data)));
}
