import { t, table } from '$messages/t.ts';
import { isLoose, type MediumKind } from '$core/supplies/media/medium.ts';
import { volume, type Units } from '$core/units/format.ts';

export const MEDIUM_WORDS: Record<MediumKind, string> = table('media.medium');

/** What a thin medium stands in. */
/** Each medium inside a sentence. */
export const MEDIUM_IN_TEXT: Record<MediumKind, string> = table('media.inText');

export const POOL_WORDS = () => t('media.standsTrayWithoutHolesOnce');

/** What seed is sown on, as it is laid ready. */
export function onMediumWords(kind: MediumKind, mL: number, units: Units): string {
  if (isLoose(kind)) return t('media.onVolumeMedium', { volume: volume(mL, units) });
  if (kind === 'none') return t('media.bareTray');
  return kind === 'mesh'
    ? t('media.onMeshOverReservoir')
    : t('media.onKindCutSize', { kind: MEDIUM_IN_TEXT[kind] });
}
