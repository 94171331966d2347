import { roundAt, roundsBetween, type Rhythm } from '../time/rhythm.ts';
import { HOUR, type Millis } from '../time/zone.ts';
import type { Reminder } from './reminder.ts';

/** What is over waits this long for the round that tells of it anyway, where that does no harm (starting figure). */
const WAITS_H = 1;

/** The step of a round that follows a timer; of the others a round says nothing. */
const STEP_AFTER = { soak: 'drain', drain: 'sow', rinse: null, disinfect: null } as const;

/**
 * The round whose own reminder tells of a soak or drain that is over, so that it need not be told twice: one that is told at the
 * same moment, or comes within the hour and before longer does harm. Null for none.
 * @param others what is told at the same moment
 * @param at when it reaches its reader, whose night may hold it
 * @returns the key of the round
 */
export function roundThatTells(
  { body }: Pick<Reminder, 'body'>,
  others: readonly Pick<Reminder, 'body'>[],
  rhythm: Rhythm,
  at: Millis
): string | null {
  if (body.type !== 'timer' || body.state !== 'due') return null;
  const { kind, cropName, latestAt } = body.timer;
  const step = STEP_AFTER[kind];
  if (step === null || latestAt === null) return null;
  for (const { body: other } of others)
    if (other.type === 'round')
      for (const { steps } of other.stops)
        if (steps.some((one) => one.body.kind === step && one.crops.includes(cropName)))
          return other.roundKey;
  const [next] = roundsBetween(rhythm, at + 1, Math.min(at + WAITS_H * HOUR, latestAt - 1));
  return next === undefined ? null : roundAt(rhythm, next).key;
}
