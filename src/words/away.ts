import type { ShownAwayTray } from '$contract/away.ts';
import type { AwayVerdict } from '$core/away/plan.ts';
import { aboutGreens, mass } from '$core/units/format.ts';
import { dayWords, type Locale } from './time.ts';

/** What each verdict is called as a heading, in the order of what is to be done. */
export const VERDICT_WORDS: Record<AwayVerdict, string> = {
  cut: 'Cut before you go',
  cool: 'Move to the cool before you go',
  'put-off': 'Begin when you are back',
  sitter: 'Somebody has to come by',
  lasts: 'Gets through by itself'
};

/** Why a container was judged so, and what it costs. */
export function verdictReason(tray: ShownAwayTray, now: number, locale: Locale): string {
  const { verdict, driesAt, closesAt, cutG, lostG, coolName, visits } = tray;
  const day = (at: number) => dayWords(at, now, locale);
  const dries = driesAt === null ? '' : `Without water it begins to hang ${day(driesAt)}.`;
  const closes = closesAt === null ? '' : `Its window closes ${day(closesAt)}.`;
  switch (verdict) {
    case 'cut':
      if (closesAt !== null && cutG < 1)
        return `Its window closed ${day(closesAt)}: taste it, then cut what is good or clear the tray.`;
      return `${closes || dries} Cut as you leave it gives ${aboutGreens(cutG, locale.units)}${lostG >= 1 ? `, ${aboutGreens(lostG, locale.units)} less than at its best` : ''}.`;
    case 'cool':
      return `${closes || dries} At ${coolName ?? 'a cooler place'} it waits until you are back.`;
    case 'put-off':
      return 'It would want to be seen to while nobody is there, and is not begun yet.';
    case 'sitter':
      return [
        dries || closes,
        visits === 0
          ? 'Nothing that a sitter does saves it.'
          : visits === 1
            ? 'One visit is enough.'
            : `${visits} visits keep it going.`,
        cutG >= 1
          ? `Or cut it as you leave: ${aboutGreens(cutG, locale.units)}${lostG >= 1 ? `, ${mass(Math.round(lostG), locale.units)} less than at its best` : ''}.`
          : ''
      ]
        .filter(Boolean)
        .join(' ');
    case 'lasts':
      return 'Damp enough until you are back, and its window stays open.';
  }
}
