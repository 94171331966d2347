<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { Verdict } from '$core/notebook/compare.ts';
  import Chart, { type Inks } from '$ui/charts/Chart.svelte';
  import { valueAxis } from '$ui/charts/timeAxis.ts';
  import { figure } from '$core/units/format.ts';
  import { capital } from '$words/capital.ts';

  interface Props {
    verdict: Extract<Verdict, { kind: 'two' }>;
    names: readonly [string, string];
  }
  let { verdict, names }: Props = $props();

  const grams = $derived(
    verdict.ways.map(({ stories }) =>
      stories.flatMap(({ came, startAt }) =>
        came.gPerM2 === null ? [] : [{ gM2: came.gPerM2, sownAt: startAt }]
      )
    )
  );
  const option = (inks: Inks) => ({
    grid: { left: 56, right: 16, top: 16, bottom: 32 },
    xAxis: {
      type: 'category',
      data: names.map(capital),
      axisLine: { lineStyle: { color: inks.faint } },
      axisTick: { show: false },
      axisLabel: { color: inks.soft, fontSize: 14 }
    },
    yAxis: valueAxis(inks, { scale: true, axisLabel: { color: inks.soft, formatter: '{value}' } }),
    series: grams.map((trays, way) => ({
      type: 'scatter',
      symbolSize: 15,
      // Told apart by their shape as well.
      symbol: way === 0 ? 'circle' : 'diamond',
      itemStyle: { color: way === 0 ? inks.beet : inks.leaf, borderColor: inks.paper, borderWidth: 1.5 },
      data: trays.map(({ gM2 }) => [way, Math.round(gM2)])
    }))
  });
  const table = $derived({
    columns: [t('notebook.way'), 'g/m²'],
    rows: grams.flatMap((trays, way) => trays.map(({ gM2 }) => [capital(names[way]!), figure(gM2)]))
  });
</script>

{#if grams.every((trays) => trays.length > 0)}
  <Chart
    title={t('notebook.gramsSquareMetre')}
    says={t('notebook.eachTrayByItselfHow')}
    {option}
    {table}
    height={200}
  />
{/if}
