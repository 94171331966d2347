import { t, table } from '$messages/t.ts';
import type { ShownAwayTray } from '$contract/away.ts';
import type { AwayVerdict } from '$core/away/plan.ts';
import { mass } from '$core/units/format.ts';
import { aboutGreens } from './greens.ts';
import { dayWords, type Locale } from './time.ts';

/** What each verdict is called as a heading. */
export const VERDICT_WORDS: Record<AwayVerdict, string> = table('household.verdict');

/** Why a container was judged so, and what it costs. */
export function verdictReason(tray: ShownAwayTray, now: number, locale: Locale): string {
  const { verdict, driesAt, closesAt, cutG, lostG, coolName, visits } = tray;
  const day = (at: number) => dayWords(at, now, locale);
  const dries = driesAt === null ? '' : t('household.withoutWaterBeginsHangDay', { day: day(driesAt) });
  const closes = closesAt === null ? '' : t('household.windowClosesDay', { day: day(closesAt) });
  switch (verdict) {
    case 'cut':
      if (closesAt !== null && cutG < 1)
        return t('household.windowClosedDayTasteThen', { day: day(closesAt) });
      return t('household.closesCutAsYouLeave', {
        closes: closes || dries,
        aboutGreens: aboutGreens(cutG, locale.units),
        when: lostG >= 1 ? 'yes' : 'no',
        aboutGreens2: lostG >= 1 ? aboutGreens(lostG, locale.units) : ''
      });
    case 'cool':
      return t('household.closesAtCoolnameWaitsUntil', {
        closes: closes || dries,
        coolName: coolName ?? t('household.coolerPlace')
      });
    case 'put-off':
      return t('household.wouldWantBeSeenWhile');
    case 'sitter':
      return [
        dries || closes,
        visits === 0
          ? t('household.nothingSitterDoesSaves')
          : t('household.oneVisitEnoughVisitsKeep', { visits }),
        cutG >= 1
          ? t('household.orCutAsYouLeave', {
              aboutGreens: aboutGreens(cutG, locale.units),
              when: lostG >= 1 ? 'yes' : 'no',
              mass: lostG >= 1 ? mass(Math.round(lostG), locale.units) : ''
            })
          : ''
      ]
        .filter(Boolean)
        .join(' ');
    case 'lasts':
      return t('household.dampEnoughUntilYouBack');
  }
}
