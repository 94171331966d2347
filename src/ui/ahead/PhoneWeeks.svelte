<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { DayAhead } from '$core/ahead/eat.ts';
  import type { Horizon } from '$core/ahead/horizon.ts';
  import type { Row } from '$core/ahead/rows.ts';
  import { rowName } from '$words/ahead.ts';
  import { shortDate, type Locale } from '$words/time.ts';
  import BandRow from './BandRow.svelte';
  import Grams from './Grams.svelte';
  import { mondaysOf, scaleOf } from './scale.ts';

  /** The weeks ahead at the width of a phone: what is eaten each day, and the bands of the next sowings. To look at only; the list below acts. */
  interface Props {
    horizon: Horizon;
    rows: readonly Row[];
    days: readonly DayAhead[];
    /** Whether anybody said what is eaten. */
    hungry: boolean;
    locale: Locale;
  }
  let { horizon, rows, days, hungry, locale }: Props = $props();

  const MOST = 12;
  const [NAME, BAND, ROW] = [13, 8, 26];
  let width = $state(0);
  const scale = $derived(scaleOf(horizon, Math.max(280, width)));
  /** Every other Monday: at this width a date needs two weeks. */
  const mondays = $derived(mondaysOf(horizon).filter((_, nth) => nth % 2 === 0));
  const drawn = $derived(rows.slice(0, MOST));
  const height = $derived(drawn.length * ROW + 4);
  /** Where a name begins: over its band, and never past the edge. */
  const nameAt = (row: Row): number => Math.min(Math.max(0, scale.x(row.beginsAt)), scale.width * 0.6);
</script>

<div class="phone" bind:clientWidth={width}>
  <svg class="dates" width={scale.width} height="18" aria-hidden="true">
    {#each mondays as day (day)}
      <text x={day * scale.dayWidth} y="13">{shortDate(horizon.supperAt[day]!, locale)}</text>
    {/each}
  </svg>
  {#if hungry}<Grams {days} {scale} height={72} />{/if}
  {#if drawn.length > 0}
    <svg width={scale.width} {height} role="img" aria-label={t('ahead.sowingsOverWeeksAheadBy')}>
      {#each mondays as day (day)}
        <line class="week" x1={day * scale.dayWidth} x2={day * scale.dayWidth} y1="0" y2={height} />
      {/each}
      {#each drawn as row, nth (row.key)}
        <text x={nameAt(row)} y={nth * ROW + NAME}>{rowName(row)}</text>
        <BandRow {row} {scale} y={nth * ROW + NAME + 4} height={BAND} />
      {/each}
    </svg>
  {/if}
  {#if rows.length > MOST}<p class="small soft">{t('ahead.moreRows', { more: rows.length - MOST })}</p>{/if}
</div>

<style>
  .phone svg {
    display: block;
  }
  text {
    font-size: 12px;
    fill: var(--ink-soft);
  }
  .week {
    stroke: var(--ink-faint);
    stroke-dasharray: 2 3;
  }
  p {
    margin: 0.25rem 0 0;
  }
</style>
