import { openingOf, type Opening } from '../../core/ahead/opening.ts';
import { wholeYieldG } from '../../core/harvest/expected.ts';
import { factsOf } from '../../core/sowing/facts.ts';
import { project } from '../../core/sowing/project.ts';
import { readLog } from '../../core/sowing/record.ts';
import type { Tx } from '../db/connection.ts';
import { readBook } from '../households/book.ts';
import { findHousehold } from '../households/household.ts';
import { listUnderWay } from '../sowings/sowings.ts';

/** When what is under way or planned is expected to open, and how much it still gives. */
export async function openings(tx: Tx): Promise<Opening[]> {
  const [household, book, records] = await Promise.all([findHousehold(tx), readBook(tx), listUnderWay(tx)]);
  const facts = factsOf(household, book);
  return records.map((record) => {
    const sowing = project(facts, record.setup, readLog(record));
    return openingOf(sowing.forecast, wholeYieldG(sowing).usual * (1 - sowing.state.cutShare));
  });
}
