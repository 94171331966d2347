import type { PlannedSowing } from '$core/sowing/planSowing.ts';
import { beginsAt } from '$core/sowing/soak.ts';
import { seedMass } from '$core/units/format.ts';
import { dayAndTime, type Locale } from './time.ts';

/** What a planned sowing begins with, when, and with how much seed: for the messages that say so. */
export const firstStep = ({ plan, setup }: PlannedSowing, now: number, locale: Locale) => ({
  step: plan.soak.soakStart === null ? 'sow' : 'soak',
  seed: seedMass(setup.seedG, locale.units),
  at: dayAndTime(beginsAt(plan.soak), now, locale)
});
