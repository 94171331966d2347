import type { SowingEvent } from '../sowing/event.ts';
import type { HouseholdFacts, Projected } from '../sowing/project.ts';
import { projectInSteps, type Story } from '../sowing/projectInSteps.ts';
import { roundAt, roundsBetween } from '../time/rhythm.ts';
import { DAY, MINUTE, type Millis } from '../time/zone.ts';
import { walk, type StopStep, type Walk } from './walk.ts';

/** Which of a round's steps are taken for done, so that the rounds after it are asked as they will stand then. */
export type Doing = (step: StopStep, at: Millis) => boolean;

/** How those of some sowings stand that have not ended, in steps of a sowing each. */
export function* standingInSteps(
  facts: HouseholdFacts,
  stories: readonly Story[]
): Generator<void, Projected[], void> {
  return (yield* projectInSteps(facts, stories)).filter(({ state }) => state.stage !== 'ended');
}

/** One round to come, with what it will ask for. */
export interface RoundAhead {
  at: Millis;
  walk: Walk;
}

/** Further ahead nothing that stands now still stands. */
export const AHEAD_D = 60;

/** Whoever is at home does all that a round says. */
const doesAll: Doing = () => true;

/**
 * The rounds expected between two moments, and how the sowings stand after them. Each round is the same walk as today's, on
 * trays to which everything that `doing` chose from the rounds before it was done. Nobody looks at a tray meanwhile, so its
 * stages come as expected. In small steps, so that the caller can do other work between them.
 */
export function* goThroughInSteps(
  facts: HouseholdFacts,
  stories: readonly Story[],
  from: Millis,
  until: Millis,
  doing: Doing = doesAll
): Generator<void, { rounds: RoundAhead[]; stories: Story[] }, void> {
  let standing: Story[] = [...stories];
  const rounds: RoundAhead[] = [];
  for (const at of roundsBetween(facts.rhythm, from, Math.min(until, from + AHEAD_D * DAY))) {
    const projected = yield* standingInSteps(facts, standing);
    const here = walk(projected, roundAt(facts.rhythm, at), at);
    const done = here.stops.flatMap(({ steps }) =>
      steps.filter((step) => doing(step, at)).flatMap((step) => eventsOf(step, at))
    );
    if (done.length > 0)
      standing = standing.map((story) => {
        const own = done.filter(({ sowingId }) => sowingId === story.setup.id);
        return own.length === 0
          ? story
          : { ...story, events: [...story.events, ...own.map(({ event }) => event)] };
      });
    rounds.push({ at, walk: here });
    yield;
  }
  return { rounds, stories: standing };
}

/** What a step records, a few minutes into its round; a cut takes all that stands. */
function eventsOf(step: StopStep, at: Millis): { sowingId: string; event: SowingEvent }[] {
  return step.of.flatMap(({ projected, records, key }) => {
    const body =
      step.body.kind === 'cut'
        ? ({ type: 'cut', grossG: Math.max(1, step.body.expectedG), tareG: 0, share: 1, last: true } as const)
        : records;
    const event = body && { id: `${key}@${at}`, at: at + MINUTE, by: null, taskKey: key, body };
    return event ? [{ sowingId: projected.setup.id, event }] : [];
  });
}
