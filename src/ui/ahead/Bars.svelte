<svelte:options namespace="svg" />

<script lang="ts">
  import type { Scale } from './scale.ts';

  /** How much of something is taken, day by day: of a board, of containers of a kind. */
  interface Props {
    /** Of all that there is. */
    shares: readonly number[];
    scale: Scale;
    /** What they stand on, and how high all of it is. */
    bottom: number;
    height: number;
    /** Of it what stands in the dark. */
    dark?: boolean;
  }
  let { shares, scale, bottom, height, dark = false }: Props = $props();

  const fullness = (share: number) => (share > 1.001 ? 'over' : share >= 0.999 ? 'full' : 'used');
</script>

{#each shares as share, day (day)}
  {#if share > 0}
    {@const high = Math.min(1, share) * height}
    <rect
      class={dark ? 'in-dark' : fullness(share)}
      x={day * scale.dayWidth}
      y={bottom - high}
      width={scale.dayWidth + 0.5}
      height={high}
    />
  {/if}
{/each}

<style>
  .used {
    fill: var(--ink-faint);
  }
  .full {
    fill: var(--ink-soft);
  }
  .in-dark {
    fill: var(--band-dark);
  }
  .over {
    fill: var(--alarm);
  }
</style>
