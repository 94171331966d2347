import { roundAt, roundsBetween, type Rhythm } from '../time/rhythm.ts';
import { HOUR, type Millis } from '../time/zone.ts';
import type { Reminder } from './reminder.ts';

/** What is over waits this long for the round that tells of it anyway, where that does no harm (starting figure). */
const WAITS_H = 1;

/** The step of a round that follows a timer; of the others a round says nothing. */
const STEP_AFTER = { soak: 'drain', drain: 'sow', rinse: null, disinfect: null } as const;

/**
 * The round whose reminder already announces that a soak or drain is over, so that the timer need not announce it too: a round
 * that is due at the same moment, or within the hour and before the seed suffers. Null for none.
 * @param others the other reminders of the same moment
 * @param at when the reminder is delivered; quiet hours may delay it
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
