import { costOf, type Cost } from '../../core/costs/cost.ts';
import { factsOfStory, type StoryFacts } from '../../core/notebook/facts.ts';
import { pantryOf, type Fate } from '../../core/pantry/item.ts';
import { factsOf } from '../../core/sowing/household.ts';
import { project } from '../../core/sowing/project.ts';
import { readLog } from '../../core/sowing/record.ts';
import type { Tx } from '../db/connection.ts';
import { householdNow } from '../households/household.ts';
import { loadHousehold, type LoadedHousehold } from '../households/loadHousehold.ts';
import { readPrices } from '../households/prices.ts';
import { findSowings } from '../sowings/sowings.ts';
import { factsUntil } from './derive.ts';

/** What a sowing came to, as it is set beside others. */
export interface SowingResult {
  facts: StoryFacts;
  cost: Cost;
  fate: Fate;
}

/** The stories of some sowings, each by the air of its own days. */
export async function storiesOf(
  tx: Tx,
  ids: readonly string[]
): Promise<{ stories: SowingResult[]; household: LoadedHousehold; currency: string }> {
  const [records, household, prices] = await Promise.all([
    findSowings(tx, ids),
    loadHousehold(tx),
    readPrices(tx)
  ]);
  const now = householdNow(household);
  const facts = factsOf(household);
  const airs = new Map<string, string | null>();
  const stories: SowingResult[] = [];
  for (const record of records) {
    const sowing = project(await factsUntil(tx, facts, record, airs), record.setup, readLog(record));
    stories.push({
      facts: factsOfStory(sowing, now),
      cost: costOf(sowing, prices, now),
      fate: pantryOf(sowing, facts.rhythm.zone).fate
    });
  }
  return { stories, household, currency: prices.currency };
}
