import type { CalendarEntry } from '$core/reminders/calendar.ts';
import type { MediumStock } from '$core/supplies/media/medium.ts';
import { aboutGreens } from '$core/units/format.ts';
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
        title: `Soak ${entry.crops.join(' and ').toLowerCase()}`,
        text: `Out at ${clockTime(entry.until, locale)}, then drain and rinse. ${containersWords(entry.of)}, ${entry.placeName}.`,
        path: '/bench'
      };
    case 'order':
      return {
        title: `Standing order: ${entry.soaks ? 'soak' : 'sow'} ${entry.crop.toLowerCase()}`,
        text: `${containersWords(entry.of)}, ${entry.placeName}. It is on the list once you begin it.`,
        path: aheadPath(entry)
      };
    case 'window': {
      const day = (at: number) => shortDate(at, locale);
      return {
        title: `Cut ${entry.crops.join(' and ').toLowerCase()}`,
        text: `Opens ${day(entry.from)}, likely ${day(entry.earliest)} to ${day(entry.latest)}. Best ${[day(entry.bestAt), aboutGreens(entry.expectedG, locale.units)].filter(Boolean).join(', ')}; good until about ${day(entry.until)}. ${containersWords(entry.of)}, ${entry.placeName}.`,
        path: `/tray/${entry.sowingId}`
      };
    }
  }
}
