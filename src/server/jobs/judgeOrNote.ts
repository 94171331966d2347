import { judgeHousehold } from '../app/judgeHousehold.ts';
import { inHousehold } from '../db/connection.ts';
import { isPassing } from '../db/unavailable.ts';
import { noteUnjudged } from '../reminders/judging.ts';

/**
 * Judges a household, or notes why it cannot be judged, so that it is tried again later and holds up nobody meanwhile.
 * @returns how many reminders were new
 * @throws whatever passes by itself, such as a database that is away: that is no fault of the household
 */
export async function judgeOrNote(
  householdId: string,
  judge: (householdId: string) => Promise<number> = judgeHousehold
): Promise<number> {
  try {
    return await judge(householdId);
  } catch (error) {
    if (isPassing(error)) throw error;
    const fault = error instanceof Error ? error.message : String(error);
    const isSetAside = await inHousehold(householdId, (tx) => noteUnjudged(tx, fault));
    const next = isSetAside
      ? 'It is set aside until something in it changes or a worker starts.'
      : 'It is tried again.';
    console.error(
      new Date().toISOString(),
      `Reminders of household ${householdId} could not be worked out. ${next}`,
      error
    );
    return 0;
  }
}
