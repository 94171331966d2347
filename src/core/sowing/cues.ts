import { CUE_MARKS, type CueMark, type Cues } from '../growth/telling.ts';
import type { Path } from '../supplies/methods/path.ts';
import { slipsOf } from '../growth/slips.ts';
import type { SowingState } from './reduce.ts';

/** Of a sowing's cues: what its household told, and what it left although the sowing went on past it. */
export function cuesTold(
  state: SowingState,
  { blackout, lightFrom }: Pick<Path, 'blackout' | 'lightFrom'>
): Cues {
  const { looks, uncoveredAt, litAt, staysCovered } = state.first ?? state;
  const isTold = (mark: CueMark): boolean => looks.some((look) => look.mark === mark);
  const isPast: Record<CueMark, boolean> = {
    rooted: uncoveredAt !== null || litAt !== null || isTold('lightReady') || isTold('windowOpen'),
    // Without a dark dome nobody is asked for it.
    lightReady: blackout && lightFrom !== null && (litAt !== null || isTold('windowOpen')),
    windowOpen: state.cuts.length > 0
  };
  return {
    told: CUE_MARKS.filter(isTold),
    slips: slipsOf(looks),
    // Keeping it covered by choice is an answer of another kind.
    left: CUE_MARKS.filter(
      (mark) => !isTold(mark) && isPast[mark] && (mark === 'windowOpen' || staysCovered.length === 0)
    )
  };
}
