import { absenceOf, type Period } from '../../core/away/period.ts';
import { awayPlanInSteps } from '../../core/away/plan.ts';
import { namedOf } from '../../core/reminders/named.ts';
import { bodyOfWalk } from '../../core/reminders/rounds.ts';
import type { AwayOutlook } from '../../contract/away.ts';
import { Breath } from '../requests/breath.ts';
import type { HouseholdStanding } from './householdStanding.ts';

/** What days away mean for the trays that stand now. */
export async function awayOutlook(
  { facts, reminding, now }: HouseholdStanding,
  period: Period
): Promise<AwayOutlook> {
  const absence = absenceOf(period, facts.rhythm);
  const { trays, rounds } = await new Breath().through(
    awayPlanInSteps(facts, reminding.stories ?? [], absence, now)
  );
  return {
    ...period,
    ...absence,
    trays: trays.map(({ standing, coolPlace, ...rest }) => ({
      ...rest,
      ...namedOf(standing.sowings),
      key: standing.key,
      sowingIds: standing.sowings.map(({ setup }) => setup.id),
      coolName: coolPlace?.name ?? null,
      coolPlaceId: coolPlace?.id ?? null
    })),
    rounds: rounds.flatMap(({ walk }) => bodyOfWalk(walk) ?? [])
  };
}
