import { getAllTimezones, getTimezone } from 'countries-and-timezones';
import currencyOf from 'country-to-currency';
import type { Units } from '../../core/units/format.ts';

/** Countries whose kitchens measure in ounces, cups and degrees Fahrenheit. */
const US_UNITS: readonly string[] = ['US', 'LR', 'FM', 'MH', 'PW', 'PR', 'GU', 'VI', 'AS', 'MP'];

/** A language that names no country. */
const NO_LANGUAGE = 'und';

/** Time zones in which a household most likely measures in US units, whatever it speaks. */
export const usZones = (): string[] =>
  Object.keys(getAllTimezones()).filter((zone) => guessOf(zone, NO_LANGUAGE).units === 'us');

/**
 * Where somebody most likely lives: the country of their time zone, or else of their language. A zone that several countries
 * share counts as the first, the one it is named for.
 */
const countryOf = (zone: string, language: string): string | null =>
  getTimezone(zone)?.countries[0] ?? new Intl.Locale(language).region ?? null;

/**
 * What a new household most likely measures and pays in, by its time zone and the language of its browser; the zone goes
 * first, because many browsers speak the English of a country that their owner does not live in.
 * @param zone an IANA name
 * @param language a BCP 47 tag
 * @returns metric units and euros where neither names a country
 */
export function guessOf(zone: string, language: string): { units: Units; currency: string } {
  const country = countryOf(zone, language) ?? '';
  return {
    units: US_UNITS.includes(country) ? 'us' : 'metric',
    currency: (currencyOf as Record<string, string>)[country] ?? 'EUR'
  };
}
