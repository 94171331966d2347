import type { HouseholdFacts, Projected } from '../../core/sowing/project.ts';
import { projectInSteps } from '../../core/sowing/projectInSteps.ts';
import { storyOf, type SowingRecord } from '../../core/sowing/record.ts';
import { Breath } from '../requests/breath.ts';

/** How some sowings stand; other requests are answered between two of them. */
export const projectRecords = (
  facts: HouseholdFacts,
  records: readonly Pick<SowingRecord, 'setup' | 'log'>[]
): Promise<Projected[]> => new Breath().through(projectInSteps(facts, records.map(storyOf)));
