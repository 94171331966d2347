import type { Round } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';
import type { StepBody } from './step.ts';

/** A step that is to be done now, with what goes with it. */
export interface DueStep {
  /** Names it across devices and people: the same step has the same key. */
  key: string;
  body: StepBody;
  /** Since when it has been asked for. */
  dueAt: Millis;
  /** Asked for in a round before this one and not done. Never so where it is shown for the first time. */
  late: boolean;
  /** What is done in the same go: sowing is filling, damping, covering and pressing too. */
  with: readonly StepBody[];
}

/**
 * A step of a stage, or one that runs by the clock: late once a whole round has gone by since it was due.
 * @param dueAt past its stage's 90 %, its cue seen, or its end
 */
export const dueOnce = (
  key: string,
  body: StepBody,
  dueAt: Millis,
  round: Round,
  goesWith: readonly StepBody[] = []
): DueStep => ({ key, body, dueAt, late: dueAt <= round.before[0], with: goesWith });

/** Care, which is asked for round by round: late once two rounds asked for it in vain. */
export const dueCare = (key: string, body: StepBody, dueAt: Millis, round: Round): DueStep => ({
  key,
  body,
  dueAt,
  late: dueAt <= round.before[1],
  with: []
});
