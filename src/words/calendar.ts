import { cropInText, cropsInText } from './cropNames.ts';
import { t } from '$messages/t.ts';
import type { CalendarEntry } from '$core/reminders/calendar.ts';
import type { MediumStock } from '$core/supplies/media/medium.ts';
import { aboutGreens } from './greens.ts';
import { containersWords } from './containers.ts';
import { aheadPath, reminderWords } from './reminders.ts';
import { clockTime, shortDate, type Locale } from './time.ts';

/** A calendar entry in words. Days are dates: whoever reads it does so on another day. */
export function calendarWords(
  entry: CalendarEntry,
  locale: Locale,
  media: readonly MediumStock[]
): { title: string; text: string; path: string } {
  switch (entry.kind) {
    case 'round': {
      const { summary, lines, path } = reminderWords(entry.body, entry.from, locale, media);
      return { title: summary, text: lines.join('\n'), path };
    }
    case 'soak':
      return {
        title: t('reminders.soakCrops', { crops: cropsInText(entry.crops) }),
        text: t('reminders.outAtClocktimeThenDrain', {
          clockTime: clockTime(entry.until, locale),
          containers: containersWords(entry.of),
          placeName: entry.placeName
        }),
        path: '/bench'
      };
    case 'order':
      return {
        title: t('reminders.standingOrderSoakSowCrop', {
          when: entry.soaks ? 'yes' : 'no',
          crop: cropInText(entry.crop)
        }),
        text: t('reminders.containersPlacenameOnListOnce', {
          containers: containersWords(entry.of),
          placeName: entry.placeName
        }),
        path: aheadPath(entry)
      };
    case 'window': {
      const day = (at: number) => shortDate(at, locale);
      return {
        title: t('reminders.cutCrops', { crops: cropsInText(entry.crops) }),
        text: t('reminders.opensDayLikelyDayDay', {
          day: day(entry.from),
          day2: day(entry.earliest),
          day3: day(entry.latest),
          value: [day(entry.bestAt), aboutGreens(entry.expectedG, locale.units)].filter(Boolean).join(', '),
          day4: day(entry.until),
          containers: containersWords(entry.of),
          placeName: entry.placeName
        }),
        path: `/tray/${entry.sowingId}`
      };
    }
  }
}
