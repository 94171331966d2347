import type { ZoneChange } from '$contract/schemas/household.ts';
import { clockTime, shortDate, type Locale } from './time.ts';

/** What is asked where the time zone changes and something is planned. */
export function zoneAskedWords(planned: number, firstAt: number, locale: Locale, to: string): string {
  const moment = (as: Locale) => `${shortDate(firstAt, as)}, ${clockTime(firstAt, as)}`;
  const [before, after] = [moment(locale), moment({ ...locale, zone: to })];
  const many = planned === 1 ? 'One sowing is planned, for' : `${planned} sowings are planned, the first for`;
  return `${many} ${before}. In the new time zone that moment is ${after}. Choose when to begin.`;
}

/** When what is planned begins after a change of the time zone. */
export const ZONE_CHANGE_WORDS: Record<ZoneChange, string> = {
  clock: 'At the same time on the clock',
  moment: 'At the same moment'
};
