<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { glutOf, spreadOf, type SpreadPart } from '$core/ahead/glut.ts';
  import { openingOf, type Opening } from '$core/ahead/opening.ts';
  import type { PlannedSowing } from '$core/sowing/planSowing.ts';
  import { DAY } from '$core/time/zone.ts';
  import { glutWords, spreadWords } from '$words/ahead.ts';
  import { dayWords, type Locale } from '$words/time.ts';

  interface Props {
    sowings: readonly PlannedSowing[];
    /** What is under way or planned already. */
    openings: readonly Opening[];
    /** Grams eaten a day. */
    appetiteGD: number;
    now: number;
    locale: Locale;
    /** Takes a later day for it to be ready by. */
    onlater: (at: number) => void;
    /** How many containers it is, and begins them in turn. */
    count: number;
    onspread: (portions: SpreadPart[]) => void;
  }
  let { sowings, openings, appetiteGD, now, locale, onlater, count, onspread }: Props = $props();

  const added = $derived(sowings.map(({ plan }) => openingOf(plan.forecast, plan.yieldG.usual)));
  const glut = $derived(glutOf(added, openings, appetiteGD, now));
  /** Of several containers each in its turn. */
  const spread = $derived(
    glut && count > 1
      ? spreadOf(
          added.map((one) => ({ ...one, g: one.g / count })),
          count,
          openings,
          appetiteGD,
          now
        )
      : null
  );
  /** By then it is ready in eight of ten, begun so much later. */
  const readyAt = $derived(glut?.mendD ? Math.max(...added.map(({ p90 }) => p90)) + glut.mendD * DAY : null);
</script>

{#if glut}
  <div class="warn stack" role="status">
    <p>{glutWords(glut, appetiteGD, now, locale)}</p>
    {#if spread && spread.length > 1}
      <div>
        <Button kind="tertiary" class="chip" on:click={() => onspread(spread)}
          >{spreadWords(spread, now, locale)}</Button
        >
      </div>
    {/if}
    {#if readyAt !== null && Number.isFinite(readyAt)}
      <div>
        <Button kind="tertiary" class="chip" on:click={() => onlater(readyAt)}
          >{t('sow.haveByDayInstead', { day: dayWords(readyAt, now, locale) })}</Button
        >
      </div>
    {:else}
      <p class="small">{t('sow.smallerContainerOrFewerThem')}</p>
    {/if}
  </div>
{/if}
