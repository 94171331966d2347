import { cropInText, cropName } from './cropNames.ts';
import { t, table } from '$messages/t.ts';
import type { Crop } from '$core/crops/crop.ts';
import type { LeafStage, LeafTaste } from '$core/crops/leafStage.ts';
import type { WayNote } from '$core/sowing/wayNotes.ts';

const STAGE: Record<LeafStage, string> = table('methods.stage');

const TASTE: Record<LeafTaste, string> = table('methods.taste');

/** What is worth knowing of the way that was chosen for a crop. */
export function wayNoteWords(note: WayNote, { name }: Pick<Crop, 'name'>): string {
  if (note.kind === 'later-taste')
    return t('methods.atStageNameTasteTaste', {
      stage: STAGE[note.stage],
      name: cropInText(name),
      taste: TASTE[note.taste]
    });
  const why = note.helps
    ? t('methods.nameSlowLikesWarmHumid', { name: cropName(name) })
    : t('methods.domeKeepsAirHumid');
  return t('methods.whyMouldLikesTooLift', { why });
}
