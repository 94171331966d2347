import { t, table } from '$messages/t.ts';
import type { Picture } from '$core/picture/picture.ts';
import { length, type Units } from '$core/units/format.ts';

/** What covers it; nothing for no cover. */
const COVER: Partial<Record<Picture['cover'], string>> = table('pictures.cover');

/** What the drawing shows, for those who cannot see it. */
export function pictureWords(cropName: string, picture: Picture, units: Units): string {
  if (picture.vessel === 'jar')
    return t('pictures.cropnameSeedJarWater', {
      cropName,
      when: (picture.jarWater ?? 0) > 0.2 ? 'yes' : 'no'
    });
  const what = picture.stems
    ? t('pictures.stemsAboutLengthHangWant', {
        length: length(Math.round(picture.stems.heightCm * 10) / 10, units),
        when: picture.stems.hang > 0.3 ? 'yes' : 'no'
      })
    : picture.grains
      ? picture.grains.sprouted > 0.2
        ? t('pictures.seedWithTails')
        : picture.medium?.kind === 'none'
          ? t('pictures.seedOnBareTray')
          : t('pictures.seedOnMedium')
      : t('pictures.empty');
  return t('pictures.cropnameAsShouldLookNow', {
    cropName,
    what,
    cover: COVER[picture.cover] ?? '',
    when: picture.rulerCm === null ? 'yes' : 'no',
    length: !(picture.rulerCm === null) ? length(picture.rulerCm, units) : '',
    when2: picture.light === 'lamp' ? 'yes' : 'no'
  });
}

/** What the drawing of a container shows, one or two halves. */
export const picturesWords = (
  name: string,
  pictures: readonly (Picture | undefined)[],
  units: Units
): string => pictures.flatMap((picture) => (picture ? [pictureWords(name, picture, units)] : [])).join('; ');
