import type { Crop } from '../crops/crop.ts';
import { laterTaste, type LeafStage, type LeafTaste } from '../crops/leafStage.ts';
import type { Sowing } from './sowing.ts';

/** Something worth knowing before a crop is grown in the way that was chosen. */
export type WayNote =
  | { kind: 'later-taste'; stage: LeafStage; taste: LeafTaste }
  /** A clear dome that stays on; `helps` slow crops that like warmth. */
  | { kind: 'humid-dome'; helps: boolean };

/** Slow crops that like warmth gain by humid air (starting figures). */
const SLOW = { openD21: 12, baseC: 8 } as const;

const isSlowAndWarm = ({ baseC, windowOpenD21 }: Crop): boolean =>
  baseC >= SLOW.baseC && windowOpenD21 >= SLOW.openD21;

/** What is worth knowing of a sowing's own way; nothing for the usual one. */
export function wayNotesOf({
  crop,
  path,
  method: { leafStage },
  usualStage
}: Pick<Sowing, 'crop' | 'path' | 'method' | 'usualStage'>): WayNote[] {
  const notes: WayNote[] = [];
  const taste = leafStage === 'usual' ? null : laterTaste(crop, usualStage, leafStage);
  if (taste !== null && leafStage !== 'usual') notes.push({ kind: 'later-taste', stage: leafStage, taste });
  if (path.cover === 'clear' && (path.domeDays !== null || path.domeCm !== null))
    notes.push({ kind: 'humid-dome', helps: isSlowAndWarm(crop) });
  return notes;
}
