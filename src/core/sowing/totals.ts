import type { EventBody } from './event.ts';
import type { SowingState } from './reduce.ts';

type Of<T extends EventBody['type']> = Extract<EventBody, { type: T }>;

/** What happened to a sowing of some kinds, without what was taken back or done twice. */
export const bodiesOf = <T extends EventBody['type']>(
  { log }: SowingState,
  ...types: readonly T[]
): Of<T>[] =>
  log.flatMap(({ event: { body }, undone, repeat }) =>
    !undone && !repeat && (types as readonly string[]).includes(body.type) ? [body as Of<T>] : []
  );

/** All feed that it was given, mL off the bottle, and how often. */
export function fedOf(state: SowingState): { mL: number; times: number } {
  const fed = bodiesOf(state, 'fed');
  return { mL: fed.reduce((sum, { feedMl }) => sum + feedMl, 0), times: fed.length };
}

/** All water that it was given, g: on its medium, poured, misted and with feed. */
export const wateredG = (state: SowingState): number =>
  bodiesOf(state, 'sown', 'misted', 'watered', 'fed').reduce((sum, { waterG }) => sum + waterG, 0);

/** What was cut of it in all, g. */
export const cutG = ({ cuts }: Pick<SowingState, 'cuts'>): number =>
  cuts.reduce((sum, { netG }) => sum + netG, 0);
