<script lang="ts">
  import { t } from '$messages/t.ts';
  import { shownDegrees } from '$core/units/temperature.ts';
  import { airOf, BIN_MS } from '$core/places/air/series.ts';
  import { standsAt } from '$core/growth/forecast.ts';
  import type { Projected } from '$core/sowing/project.ts';
  import { DAY, HOUR } from '$core/time/zone.ts';
  import { MARKS, type Mark } from '$core/growth/marks.ts';
  import { temperature } from '$core/units/format.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';
  import Chart, { type Inks } from './Chart.svelte';
  import { lineAt, timeAxis, valueAxis } from './timeAxis.ts';

  interface Props {
    projected: Projected;
    now: number;
    locale: Locale;
  }
  let { projected, now, locale }: Props = $props();
  const MARK_WORDS: Record<Mark, string> = {
    rooted: t('charts.moment.rooted'),
    lightReady: t('charts.light'),
    windowOpen: t('charts.moment.opens'),
    windowBest: t('charts.moment.best'),
    windowClose: t('charts.moment.closes')
  };
  const clock = $derived(projected.forecast.clock);
  const from = $derived(projected.startAt);
  const until = $derived(
    Math.min(
      from + 60 * DAY,
      Math.max(now, ...MARKS.map((mark) => projected.forecast.marks[mark].p50).filter(Number.isFinite)) + DAY
    )
  );
  const curve = $derived.by(() => {
    const points: [number, number][] = [];
    for (let at = from; at <= until; at += 6 * HOUR) points.push([at, Math.round(clock.tau(at) * 100) / 100]);
    return points;
  });
  const marks = $derived(
    MARKS.map((mark) => ({ mark, at: projected.forecast.marks[mark].p50 })).filter(
      ({ at }) => Number.isFinite(at) && at <= until
    )
  );
  const shownC = (degC: number) => shownDegrees(degC, locale.units);
  const warmth = $derived(
    projected.stays.flatMap(({ place, from: since }, index) => {
      const end = projected.stays[index + 1]?.from ?? Infinity;
      return (airOf(place)?.bins ?? [])
        .map(
          (bin) => [(bin.index + 0.5) * BIN_MS, Math.round(shownC(bin.tempC) * 10) / 10] as [number, number]
        )
        .filter(([at]) => at >= Math.max(from, since) && at < end);
    })
  );
  const paceNow = $derived((clock.tau(now + 12 * HOUR) - clock.tau(now - 12 * HOUR)) * 1);
  const option = (inks: Inks) => ({
    grid: { left: 46, right: warmth.length > 0 ? 56 : 16, top: 22, bottom: 28 },
    xAxis: timeAxis(from, until, locale, inks),
    yAxis: [
      valueAxis(inks, { min: 0 }),
      ...(warmth.length > 0
        ? [
            valueAxis(inks, {
              scale: true,
              position: 'right',
              splitLine: { show: false },
              axisLabel: {
                color: inks.beet,
                formatter: locale.units === 'us' ? t('charts.valueF') : t('charts.valueC')
              }
            })
          ]
        : [])
    ],
    series: [
      {
        type: 'line',
        data: curve,
        symbol: 'none',
        lineStyle: { color: inks.leaf, width: 2.5 },
        markLine: lineAt(now, 'now', inks)
      },
      {
        type: 'scatter',
        data: marks.map(({ mark, at }) => ({ value: [at, clock.tau(at)], name: MARK_WORDS[mark] })),
        symbolSize: 9,
        itemStyle: { color: inks.ink },
        label: { show: true, formatter: '{b}', position: 'top', color: inks.ink },
        labelLayout: { hideOverlap: true }
      },
      ...(warmth.length > 0
        ? [
            {
              type: 'line',
              yAxisIndex: 1,
              data: warmth,
              symbol: 'none',
              lineStyle: { color: inks.beet, width: 1.2 }
            }
          ]
        : [])
    ]
  });
  const table = $derived({
    columns: [t('charts.mark'), t('charts.when'), t('charts.optimumDays'), t('charts.warmthThen')],
    rows: marks.map(({ mark, at }) => [
      MARK_WORDS[mark],
      dayAndTime(at, now, locale),
      clock.tau(at).toFixed(1),
      temperature(warmthAt(at), locale.units)
    ])
  });
  function warmthAt(at: number): number {
    const place = standsAt(projected, at);
    return airOf(place)?.bin(Math.floor(at / BIN_MS))?.tempC ?? (place.dayC * 2 + place.nightC) / 3;
  }
</script>

<Chart
  title={t('charts.clock')}
  says={t('charts.agesOptimumDaysHoursCounted', {
    paceNow: Math.round(paceNow * 100),
    when: warmth.length > 0 ? 'yes' : 'no'
  })}
  {option}
  {table}
/>
