import { awayPlan } from '../away/plan.ts';
import { absenceOf, type Period } from '../away/period.ts';
import type { HouseholdFacts } from '../sowing/project.ts';
import type { Story } from '../sowing/projectInSteps.ts';
import { MINUTE, type Millis } from '../time/zone.ts';
import type { Candidate } from './candidate.ts';
import { namedOf } from './named.ts';

/** The evening before whoever leaves walks their last round, what is best done until then. */
export const leavingReminders = (
  facts: HouseholdFacts,
  stories: readonly Story[],
  away: readonly Period[],
  now: Millis
): Candidate[] =>
  away.map((period): Candidate => {
    const { rhythm } = facts;
    const absence = absenceOf(period, rhythm);
    const dayBefore = rhythm.zone.date(absence.leavesAt).subtract({ days: 1 });
    return {
      key: `leaving:${period.fromDay}`,
      kind: 'away',
      dueAt: Math.min(rhythm.zone.at(dayBefore, rhythm.roundsMin.at(-1)!), absence.leavesAt - 2 * MINUTE),
      until: absence.leavesAt,
      body: () => {
        const { trays, rounds } = awayPlan(facts, stories, absence, now);
        const of = (verdict: (typeof trays)[number]['verdict']) =>
          trays.filter((tray) => tray.verdict === verdict);
        if (trays.every(({ verdict }) => verdict === 'lasts')) return null;
        return {
          type: 'leaving',
          ...period,
          leavesAt: absence.leavesAt,
          cut: of('cut').map(({ standing, cutG, lostG }) => ({ ...namedOf(standing.sowings), cutG, lostG })),
          cool: of('cool').map(({ standing, coolPlace }) => ({
            ...namedOf(standing.sowings),
            toName: coolPlace?.name ?? ''
          })),
          putOff: of('put-off').map(({ standing }) => namedOf(standing.sowings)),
          sitter: of('sitter').map(({ standing }) => namedOf(standing.sowings)),
          visits: rounds.length
        };
      }
    };
  });
