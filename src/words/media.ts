import { t } from '$messages/t.ts';
import { isLoose, type MediumKind } from '$core/supplies/media/medium.ts';
import { volume, type Units } from '$core/units/format.ts';

export const MEDIUM_WORDS: Record<MediumKind, string> = {
  get coir() {
    return t('media.coir');
  },
  get 'peat-perlite'() {
    return t('media.peatWithPerlite');
  },
  get 'seed-mix'() {
    return t('media.seedMix');
  },
  get 'hemp-mat'() {
    return t('media.hempMat');
  },
  get paper() {
    return t('media.paper');
  },
  get mesh() {
    return t('media.meshOverReservoir');
  },
  get none() {
    return t('media.nothingBareTray');
  }
};

/** What a thin medium stands in. */
export const POOL_WORDS = () => t('media.standsTrayWithoutHolesOnce');

/** What seed is sown on, as it is laid ready. */
export function onMediumWords(kind: MediumKind, mL: number, units: Units): string {
  if (isLoose(kind)) return t('media.onVolumeMedium', { volume: volume(mL, units) });
  if (kind === 'none') return t('media.bareTray');
  return kind === 'mesh'
    ? t('media.onMeshOverReservoir')
    : t('media.onKindCutSize', { kind: MEDIUM_WORDS[kind].toLowerCase() });
}
