import { cropInText, cropName } from './cropNames.ts';
import { t } from '$messages/t.ts';
import { judgeSoak, type Crop } from '$core/crops/crop.ts';
import { figure } from '$core/units/format.ts';

/** The hours that a crop's seed is soaked for, in a line. */
export const usualSoakWords = ({ soakMinH, soakBestH, soakMaxH }: Crop): string =>
  soakMinH > 0
    ? t('steps.bestSoakbesthHBetweenSoakminh', {
        soakBestH: figure(soakBestH),
        soakMinH: figure(soakMinH),
        soakMaxH: figure(soakMaxH)
      })
    : t('steps.bestSoakbesthHAtMost', { soakBestH: figure(soakBestH), soakMaxH: figure(soakMaxH) });

/** What a soak of one's own does to a crop's seed, where that is outside what it bears; empty where it is not. */
export function ownSoakWords(crop: Crop, hours: number): string {
  const name = cropInText(crop.name);
  switch (judgeSoak(crop, hours)) {
    case 'gels':
      return t('steps.seedCoatNameTurnsGel', { name });
    case 'needless':
      return t('steps.nameNeedsNoSoakSmall', { name: cropName(crop.name) });
    case 'short':
      return hours === 0
        ? t('steps.sownDryNameStartsAbout', { name })
        : t('steps.hoursHShortNameWhich', {
            hours: figure(hours),
            name,
            soakMinH: figure(crop.soakMinH),
            soakMaxH: figure(crop.soakMaxH)
          });
    case 'long':
      return t('steps.hoursHTooLongName', { hours: figure(hours), name, soakMaxH: figure(crop.soakMaxH) });
    case null:
      return '';
  }
}
