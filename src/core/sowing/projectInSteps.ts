import { project, type HouseholdFacts, type Projected } from './project.ts';
import type { SowingEvent } from './event.ts';
import type { SowingSetup } from './sowing.ts';

/** A sowing with what happened to it so far. */
export interface Story {
  setup: SowingSetup;
  events: readonly SowingEvent[];
}

/** Projects some sowings, one a step, so that the caller can do other work between them. */
export function* projectInSteps(
  facts: HouseholdFacts,
  stories: readonly Story[]
): Generator<void, Projected[], void> {
  const all: Projected[] = [];
  for (const { setup, events } of stories) {
    all.push(project(facts, setup, events));
    yield;
  }
  return all;
}
