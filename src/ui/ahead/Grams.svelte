<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { DayAhead } from '$core/ahead/eat.ts';
  import type { Scale } from './scale.ts';

  /** Grams a day against appetite: what is eaten, what is missing, what would be thrown. */
  let { days, scale, height }: { days: readonly DayAhead[]; scale: Scale; height: number } = $props();
  const id = $props.id();

  const most = $derived(Math.max(1, ...days.map(({ appetiteG, thrownG }) => appetiteG + thrownG)));
  const y = (g: number): number => height - (g / most) * (height - 6);
  const x = (day: number): number => day * scale.dayWidth + 1;
  const width = $derived(Math.max(1, scale.dayWidth - 2));
  const line = $derived(
    days
      .map(
        ({ appetiteG }, day) =>
          `${day === 0 ? 'M' : 'L'}${day * scale.dayWidth} ${y(appetiteG)}H${(day + 1) * scale.dayWidth}`
      )
      .join('')
  );
</script>

<svg
  {height}
  width={scale.width}
  viewBox="0 0 {scale.width} {height}"
  role="img"
  aria-label={t('ahead.gramsDayAgainstWhatYou')}
>
  <defs>
    <pattern {id} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect class="hatch" width="2.5" height="6" />
    </pattern>
  </defs>
  {#each days as { eatenG, missingG, thrownG, appetiteG }, day (day)}
    {#if eatenG > 0}<rect class="eaten" x={x(day)} y={y(eatenG)} {width} height={height - y(eatenG)} />{/if}
    {#if missingG > appetiteG * 0.02}
      <rect
        class="missing"
        x={x(day)}
        y={y(eatenG + missingG)}
        {width}
        height={y(eatenG) - y(eatenG + missingG)}
        fill="url(#{id})"
      />
    {/if}
    {#if thrownG > 1}
      <rect
        class="thrown"
        x={x(day)}
        y={y(appetiteG + thrownG)}
        {width}
        height={y(appetiteG) - y(appetiteG + thrownG)}
      />
    {/if}
  {/each}
  <path class="appetite" d={line} />
</svg>

<style>
  svg {
    display: block;
  }
  .eaten {
    fill: var(--leaf-green);
  }
  .missing {
    stroke: var(--alarm);
    stroke-width: 1;
  }
  .hatch {
    fill: var(--alarm);
  }
  .thrown {
    fill: var(--soil);
  }
  .appetite {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
</style>
