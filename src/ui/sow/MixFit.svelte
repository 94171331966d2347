<script lang="ts">
  import { cropInText, cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
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
  const days = (d: number) => t('sow.dDayS', { d: figure(Math.round(Math.abs(d) * 2) / 2), d2: Math.abs(d) });
  const tallest = $derived(fit.heightsCm.indexOf(Math.max(...fit.heightsCm)));
  const shortest = $derived(fit.heightsCm.indexOf(Math.min(...fit.heightsCm)));
  const late = $derived(
    crops.map((crop, index) => ({ crop, d: fit.delaysD[index]! })).filter(({ d }) => d >= 0.5)
  );
</script>

<section class="fit stack" aria-label={t('sow.whetherTheySuitOneTray')}>
  <svg
    viewBox="0 0 300 {crops.length * 22 + 4}"
    role="img"
    aria-label={t('sow.windowsAtPlacenameCrops', {
      placeName,
      crops: crops
        .map((crop, index) =>
          t('sow.nameDayDayDay', {
            name: cropName(crop.name),
            day: day(fit.windows[index]!.openD + delays[index]!),
            day2: day(fit.windows[index]!.closeD + delays[index]!)
          })
        )
        .join('; ')
    })}
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
      <text x="0" y={index * 22 + 15}
        >{cropName(crop.name).length > 19
          ? `${cropName(crop.name).slice(0, 18)}…`
          : cropName(crop.name)}</text
      >
      <text class="day" x={x(fit.windows[index]!.openD + delays[index]!) - 4} y={index * 22 + 15}
        >{t('sow.dayDay', { day: day(fit.windows[index]!.openD + delays[index]!) })}</text
      >
    {/each}
  </svg>
  {#if fit.windowsFit && fit.overlapD < FITS.overlapD}
    <p class="small">{t('sow.takenOverDaysEachCut')}</p>
  {:else if fit.windowsFit}
    <p class="small">{t('sow.theirWindowsOpenTogetherAbout', { days: days(fit.overlapD) })}</p>
  {:else}
    <p class="small warn">
      {fit.overlapD > 0
        ? t('sow.theirWindowsMeetOnlyDays', { days: days(fit.overlapD), overlapD: FITS.overlapD })
        : t('sow.theirWindowsMissEachBy', { days: days(fit.overlapD) })}
      {#if !halves && late.length > 0}{t('sow.sownAsHalvesFasterCould')}{/if}
    </p>
  {/if}
  {#if !fit.heightsFit}
    <p class="small warn">
      {t('sow.atCutTheyStandAt', {
        length: length(fit.heightsCm[tallest]!, units),
        name: cropInText(crops[tallest]!.name),
        length2: length(fit.heightsCm[shortest]!, units),
        name2: cropInText(crops[shortest]!.name)
      })}
    </p>
  {/if}
  {#if halves && late.length > 0}
    <Checkbox bind:checked={staggered}>
      <span slot="labelChildren"
        >{t('sow.sowLate', {
          late: late
            .map(({ crop, d }) => t('sow.nameAboutDaysLater', { name: cropInText(crop.name), days: days(d) }))
            .join(', ')
        })}<span class="small soft">
          {t('sow.thenTheyBestOnOne', { days: days(fit.staggeredOverlapD) })}</span
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
