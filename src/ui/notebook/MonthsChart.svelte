<script lang="ts">
  import { mass, type Units } from '$core/units/format.ts';
  import Chart, { type Inks } from '$ui/charts/Chart.svelte';
  import { valueAxis } from '$ui/charts/timeAxis.ts';

  interface Props {
    /** By the month of the first cut, 1 to 12. */
    months: readonly { month: number; cropKey: string; cutG: number }[];
    cropName: (key: string) => string;
    units: Units;
  }
  let { months, cropName, units }: Props = $props();
  const NAMES = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
  const OZ_G = 28.349523125;
  const per = $derived(units === 'us' ? OZ_G : 1);
  const totals = $derived(
    NAMES.map((_, index) =>
      months.filter(({ month }) => month === index + 1).reduce((sum, { cutG }) => sum + cutG, 0)
    )
  );
  const best = $derived(totals.indexOf(Math.max(...totals)));
  const option = (inks: Inks) => ({
    grid: { left: 56, right: 16, top: 24, bottom: 28 },
    xAxis: {
      type: 'category',
      data: NAMES,
      axisLine: { lineStyle: { color: inks.faint } },
      axisTick: { show: false },
      axisLabel: { color: inks.soft }
    },
    yAxis: valueAxis(inks, {
      axisLabel: { color: inks.soft, formatter: units === 'us' ? '{value} oz' : '{value} g' }
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
    columns: ['Month', 'Crop', 'Cut'],
    rows: months.map(({ month, cropKey, cutG }) => [NAMES[month - 1]!, cropName(cropKey), mass(cutG, units)])
  });
</script>

<Chart
  title="Cut, month by month"
  says="Each sowing in the month of its first cut; most in {NAMES[best]}, {mass(totals[best]!, units)}."
  {option}
  {table}
/>
