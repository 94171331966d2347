<script lang="ts">
  import { Checkbox } from 'carbon-components-svelte';
  import type { Crop } from '$core/crops/crop.ts';
  import { FITS, type MixFit } from '$core/growth/fit.ts';
  import { figure, length, type Units } from '$core/units/format.ts';

  interface Props {
    crops: readonly Crop[];
    fit: MixFit;
    /** Where they are to stand. */
    placeName: string;
    units: Units;
    /** Whether the parts are sown side by side, and so can be sown on different days. */
    halves: boolean;
    staggered: boolean;
  }
  let { crops, fit, placeName, units, halves, staggered = $bindable() }: Props = $props();

  /** Width of the column of names, and of the day before each bar. */
  const NAMES_TO = 152;

  const delays = $derived(staggered ? fit.delaysD : crops.map(() => 0));
  const from = $derived(Math.min(...fit.windows.map(({ openD }) => openD)));
  const until = $derived(Math.max(...fit.windows.map(({ closeD }, index) => closeD + delays[index]!)) + 1);
  const x = (day: number) => Math.round(NAMES_TO + ((day - from) / (until - from)) * (300 - NAMES_TO));
  const day = (d: number) => figure(Math.round(d * 10) / 10);
  const days = (d: number) => `${figure(Math.round(Math.abs(d) * 2) / 2)} day${Math.abs(d) === 1 ? '' : 's'}`;
  const tallest = $derived(fit.heightsCm.indexOf(Math.max(...fit.heightsCm)));
  const shortest = $derived(fit.heightsCm.indexOf(Math.min(...fit.heightsCm)));
  const late = $derived(
    crops.map((crop, index) => ({ crop, d: fit.delaysD[index]! })).filter(({ d }) => d >= 0.5)
  );
</script>

<section class="fit stack" aria-label="Whether they suit one tray">
  <svg
    viewBox="0 0 300 {crops.length * 22 + 4}"
    role="img"
    aria-label="Windows at {placeName}: {crops
      .map(
        (crop, index) =>
          `${crop.name} day ${day(fit.windows[index]!.openD + delays[index]!)} to ${day(fit.windows[index]!.closeD + delays[index]!)}`
      )
      .join('; ')}"
  >
    {#each crops as crop, index (index)}
      <rect
        x={x(fit.windows[index]!.openD + delays[index]!)}
        y={index * 22 + 3}
        width={Math.max(
          2,
          x(fit.windows[index]!.closeD + delays[index]!) - x(fit.windows[index]!.openD + delays[index]!)
        )}
        height="16"
        rx="8"
      />
      <path d="M{x(fit.windows[index]!.bestD + delays[index]!)} {index * 22 + 3}v16" />
      <text x="0" y={index * 22 + 15}>{crop.name.length > 19 ? `${crop.name.slice(0, 18)}…` : crop.name}</text
      >
      <text class="day" x={x(fit.windows[index]!.openD + delays[index]!) - 4} y={index * 22 + 15}
        >day {day(fit.windows[index]!.openD + delays[index]!)}</text
      >
    {/each}
  </svg>
  {#if fit.windowsFit && fit.overlapD < FITS.overlapD}
    <p class="small">Taken over days, each is cut when it is ready: their windows need not meet.</p>
  {:else if fit.windowsFit}
    <p class="small">Their windows are open together for about {days(fit.overlapD)}: they fit.</p>
  {:else}
    <p class="small warn">
      {fit.overlapD > 0
        ? `Their windows meet for only ${days(fit.overlapD)}; a mix wants ${FITS.overlapD}.`
        : `Their windows miss each other by ${days(fit.overlapD)}: one is past its best before the other opens.`}
      {#if !halves && late.length > 0}Sown as halves, the faster could start later.{/if}
    </p>
  {/if}
  {#if !fit.heightsFit}
    <p class="small warn">
      At the cut they stand at about {length(fit.heightsCm[tallest]!, units)} ({crops[
        tallest
      ]!.name.toLowerCase()}) and {length(fit.heightsCm[shortest]!, units)} ({crops[
        shortest
      ]!.name.toLowerCase()}): the taller shades the shorter, and one cut does not suit both.
    </p>
  {/if}
  {#if halves && late.length > 0}
    <Checkbox bind:checked={staggered}>
      <span slot="labelChildren"
        >Sow {late.map(({ crop, d }) => `${crop.name.toLowerCase()} about ${days(d)} later`).join(', ')}<span
          class="small soft"
        >
          : then they are best on one day, and open together for {days(fit.staggeredOverlapD)}.</span
        ></span
      >
    </Checkbox>
  {/if}
</section>

<style>
  .fit {
    gap: 0.4rem;
  }
  svg {
    width: 100%;
    max-width: 30rem;
  }
  rect {
    fill: var(--window);
    opacity: 0.55;
  }
  path {
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  text {
    font-size: 11px;
    fill: var(--ink);
  }
  .day {
    font-size: 9px;
    text-anchor: end;
  }
</style>
