<script lang="ts">
  import { t } from '$messages/t.ts';
  import { DAY } from '$core/time/zone.ts';
  import type { Narrowing } from '$core/sowing/narrowing.ts';
  import { dayWords, shortDate, type Locale } from '$words/time.ts';
  import Chart, { type Inks } from './Chart.svelte';
  import { lineAt, timeAxis } from './timeAxis.ts';

  interface Props {
    steps: readonly Narrowing[];
    /** What each step's event was, in words. */
    said: (step: Narrowing) => string;
    now: number;
    locale: Locale;
  }
  let { steps, said, now, locale }: Props = $props();
  const from = $derived(Math.min(...steps.map(({ open }) => open.p10)) - DAY);
  const until = $derived(Math.max(...steps.map(({ open }) => open.p90), from + 2 * DAY) + DAY);
  const widthD = ({ open }: Narrowing) => (open.p90 - open.p10) / DAY;
  const says = $derived.by(() => {
    const [first, last] = [steps[0], steps.at(-1)];
    if (!first || !last) return '';
    if (last.open.seen) return t('charts.seenOpenDay', { day: dayWords(last.open.p50, now, locale) });
    return t('charts.noLookYetRangeWidthd', {
      steps: steps.length,
      widthD: widthD(first).toFixed(1),
      widthD2: widthD(last).toFixed(1)
    });
  });
  interface Api {
    value(index: number): number;
    coord(point: [number, number]): [number, number];
  }
  const option = (inks: Inks) => ({
    grid: { left: 16, right: 16, top: 22, bottom: 28 },
    xAxis: timeAxis(from, until, locale, inks),
    yAxis: { type: 'value', inverse: true, min: -0.6, max: steps.length - 0.4, show: false },
    series: [
      {
        type: 'custom',
        data: steps.map(({ open }, index) => [index, open.p10, open.p50, open.p90]),
        encode: { x: [1, 2, 3], y: 0 },
        markLine: lineAt(now, 'now', inks),
        renderItem: (_: unknown, api: Api) => {
          const row = api.value(0);
          const [left, y] = api.coord([api.value(1), row]);
          const [middle] = api.coord([api.value(2), row]);
          const [right] = api.coord([api.value(3), row]);
          return {
            type: 'group',
            children: [
              {
                type: 'rect',
                shape: { x: left, y: y - 6, width: Math.max(2, right - left), height: 12, r: 6 },
                style: { fill: inks.window, opacity: 0.45 }
              },
              { type: 'circle', shape: { cx: middle, cy: y, r: 6 }, style: { fill: inks.ink } }
            ]
          };
        }
      }
    ]
  });
  const table = $derived({
    columns: [t('charts.after'), t('charts.likelyFrom'), t('charts.mostLikely'), t('charts.to')],
    rows: steps.map((step) => [
      `${said(step)}, ${shortDate(step.at, locale)}`,
      ...[step.open.p10, step.open.p50, step.open.p90].map((at) => shortDate(at, locale))
    ])
  });
</script>

<Chart title={t('charts.whenOpensLookByLook')} {says} {option} {table} height={60 + steps.length * 26} />
<ol class="small">
  {#each steps as step (step.event.id)}<li>
      {said(step)} <span class="soft">{shortDate(step.at, locale)}</span>
    </li>{/each}
</ol>

<style>
  ol {
    margin: 0.25rem 0 0;
    padding-left: 1.5rem;
  }
</style>
