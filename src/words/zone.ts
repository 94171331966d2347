import { t, table } from '$messages/t.ts';
import type { ZoneChange } from '$contract/schemas/household.ts';
import { clockTime, shortDate, type Locale } from './time.ts';

/** What is asked where the time zone changes and something is planned. */
export function zoneAskedWords(planned: number, firstAt: number, locale: Locale, to: string): string {
  const moment = (as: Locale) => `${shortDate(firstAt, as)}, ${clockTime(firstAt, as)}`;
  const [before, after] = [moment(locale), moment({ ...locale, zone: to })];
  const many = t('household.oneSowingPlannedSowingsPlanned', { planned });
  return t('household.manyBeforeNewTimeZone', { many, before, after });
}

/** When what is planned begins after a change of the time zone. */
export const ZONE_CHANGE_WORDS: Record<ZoneChange, string> = table('household.zoneChange');
