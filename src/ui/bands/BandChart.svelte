<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { Bands } from '$core/picture/bands.ts';
  import { DAY, zoneOf } from '$core/time/zone.ts';
  import { dayAndTime, dayWords, shortDate, type Locale } from '$words/time.ts';

  interface Row {
    name: string;
    bands: Bands;
  }
  interface Props {
    rows: Row[];
    now: number;
    locale: Locale;
    /** Makes the ids of its gradients its own. */
    id: string;
  }
  let { rows, now, locale, id }: Props = $props();

  const WORDS = {
    soak: t('ahead.soak'),
    drain: t('ahead.drain'),
    press: t('ahead.covered'),
    blackout: t('ahead.dark2'),
    light: t('ahead.light2')
  } as const;
  const W = 1000;
  const ROW = 58;
  const HEAD = 34;

  const starts = $derived(rows.map(({ bands }) => bands.bands[0]?.from ?? now));
  const first = $derived(Math.min(...starts));
  const last = $derived(
    Math.max(
      now,
      ...rows.map(({ bands }) => (Number.isFinite(bands.close.p90) ? bands.close.p90 : bands.open.p10))
    )
  );
  const span = $derived(Math.max(last - first, DAY));
  const x = (at: number) => Math.round(Math.min(1, Math.max(0, (at - first) / span)) * W * 10) / 10;

  /** Local midnights, thinned so that their dates do not touch. */
  const days = $derived.by(() => {
    const zone = zoneOf(locale.zone);
    const marks: number[] = [];
    for (
      let date = zone.date(first).add({ days: 1 });
      zone.at(date, 0) < first + span;
      date = date.add({ days: 1 })
    )
      marks.push(zone.at(date, 0));
    const every = Math.ceil(marks.length / 5);
    return marks.map((at, index) => ({
      at,
      label: index % every === Math.floor(every / 2) ? shortDate(at, locale) : ''
    }));
  });

  /** The window's edges as opacity: as sharp as the forecast is sure. */
  function stops({ open, close }: Bands): [number, number][] {
    const points: [number, number][] = [
      [open.p10, 0.12],
      [open.p50, 0.55],
      [open.p90, 1],
      [Math.max(open.p90, close.p10), 1],
      [Math.max(open.p90, close.p50), 0.55],
      [Math.max(open.p90, close.p90), 0.08]
    ];
    const from = open.p10;
    const wide = Math.max(1, close.p90 - from);
    return points.map(([at, opacity]) => [Math.round(((at - from) / wide) * 1000) / 10, opacity]);
  }
</script>

<div class="chart">
  <svg viewBox="0 0 {W} {HEAD + rows.length * ROW + 4}" aria-hidden="true" preserveAspectRatio="none">
    {#each days as day (day.at)}
      <path class="day" d="M{x(day.at)} {day.label ? 20 : 28}V{HEAD + rows.length * ROW}" />
    {/each}
    {#each rows as row, index (row.name)}
      {@const y = HEAD + index * ROW}
      {#each row.bands.bands as band (band.kind + band.from)}
        <rect
          class="band {band.kind}"
          class:unsure={!band.sure}
          x={x(band.from)}
          y={y + 10}
          width={Math.max(2, x(band.until) - x(band.from))}
          height="30"
        />
      {/each}
      {#if Number.isFinite(row.bands.close.p90)}
        <linearGradient id="{id}-{index}">
          {#each stops(row.bands) as [at, opacity], stop (stop)}
            <stop offset="{at}%" stop-opacity={opacity} class="window-stop" />
          {/each}
        </linearGradient>
        <rect
          class="window"
          fill="url(#{id}-{index})"
          x={x(row.bands.open.p10)}
          y={y + 4}
          width={Math.max(3, x(row.bands.close.p90) - x(row.bands.open.p10))}
          height="42"
        />
        <path class="best" d="M{x(row.bands.best.p50)} {y + 4}v42" />
      {/if}
    {/each}
    {#if now >= first && now <= last}
      <path class="now" d="M{x(now)} 20V{HEAD + rows.length * ROW}" />
    {/if}
  </svg>
  <!-- Words lie over the drawing, so that they keep their size at any width. -->
  <div class="labels" aria-hidden="true">
    {#each days.filter(({ label }) => label) as day (day.at)}
      <svg class="tag" x="0"><text class="date" x="{(x(day.at) / W) * 100}%" y="13">{day.label}</text></svg>
    {/each}
  </div>
  <ul class="legend">
    {#each rows as row (row.name)}
      <li>
        {#if rows.length > 1}<strong>{row.name}:</strong>{/if}
        {#each row.bands.bands as band (band.kind + band.from)}
          <span class="key"
            ><i class="swatch {band.kind}"></i>{WORDS[band.kind]}
            {band.sure || band.kind === 'soak'
              ? dayAndTime(band.from, now, locale)
              : dayWords(band.from, now, locale)}</span
          >
        {/each}
        {#if Number.isFinite(row.bands.open.p50)}
          <span class="key"
            ><i class="swatch window-swatch"></i>{t('ahead.windowDay', {
              day: dayWords(row.bands.open.p50, now, locale)
            })}</span
          >
        {/if}
      </li>
    {/each}
  </ul>
</div>

<style>
  .chart {
    position: relative;
  }
  .chart > svg {
    display: block;
    width: 100%;
    height: calc(var(--rows, 2) * 3rem + 2.5rem);
  }
  .labels {
    position: absolute;
    inset: 0 0 auto;
    height: 1.25rem;
    pointer-events: none;
  }
  .tag {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 1.25rem;
    overflow: visible;
  }
  .date {
    font-size: 0.75rem;
    fill: var(--ink-soft);
    text-anchor: middle;
  }
  .day {
    stroke: var(--ink-faint);
    stroke-width: 1;
    vector-effect: non-scaling-stroke;
    opacity: 0.6;
  }
  .now {
    stroke: var(--beet);
    stroke-width: 2.5;
    vector-effect: non-scaling-stroke;
  }
  .band {
    stroke: var(--paper);
    stroke-width: 1;
    vector-effect: non-scaling-stroke;
  }
  .band.unsure {
    opacity: 0.72;
  }
  .soak {
    fill: var(--water);
    background: var(--water);
  }
  .drain {
    fill: var(--band-drain);
    background: var(--band-drain);
  }
  .press {
    fill: var(--soil);
    background: var(--soil);
  }
  .blackout {
    fill: var(--band-dark);
    background: var(--band-dark);
  }
  .light {
    fill: var(--band-light);
    background: var(--band-light);
  }
  .window-stop {
    stop-color: var(--window);
  }
  .window-swatch {
    background: var(--window);
  }
  .best {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 2 3;
    vector-effect: non-scaling-stroke;
  }
  .legend {
    list-style: none;
    margin: 0.25rem 0 0;
    padding: 0;
    font-size: 0.875rem;
    color: var(--ink-soft);
  }
  .legend li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.125rem 1rem;
    align-items: center;
    margin-top: 0.25rem;
  }
  .key {
    display: inline-flex;
    gap: 0.375rem;
    align-items: center;
  }
  .swatch {
    display: inline-block;
    width: 0.875rem;
    height: 0.875rem;
    border: 1px solid var(--ink-faint);
  }
</style>
