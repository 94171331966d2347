import { problem, type Problem } from '../problem.ts';
import type { EventBody } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';

/** A share may be off by so much for rounding. */
const ROUNDING = 0.002;

/** What speaks against a cut of a sowing as it stands, apart from its weight; null for nothing. */
export function wrongCut(
  { state, crop }: Projected,
  { share, pieces = [], again = false }: Extract<EventBody, { type: 'cut' }>
): Problem | null {
  if (state.lost !== null) return problem('cut-given-up');
  if (state.stage === 'ended') return problem('cut-ended');
  if (state.sownAt === null) return problem('cut-not-sown');
  const left = 1 - state.cutShare;
  if (share > left + ROUNDING) return problem('cut-more-than-stands', { share: left });
  const before = pieces.filter((piece) => state.cutPieces.has(piece)).length;
  if (before > 0) return problem('cut-before', { pieces: before });
  return again && !crop.regrows ? problem('cut-no-regrowth', { crop: crop.name }) : null;
}
