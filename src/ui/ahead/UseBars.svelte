<script lang="ts">
  import { heightClass } from './fullness.ts';
  import type { scaleOf } from './scale.ts';

  /** How many containers of a kind are taken, day by day. */
  interface Props {
    name: string;
    /** Of all that there are. */
    shares: readonly number[];
    scale: ReturnType<typeof scaleOf>;
    height: number;
  }
  let { name, shares, scale, height }: Props = $props();
</script>

<svg
  width={scale.width}
  {height}
  viewBox="0 0 {scale.width} {height}"
  role="img"
  aria-label="How many {name}s are taken"
>
  {#each shares as share, day (day)}
    <rect
      class={heightClass(share)}
      x={day * scale.dayWidth}
      y={height - 2 - Math.min(1, share) * (height - 4)}
      width={scale.dayWidth + 0.5}
      height={Math.min(1, share) * (height - 4)}
    />
  {/each}
</svg>

<style>
  svg {
    display: block;
  }
  .used {
    fill: var(--ink-faint);
  }
  .full {
    fill: var(--ink-soft);
  }
  .over {
    fill: var(--alarm);
  }
</style>
