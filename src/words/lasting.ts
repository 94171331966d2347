import type { Mend, TooShort } from '$core/water/lasts.ts';
import { MEDIUM_WORDS } from './media.ts';

const hours = (h: number): string => `${Math.round(h)} h`;

const mendWords = (mend: Mend): string => {
  switch (mend.kind) {
    case 'round':
      return `a second round a day, ${hours(mend.gapH)} apart at most`;
    case 'place':
      return `${mend.place.name}, where it lasts ${hours(mend.lastsH)}`;
    case 'medium':
      return `${MEDIUM_WORDS[mend.medium].toLowerCase()}, which lasts ${Number.isFinite(mend.lastsH) ? hours(mend.lastsH) : 'for days'}`;
  }
};

/** That a tray does not last from one round to the next, and what would mend it; empty where it does. */
export function tooShortWords(short: TooShort | null): string {
  if (!short) return '';
  const { lastsH, gapH, mends, missed } = short;
  const said = missed
    ? `It lasts from one round to the next. If you miss one, it may stand dry for ${hours(missed.dryH)}, and it bears about ${hours(missed.bearsH)}.`
    : `In full leaf it lasts about ${hours(lastsH)} here, and your rounds are up to ${hours(gapH)} apart: it would dry out.`;
  if (mends.length === 0)
    return `${said} Nothing you have bridges that: put it where it is cooler and moister.`;
  return `${said} What would mend it: ${mends.map(mendWords).join('; or ')}.`;
}
