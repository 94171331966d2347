import type { SowingSetup } from '../sowing/sowing.ts';

/** A tray without cells is cut in so many strips. */
const STRIPS = 12;

/** What of a sowing can be cut by itself: the cells of its trays, or strips of them, counted through all its containers. */
export interface Pieces {
  kind: 'cells' | 'strips';
  /** In one container. */
  each: number;
  containers: number;
  total: number;
}

/** The pieces that a sowing is cut in. */
export function piecesOf({ container, count, areaShare }: SowingSetup): Pieces {
  const kind = container.shape === 'cells' && container.cells > 1 ? 'cells' : 'strips';
  const each = kind === 'cells' ? Math.max(1, Math.round(container.cells * areaShare)) : STRIPS;
  return { kind, each, containers: count, total: each * count };
}

/** Which pieces still stand: those nobody cut, as far as the shares that were cut leave any. */
export function standingPieces(
  setup: SowingSetup,
  { cutShare, cutPieces }: { cutShare: number; cutPieces: ReadonlySet<number> }
): number[] {
  const { total } = piecesOf(setup);
  const standing = Array.from({ length: total }, (_, piece) => piece).filter(
    (piece) => !cutPieces.has(piece)
  );
  // What was cut by its share alone was cut from the end.
  const unsaid = Math.max(0, Math.round(cutShare * total) - cutPieces.size);
  return standing.slice(0, standing.length - unsaid);
}

/** The share of a sowing that some of its pieces are: all the rest where those are all that stand. */
export function shareOfPieces(
  setup: SowingSetup,
  state: { cutShare: number; cutPieces: ReadonlySet<number> },
  pieces: readonly number[]
): number {
  const left = 1 - state.cutShare;
  const standing = standingPieces(setup, state);
  return pieces.length >= standing.length ? left : Math.min(left, pieces.length / piecesOf(setup).total);
}

/**
 * Share that is cut of each slice of the front of the container that is cut into: strips from left to right, or columns of
 * two cells, one behind the other. Nothing where all of it stands.
 */
export function frontCut(
  setup: SowingSetup,
  state: { cutShare: number; cutPieces: ReadonlySet<number> }
): number[] {
  if (state.cutShare <= 0) return [];
  const { kind, each, containers } = piecesOf(setup);
  const standing = new Set(standingPieces(setup, state));
  const container = Array.from({ length: containers }, (_, index) => index).find((index) =>
    Array.from({ length: each }, (_, piece) => index * each + piece).some((piece) => standing.has(piece))
  );
  const first = (container ?? containers - 1) * each;
  const isCut = (piece: number): number => (standing.has(first + piece) ? 0 : 1);
  if (kind === 'strips') return Array.from({ length: each }, (_, strip) => isCut(strip));
  const columns = Math.ceil(each / 2);
  return Array.from({ length: columns }, (_, column) => {
    const behind = column + columns;
    return behind < each ? (isCut(column) + isCut(behind)) / 2 : isCut(column);
  });
}
