import { project, type HouseholdFacts, type Projected } from '../../core/sowing/project.ts';
import { readLog, type SowingRecord } from '../../core/sowing/record.ts';
import { Breath } from '../requests/breath.ts';

/** How some sowings stand; others are answered between two of them. */
export async function projectRecords(
  facts: HouseholdFacts,
  records: readonly Pick<SowingRecord, 'setup' | 'log'>[]
): Promise<Projected[]> {
  const breath = new Breath();
  const all: Projected[] = [];
  for (const record of records) {
    all.push(project(facts, record.setup, readLog(record)));
    await breath.taken();
  }
  return all;
}
