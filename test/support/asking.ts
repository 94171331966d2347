import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { home, radishTray, SOWN } from './household.ts';

/** What a tray of radish asks for so many hours after it was sown. */
export function asked(
  hours: number,
  events: SowingEvent[],
  setup: Partial<SowingSetup> = {},
  facts: HouseholdFacts = home
) {
  const now = SOWN + hours * HOUR;
  return askOf(project(facts, radishTray(setup), events), roundAt(facts.rhythm, now), now);
}

/** Which kinds of task those are. */
export const kindsAsked = (...of: Parameters<typeof asked>) =>
  asked(...of).steps.map(({ body }) => body.kind);
