import { t } from '$messages/t.ts';
import type { Mend, TooShort } from '$core/water/lasts.ts';
import { MEDIUM_IN_TEXT } from './media.ts';

const hours = (h: number): string => `${Math.round(h)} h`;

const mendWords = (mend: Mend): string => {
  switch (mend.kind) {
    case 'round':
      return t('methods.secondRoundDayHoursApart', { hours: hours(mend.gapH) });
    case 'place':
      return t('methods.nameWhereLastsHours', { name: mend.place.name, hours: hours(mend.lastsH) });
    case 'medium':
      return t('methods.mediumWhichLastsValue', {
        medium: MEDIUM_IN_TEXT[mend.medium],
        value: Number.isFinite(mend.lastsH) ? hours(mend.lastsH) : t('methods.lasts.days')
      });
  }
};

/** That a tray does not last from one round to the next, and what would mend it; empty where it does. */
export function tooShortWords(short: TooShort | null): string {
  if (!short) return '';
  const { lastsH, gapH, mends, missed } = short;
  const said = missed
    ? t('methods.lastsFromOneRoundNext', { hours: hours(missed.dryH), hours2: hours(missed.bearsH) })
    : t('methods.fullLeafLastsAboutHours', { hours: hours(lastsH), hours2: hours(gapH) });
  if (mends.length === 0) return t('methods.saidNothingYouHaveBridges', { said });
  return t('methods.saidWhatWouldMendMends', { said, mends: mends.map(mendWords).join('; or ') });
}
