import type { Crop } from '$core/crops/crop.ts';
import type { LeafStage, LeafTaste } from '$core/crops/leafStage.ts';
import type { WayNote } from '$core/sowing/wayNotes.ts';

const STAGE: Record<LeafStage, string> = {
  'seed-leaves': 'its seed leaves',
  'true-leaf': 'its first true leaf',
  'third-leaf': 'its third true leaf'
};

const TASTE: Record<LeafTaste, string> = {
  bitter: 'turns bitter',
  hot: 'gets much hotter',
  coarse: 'tastes earthier and gets coarse',
  strong: 'tastes stronger'
};

/** What is worth knowing of the way that was chosen for a crop. */
export function wayNoteWords(note: WayNote, { name }: Pick<Crop, 'name'>): string {
  if (note.kind === 'later-taste')
    return `At ${STAGE[note.stage]}, ${name.toLowerCase()} ${TASTE[note.taste]}. Taste one leaf before you cut it all.`;
  const why = note.helps
    ? `${name} is slow and likes warm, humid air, and the dome keeps it so.`
    : 'The dome keeps the air humid.';
  return `${why} Mould likes that too: lift the dome for a minute each day and look closely.`;
}
