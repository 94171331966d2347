import { judgeSoak, type Crop } from '$core/crops/crop.ts';
import { figure } from '$core/units/format.ts';

/** The hours that a crop's seed is soaked for, in a line. */
export const usualSoakWords = ({ soakMinH, soakBestH, soakMaxH }: Crop): string =>
  soakMinH > 0
    ? `Best ${figure(soakBestH)} h, between ${figure(soakMinH)} and ${figure(soakMaxH)} h`
    : `Best ${figure(soakBestH)} h, at most ${figure(soakMaxH)} h, or none`;

/** What a soak of one's own does to a crop's seed, where that is outside what it bears; empty where it is not. */
export function ownSoakWords(crop: Crop, hours: number): string {
  const name = crop.name.toLowerCase();
  switch (judgeSoak(crop, hours)) {
    case 'gels':
      return `The seed coat of ${name} turns to gel when wet: it is not soaked.`;
    case 'needless':
      return `${crop.name} needs no soak; its small seed clumps when it is wet.`;
    case 'short':
      return hours === 0
        ? `Sown dry, ${name} starts about half a day later, and less evenly.`
        : `${figure(hours)} h is short for ${name}, which takes ${figure(crop.soakMinH)} to ${figure(crop.soakMaxH)} h: it starts later and less evenly.`;
    case 'long':
      return `${figure(hours)} h is too long for ${name}, which bears ${figure(crop.soakMaxH)} h at most: seed goes soft and moulds. Change its water, and keep it cool.`;
    case null:
      return '';
  }
}
