<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { Projected } from '$core/sowing/project.ts';
  import { HOUR } from '$core/time/zone.ts';
  import { dryShare, FULL_SHARE } from '$core/water/bucket.ts';
  import { trackOf, waterAt } from '$core/water/level.ts';
  import { mass, volume } from '$core/units/format.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';
  import Chart, { type Inks } from './Chart.svelte';
  import { lineAt, timeAxis, valueAxis } from './timeAxis.ts';

  interface Props {
    projected: Projected;
    now: number;
    locale: Locale;
    /** What this round says of its water. */
    decision: string;
  }
  let { projected, now, locale, decision }: Props = $props();
  const from = $derived(projected.startAt);
  const until = $derived(Math.max(now, projected.startAt) + 30 * HOUR);
  const percent = (share: number) => Math.round(share * 100);
  const curve = $derived.by(() => {
    const times: number[] = [];
    for (let at = from; at <= until; at += 3 * HOUR) times.push(at);
    times.push(now);
    // Each fact twice, so that a watering rises straight up.
    for (const { at } of projected.state.water) times.push(at - 1, at);
    return times
      .filter((at) => at >= from)
      .sort((a, b) => a - b)
      .map((at) => [at, percent(waterAt(projected, at).share)] as const);
  });
  const given = $derived(
    projected.state.water.flatMap((fact) =>
      'addedG' in fact ? [[fact.at, percent(waterAt(projected, fact.at).share)]] : []
    )
  );
  const thirst = $derived(Math.round((Math.exp(trackOf(projected).thirst.mean) - 1) * 100));
  const option = (inks: Inks) => ({
    xAxis: timeAxis(from, until, locale, inks),
    yAxis: valueAxis(inks, {
      min: 0,
      max: 100,
      interval: 25,
      axisLabel: { color: inks.soft, formatter: t('charts.value') }
    }),
    series: [
      {
        type: 'line',
        data: curve.filter(([at]) => at <= now),
        symbol: 'none',
        lineStyle: { color: inks.water, width: 2.5 },
        areaStyle: { color: inks.water, opacity: 0.15 },
        markLine: lineAt(now, 'now', inks),
        markArea: {
          silent: true,
          itemStyle: { color: inks.alarm, opacity: 0.1 },
          data: [[{ yAxis: 0 }, { yAxis: percent(dryShare(projected.crop)) }]]
        }
      },
      {
        type: 'line',
        data: curve.filter(([at]) => at >= now),
        symbol: 'none',
        lineStyle: { color: inks.water, width: 2, type: 'dashed' }
      },
      { type: 'scatter', data: given, symbolSize: 9, itemStyle: { color: inks.water } }
    ]
  });
  const factWords = (fact: (typeof projected.state.water)[number]): string =>
    'addedG' in fact
      ? t('charts.givenVolume', { volume: volume(fact.addedG, locale.units) })
      : 'between' in fact
        ? t('charts.liftedPercentPercent', {
            percent: percent(fact.between[0]),
            percent2: percent(fact.between[1])
          })
        : 'feels' in fact
          ? t('charts.feltPercentPercentWhatMedium', {
              percent: percent(fact.feels[0]),
              percent2: percent(fact.feels[1])
            })
          : t('charts.weighedMass', { mass: mass(fact.grossG, locale.units) });
  const table = $derived({
    columns: [t('charts.when'), t('charts.what'), t('charts.leftAfter')],
    rows: projected.state.water.map((fact) => [
      dayAndTime(fact.at, now, locale),
      factWords(fact),
      `${percent(waterAt(projected, fact.at).share)}%`
    ])
  });
</script>

<Chart
  title={t('charts.waterTray')}
  says={t('charts.decisionWateredBeforeDeepShaded', {
    decision,
    percent: percent(FULL_SHARE),
    when: Math.abs(thirst) >= 5 ? 'yes' : 'no',
    thirst: Math.abs(thirst) >= 5 ? Math.abs(thirst) : '',
    when2: Math.abs(thirst) >= 5 && thirst > 0 ? 'yes' : 'no'
  })}
  {option}
  {table}
/>
