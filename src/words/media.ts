import { isLoose, type MediumKind } from '$core/supplies/media/medium.ts';
import { volume, type Units } from '$core/units/format.ts';

export const MEDIUM_WORDS: Record<MediumKind, string> = {
  coir: 'Coir',
  'peat-perlite': 'Peat with perlite',
  'seed-mix': 'Seed mix',
  'hemp-mat': 'Hemp mat',
  paper: 'Paper',
  mesh: 'Mesh over a reservoir',
  none: 'Nothing: a bare tray'
};

/** What a thin medium stands in. */
export const POOL_WORDS =
  'It stands in a tray without holes: once it has rooted it lives from a little water underneath.';

/** What seed is sown on, as it is laid ready. */
export function onMediumWords(kind: MediumKind, mL: number, units: Units): string {
  if (isLoose(kind)) return `on ${volume(mL, units)} of medium`;
  if (kind === 'none') return 'in a bare tray';
  return kind === 'mesh'
    ? 'on a mesh over its reservoir'
    : `on ${MEDIUM_WORDS[kind].toLowerCase()} cut to size`;
}
