import { t } from '../../messages/t.ts';
import type { ChoiceData } from '../../core/choice/choiceData.ts';
import type { Place } from '../../core/places/place.ts';
import { planSowing, type PlannedSowing } from '../../core/sowing/planSowing.ts';
import { factsOf } from '../../core/sowing/household.ts';
import { plannedProblems, resolve, type FieldProblem } from '../../core/choice/resolve.ts';
import type { newSowingSchema } from '../../contract/schemas/sowing.ts';
import { problemWords } from '../../words/problems.ts';
import type { InferType } from 'yup';
import { rebuild } from './rebuild.ts';
import type { Tx } from '../db/connection.ts';
import { addPlace } from '../households/places.ts';
import type { Session } from '../sessions/sessions.ts';
import { addSowing, findSowing } from '../sowings/sowings.ts';
import { householdOptions } from './householdOptions.ts';

/** A choice with what makes sending it again safe. */
export type NewSowing = ChoiceData &
  Pick<InferType<typeof newSowingSchema>, 'ids' | 'newPlace' | 'shownSeedG'>;

/** A sowing that cannot be: thrown, so that nothing of it stays behind, not even its new place. */
export class Wrong extends Error {
  override readonly name = 'Wrong';
  constructor(
    readonly field: string,
    say: string,
    readonly status: 409 | 422 = 422
  ) {
    super(say);
  }
}

/** @throws Wrong for the first of some problems */
function refuse(problems: readonly FieldProblem[]): never {
  const { field, problem } = problems[0]!;
  throw new Wrong(field, problemWords(problem));
}

/** Shown and planned are the same but for what a screen rounds. */
const isAsShown = (shownG: number, seedG: number): boolean =>
  Math.abs(shownG - seedG) <= 0.001 + seedG * 1e-6;

/**
 * Plans and keeps what somebody chose: one sowing, or the two of a tray of halves, all or nothing. Sending it again
 * adds nothing.
 * @returns their ids, and whether they are new
 * @throws Wrong naming the field that keeps it from being sown
 */
export async function sow(
  tx: Tx,
  { household, memberId }: Pick<Session, 'household' | 'memberId'>,
  sent: NewSowing
): Promise<{ ids: string[]; added: boolean }> {
  const ids = sent.kind === 'halves' ? [sent.ids.first, sent.ids.second] : [sent.ids.first];
  if (await findSowing(tx, sent.ids.first)) return { ids, added: false };
  if (sent.newPlace) await addPlace(tx, household.id, sent.newPlace as Place);
  const options = await householdOptions(tx);
  const resolved = resolve(sent, options);
  if (!resolved.ok) return refuse(resolved.problems);
  const facts = factsOf(options.household);
  const planned = planSowing(resolved.choice, { ...facts, now: options.now });
  const problems = plannedProblems(planned);
  if (problems.length > 0) refuse(problems);
  refuseOtherThanShown(planned, sent);
  for (const [index, { setup }] of planned.entries()) {
    const id = ids[index] ?? sent.ids.second;
    const half = setup.half && { ...setup.half, trayId: sent.ids.first };
    await addSowing(
      tx,
      household.id,
      { ...setup, id, half },
      {
        memberId,
        at: options.now,
        containerId: sent.ids.container
      }
    );
  }
  // What it is found by is worked out with it.
  await rebuild(tx, { ids }, facts);
  return { ids, added: true };
}

function refuseOtherThanShown(planned: readonly PlannedSowing[], { shownSeedG }: NewSowing): void {
  const other = planned.find(({ setup: { seedG } }, index) => {
    const shown = shownSeedG?.[index];
    return shown !== undefined && !isAsShown(shown, seedG);
  });
  if (other)
    throw new Wrong('ownSeedG', t('errors.changedSince', { seedG: other.setup.seedG.toFixed(1) }), 409);
}
