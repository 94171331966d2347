import { openingOf, type Opening } from '../../core/ahead/opening.ts';
import { standsOf, type Stand } from '../../core/ahead/room.ts';
import { wholeYieldG } from '../../core/harvest/expected.ts';
import { factsOf, type Household } from '../../core/sowing/household.ts';
import { standingOf } from '../../core/sowing/standing.ts';
import type { Tx } from '../db/connection.ts';
import { listUnderWay } from '../sowings/sowings.ts';
import { projectRecords } from './projectRecords.ts';

/** What is under way or planned: when it is expected to open and how much it still gives, and where it stands until when. */
export async function openings(
  tx: Tx,
  household: Household
): Promise<{ openings: Opening[]; stands: Stand[] }> {
  const sowings = await projectRecords(factsOf(household), await listUnderWay(tx));
  return {
    openings: sowings.map((sowing) =>
      openingOf(sowing.forecast, wholeYieldG(sowing).usual * (1 - sowing.state.cutShare))
    ),
    stands: standingOf(sowings).flatMap(standsOf)
  };
}
