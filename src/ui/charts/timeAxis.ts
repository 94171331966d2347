import { zoneOf } from '$core/time/zone.ts';
import { shortDate, type Locale } from '$words/time.ts';
import type { Inks } from './Chart.svelte';

/** A time axis whose marks are the household's days. */
export function timeAxis(from: number, until: number, locale: Locale, inks: Inks) {
  const zone = zoneOf(locale.zone);
  const marks: number[] = [];
  let day = zone.date(from);
  while (marks.length < 60) {
    const at = zone.at(day, 0);
    if (at > until) break;
    if (at >= from) marks.push(at);
    day = day.add({ days: 1 });
  }
  const every = Math.ceil(marks.length / 4);
  const shown = marks.filter((_, index) => index % every === 0);
  return {
    type: 'value',
    min: from,
    max: until,
    axisLine: { onZero: false, lineStyle: { color: inks.faint } },
    axisTick: { customValues: shown },
    splitLine: { show: false },
    axisLabel: {
      customValues: shown,
      color: inks.soft,
      formatter: (at: number) => shortDate(at, locale)
    }
  };
}

/** A value axis with few, faint lines. */
export const valueAxis = (inks: Inks, more: object = {}) => ({
  type: 'value',
  splitNumber: 4,
  splitLine: { lineStyle: { color: inks.faint, opacity: 0.4 } },
  axisLabel: { color: inks.soft },
  ...more
});

/** A line from a moment, such as now, with its name. */
export const lineAt = (at: number, name: string, inks: Inks) => ({
  silent: true,
  symbol: 'none',
  lineStyle: { color: inks.beet, type: 'solid', width: 1.5 },
  label: { formatter: name, color: inks.beet, position: 'insideEndTop' },
  data: [{ xAxis: at }]
});
