import { table } from '$messages/t.ts';
import type { Cleaning } from '$core/sowing/event.ts';
import type { StepKind } from '$core/steps/step.ts';

/** What each step is called, as the heading of its section. */
export const STEP_NAMES: Record<StepKind, string> = table('steps.step');

/** What the hands do for every line of a section, once. */
export const STEP_LEADS: Partial<Record<StepKind, string>> = table('steps.stepLeads');

/** What is done to an emptied container. */
export const CLEANING_NAMES: Record<Cleaning, string> = table('steps.cleaning');

const CLEANING_IN_TEXT: Record<Cleaning, string> = table('steps.cleaningInText');

/** Some steps of cleaning in one line. */
export const cleaningNames = (steps: readonly Cleaning[]): string =>
  steps.map((step, nth) => (nth === 0 ? CLEANING_NAMES[step] : CLEANING_IN_TEXT[step])).join(', ');
