import type { Picture } from '$core/picture/picture.ts';
import { length, type Units } from '$core/units/format.ts';

const COVER = {
  none: '',
  clear: ', under a clear lid',
  lid: ', under a lid',
  stacked: ', under a stacked tray',
  weight: ', under a weight',
  dome: ', under a dark dome'
};

/** What the drawing shows, for those who cannot see it. */
export function pictureWords(cropName: string, picture: Picture, units: Units): string {
  if (picture.vessel === 'jar')
    return `${cropName}: seed in a jar${(picture.jarWater ?? 0) > 0.2 ? ' of water' : ''}`;
  const what = picture.stems
    ? `stems of about ${length(Math.round(picture.stems.heightCm * 10) / 10, units)}${picture.stems.hang > 0.3 ? ' that hang for want of water' : ''}`
    : picture.grains
      ? picture.grains.sprouted > 0.2
        ? 'seed with tails'
        : picture.medium?.kind === 'none'
          ? 'seed on the bare tray'
          : 'seed on the medium'
      : 'empty';
  return `${cropName} as it should look now: ${what}${COVER[picture.cover]}${picture.rulerCm === null ? '' : `, beside a ruler up to ${length(picture.rulerCm, units)}`}${picture.light === 'lamp' ? ', under a lamp' : ''}`;
}

/** What the drawing of a container shows, one or two halves. */
export const picturesWords = (
  name: string,
  pictures: readonly (Picture | undefined)[],
  units: Units
): string => pictures.flatMap((picture) => (picture ? [pictureWords(name, picture, units)] : [])).join('; ');
