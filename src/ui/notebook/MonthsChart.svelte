<script lang="ts">
  import { formattedAs, t } from '$messages/t.ts';
  import { mass, type Units } from '$core/units/format.ts';
  import Chart, { type Inks } from '$ui/charts/Chart.svelte';
  import { valueAxis } from '$ui/charts/timeAxis.ts';

  interface Props {
    /** The months in their order, as `YYYY-MM`. */
    names: readonly string[];
    /** By the month of the first cut. */
    months: readonly { month: string; cropKey: string; cutG: number }[];
    cropName: (key: string) => string;
    units: Units;
  }
  let { names, months, cropName, units }: Props = $props();
  const nameOf = (month: string): string =>
    new Intl.DateTimeFormat(formattedAs(), { month: 'short', timeZone: 'UTC' }).format(
      Date.parse(`${month}-01`)
    );
  const OZ_G = 28.349523125;
  const per = $derived(units === 'us' ? OZ_G : 1);
  const totals = $derived(
    names.map((name) => months.filter(({ month }) => month === name).reduce((sum, { cutG }) => sum + cutG, 0))
  );
  const best = $derived(totals.indexOf(Math.max(...totals)));
  const option = (inks: Inks) => ({
    grid: { left: 56, right: 16, top: 24, bottom: 28 },
    xAxis: {
      type: 'category',
      data: names.map(nameOf),
      axisLine: { lineStyle: { color: inks.faint } },
      axisTick: { show: false },
      axisLabel: { color: inks.soft }
    },
    yAxis: valueAxis(inks, {
      axisLabel: {
        color: inks.soft,
        formatter: (value: number) =>
          units === 'us' ? t('notebook.valueOz', { value }) : t('notebook.valueG', { value })
      }
    }),
    series: [
      {
        type: 'bar',
        barMaxWidth: 34,
        itemStyle: { color: inks.leaf, borderRadius: [4, 4, 0, 0] },
        data: totals.map((g) => Math.round(g / per))
      }
    ]
  });
  const table = $derived({
    columns: [t('notebook.month'), t('notebook.crop'), t('notebook.cut')],
    rows: months.map(({ month, cropKey, cutG }) => [
      `${nameOf(month)} ${month.slice(0, 4)}`,
      cropName(cropKey),
      mass(cutG, units)
    ])
  });
</script>

<Chart
  level={2}
  title={t('notebook.cutMonthByMonth')}
  says={t('notebook.eachSowingMonthFirstCut', {
    name: nameOf(names[best] ?? ''),
    mass: mass(totals[best] ?? 0, units)
  })}
  {option}
  {table}
/>
