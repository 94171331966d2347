<script lang="ts">
  import { wobbleFrom } from './wobble.ts';

  interface Props {
    water: number;
    width: number;
    height: number;
    seed: string;
    sizeCm: number;
  }
  let { water, width, height, seed, sizeCm }: Props = $props();

  const middle = $derived(width / 2);
  const floor = $derived(height - 9);
  const level = $derived(floor - 6 - water * 84);
  const grains = $derived.by(() => {
    const wobble = wobbleFrom(seed);
    const half = Math.round(Math.max(2.2, Math.min(4.6, sizeCm * 6)) * 10) / 10;
    const across = Math.floor(76 / (half * 2));
    let path = '';
    for (let index = 0; index < across * 4; index += 1) {
      const row = Math.floor(index / across);
      const x = Math.round(
        middle - 38 + half + ((index % across) + (row % 2) * 0.4) * half * 1.9 + wobble(index) * 1.5
      );
      const y = Math.round(floor - 4 - row * half * 1.5 - wobble(index + 80) * 1.5);
      path += `M${x - half} ${y}a${half} ${half * 0.85} 0 1 0 ${half * 2} 0a${half} ${half * 0.85} 0 1 0-${half * 2} 0z`;
    }
    return path;
  });
</script>

{#if water > 0.01}
  <path class="water" d="M{middle - 42} {level}h84V{floor - 8}q0 8-8 8h-68q-8 0-8-8z" />
  <path class="level" d="M{middle - 42} {level}h84" />
{/if}
<path class="grain" d={grains} />
<path
  class="glass"
  d="M{middle - 34} {floor - 124}h68M{middle - 32} {floor -
    124}v8q0 6-6 8t-5 12v80q0 16 16 16h54q16 0 16-16v-80q0-10-5-12t-6-8v-8"
/>

<style>
  path {
    vector-effect: non-scaling-stroke;
    stroke-linejoin: round;
    stroke-linecap: round;
  }
  .glass {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .water {
    fill: var(--water);
    opacity: 0.25;
  }
  .level {
    fill: none;
    stroke: var(--water);
    stroke-width: 1.6;
  }
  .grain {
    fill: var(--grain);
    stroke: var(--ink-soft);
    stroke-width: 0.5;
  }
</style>
