import { t, table } from '$messages/t.ts';
import type { NotebookColumn, NotebookRow, Outcome } from '$contract/notebook.ts';
import { figure, mass, seedMass, volume, yieldPerArea } from '$core/units/format.ts';
import { LOSS_WORDS } from './events.ts';
import { MEDIUM_WORDS } from './media.ts';
import { dateWithYear, type Locale } from './time.ts';

export const COLUMN_WORDS: Record<NotebookColumn, string> = table('notebook.column');

export const OUTCOME_WORDS: Record<Outcome, string> = table('notebook.outcomes');

/** Columns of figures, which stand to the right. */
export const isFigure = (column: NotebookColumn): boolean =>
  ['days', 'opened', 'cut', 'perArea', 'perSeed', 'seed', 'water', 'eaten', 'thrown'].includes(column);

/** What stands in a column of a sowing's line, but for its crop. */
export function cellWords(
  row: NotebookRow,
  column: Exclude<NotebookColumn, 'crop'>,
  locale: Locale,
  methodName: string
): string {
  const { units } = locale;
  const days = (value: number | null) => (value === null ? '' : String(Math.round(value)));
  switch (column) {
    case 'sown':
      return row.sown
        ? dateWithYear(row.sownAt, locale)
        : t('notebook.sown.planned', { date: dateWithYear(row.sownAt, locale) });
    case 'days':
      return days(row.days);
    case 'opened':
      return days(row.openedD);
    case 'cut':
      return row.cutG > 0 ? mass(row.cutG, units) : '';
    case 'perArea':
      return row.perM2 === null ? '' : yieldPerArea(row.perM2, units);
    case 'perSeed':
      return row.perSeed === null ? '' : figure(row.perSeed);
    case 'seed':
      return row.seedG === null ? '' : seedMass(row.seedG, units);
    case 'container':
      return row.container === null ? '' : `${row.count > 1 ? `${row.count} × ` : ''}${row.container}`;
    case 'medium':
      return row.mediumName ?? MEDIUM_WORDS[row.medium];
    case 'method':
      return methodName;
    case 'place':
      return row.place;
    case 'water':
      return row.wateredG > 0 ? volume(row.wateredG, units) : '';
    case 'eaten':
      return row.eatenG > 0 ? mass(row.eatenG, units) : '';
    case 'thrown':
      return row.thrownG > 0 ? mass(row.thrownG, units) : '';
    case 'outcome':
      return row.lost !== null
        ? LOSS_WORDS[row.lost].split(':')[0]!
        : row.endedAt === null
          ? t('notebook.underWay2')
          : t('notebook.cut2');
  }
}
