import { openingOf, type Opening } from '../../core/ahead/opening.ts';
import { standsOf, type Stand } from '../../core/ahead/room.ts';
import { wholeYieldG } from '../../core/harvest/expected.ts';
import { factsOf } from '../../core/sowing/facts.ts';
import { standingOf } from '../../core/sowing/standing.ts';
import type { Tx } from '../db/connection.ts';
import { readBook } from '../households/book.ts';
import { findHousehold } from '../households/household.ts';
import { listUnderWay } from '../sowings/sowings.ts';
import { projectRecords } from './projectRecords.ts';

/** What is under way or planned: when it is expected to open and how much it still gives, and where it stands until when. */
export async function openings(tx: Tx): Promise<{ openings: Opening[]; stands: Stand[] }> {
  const [household, book, records] = await Promise.all([findHousehold(tx), readBook(tx), listUnderWay(tx)]);
  const facts = factsOf(household, book);
  const sowings = await projectRecords(facts, records);
  return {
    openings: sowings.map((sowing) =>
      openingOf(sowing.forecast, wholeYieldG(sowing).usual * (1 - sowing.state.cutShare))
    ),
    stands: standingOf(sowings).flatMap(standsOf)
  };
}
