// One of two processes that share what is due, for the benchmark: it ends when nothing is left, and says how many it judged.
import { judgeHousehold } from '../../src/server/app/judgeHousehold.ts';
import { claimHouseholds } from '../../src/server/reminders/judging.ts';

let judged = 0;
for (let ids = await claimHouseholds(8); ids.length > 0; ids = await claimHouseholds(8))
  for (const id of ids) {
    await judgeHousehold(id);
    judged += 1;
  }
process.send?.(judged);
process.disconnect();
