import { absenceOf, type Period } from '../../core/away/period.ts';
import { awayPlan } from '../../core/away/plan.ts';
import { namedOf } from '../../core/reminders/named.ts';
import { bodyOfWalk } from '../../core/reminders/rounds.ts';
import type { AwayOutlook } from '../../contract/away.ts';
import { householdNow } from '../households/household.ts';
import type { Standing } from './judgeHousehold.ts';

/** What days away mean for the trays that stand now. */
export function awayOutlook({ household, facts, reminding }: Standing, period: Period): AwayOutlook {
  const absence = absenceOf(period, facts.rhythm);
  const { trays, rounds } = awayPlan(facts, reminding.stories ?? [], absence, householdNow(household));
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
