<script lang="ts">
  import { percent } from '$words/percent.ts';
  import { t } from '$messages/t.ts';
  import { DAY } from '$core/time/zone.ts';
  import { shownDegrees } from '$core/units/temperature.ts';
  import { airOf, BIN_MS } from '$core/places/air/series.ts';
  import type { Place } from '$core/places/place.ts';
  import { temperature } from '$core/units/format.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';
  import Chart, { type Inks } from './Chart.svelte';
  import { timeAxis, valueAxis } from './timeAxis.ts';

  interface Props {
    place: Place;
    now: number;
    locale: Locale;
  }
  let { place, now, locale }: Props = $props();
  const SHOWN_D = 10;
  const from = $derived(now - SHOWN_D * DAY);
  const bins = $derived((airOf(place)?.bins ?? []).filter(({ index }) => (index + 1) * BIN_MS > from));
  const shownC = (degC: number) => shownDegrees(degC, locale.units);
  /** With a break wherever nothing was measured for long. */
  const points = $derived(
    bins.flatMap((bin, at) => {
      const before = bins[at - 1];
      const middle = (bin.index + 0.5) * BIN_MS;
      const point: [number, number | null] = [middle, Math.round(shownC(bin.tempC) * 10) / 10];
      return before && bin.index - before.index > 3 ? [[middle - 1, null] as [number, null], point] : [point];
    })
  );
  const gaps = $derived((airOf(place)?.gaps() ?? []).filter(({ until }) => until > from));
  const option = (inks: Inks) => ({
    xAxis: timeAxis(from, now, locale, inks),
    yAxis: valueAxis(inks, {
      scale: true,
      axisLabel: {
        color: inks.soft,
        formatter: locale.units === 'us' ? t('charts.valueF') : t('charts.valueC')
      }
    }),
    grid: { left: 58, right: 16, top: 16, bottom: 28 },
    series: [
      {
        type: 'line',
        data: points,
        symbol: 'none',
        lineStyle: { color: inks.beet, width: 2 },
        markArea: {
          silent: true,
          itemStyle: { color: inks.faint, opacity: 0.25 },
          data: gaps.map(({ from: start, until }) => [{ xAxis: start }, { xAxis: until }])
        }
      }
    ]
  });
  const mean = $derived(bins.reduce((sum, { tempC }) => sum + tempC, 0) / Math.max(1, bins.length));
  const table = $derived({
    columns: [t('charts.from'), t('charts.warmth'), t('charts.humidity')],
    rows: bins.map(({ index, tempC, humidityPct }) => [
      dayAndTime(index * BIN_MS, now, locale),
      temperature(tempC, locale.units),
      humidityPct === null ? t('charts.notMeasured') : percent(humidityPct / 100)
    ])
  });
</script>

<Chart
  level={2}
  title={t('charts.warmthAsMeasured')}
  says={t('charts.meansThreeHoursOverLast', {
    SHOWN_D,
    temperature: temperature(mean, locale.units),
    when: gaps.length > 0 ? 'yes' : 'no'
  })}
  {option}
  {table}
/>
