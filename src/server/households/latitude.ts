/** Zones of the southern hemisphere's temperate countries, by how their names begin. */
const SOUTH = [
  /^Australia\//,
  /^Pacific\/Auckland/,
  /^America\/(Argentina|Santiago|Montevideo|Sao_Paulo|Asuncion)/,
  /^Africa\/(Johannesburg|Maputo|Harare)/
];
const TROPICS = [
  /^America\/(Bogota|Lima|Caracas|Guayaquil|Panama|Manaus)/,
  /^Asia\/(Singapore|Jakarta|Manila|Bangkok|Kuala_Lumpur|Ho_Chi_Minh)/,
  /^Africa\/(Lagos|Nairobi|Accra|Kinshasa)/
];

/**
 * A latitude to begin with, in degrees, from the time zone alone: nobody is asked where they live, and no
 * remote service is. It only sets how strong winter light is taken to be; the household can correct it.
 */
export function likelyLatitude(zone: string): number {
  if (SOUTH.some((begins) => begins.test(zone))) return -34;
  if (TROPICS.some((begins) => begins.test(zone))) return 8;
  return /^Europe\/(Oslo|Stockholm|Helsinki|Tallinn|Riga)/.test(zone)
    ? 59
    : zone.startsWith('America/')
      ? 40
      : 47;
}
