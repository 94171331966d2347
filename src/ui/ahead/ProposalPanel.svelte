<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { nothingWithout } from '$core/ahead/build.ts';
  import type { Line } from '$core/ahead/lines.ts';
  import type { ProposedSeed } from '$core/ahead/drawn.ts';
  import { Button } from 'carbon-components-svelte';
  import { cropsByWeek } from '$core/ahead/variety.ts';
  import {
    LACKS_WORDS,
    SEARCH_WORDS,
    seedLine,
    shortDaysWords,
    wishWords,
    type DayName
  } from '$words/ahead.ts';
  import { cropsInWeeksWords, varietyPriceWords } from '$words/variety.ts';
  import type { Locale } from '$words/time.ts';
  import type { Planner } from './planner.svelte.ts';
  import ProposalList from './ProposalList.svelte';

  /** What is proposed, how good it is as far as anybody knows, and what would mend what it leaves missing. */
  interface Props {
    planner: Planner;
    lines: readonly Line[];
    /** Those of them that are drawn so far. */
    drawnLines: readonly Line[];
    /** Those that are left by hand, by their key. */
    left: ReadonlySet<string>;
    /** Seed that is not in the cupboard, and what is to be bought of it. */
    seed: ProposedSeed;
    /** What nothing can be planned without; null where there is some of each. */
    lacks: ReturnType<typeof nothingWithout>;
    /** Crops that are wanted in every week; null for no wish. */
    leastCrops: number | null;
    placeName: (id: string) => string;
    name: DayName;
    /** Of the first day ahead, 1 for Monday to 7. */
    firstWeekday: number;
    now: number;
    locale: Locale;
    sending: boolean;
    onleave: (key: string, left: boolean) => void;
    ontake: () => void;
  }
  let {
    planner,
    lines,
    drawnLines,
    left,
    seed,
    lacks,
    leastCrops,
    placeName,
    name,
    firstWeekday,
    now,
    locale,
    sending,
    onleave,
    ontake
  }: Props = $props();

  const many = $derived(lines.filter(({ key }) => !left.has(key)).length);
  const weeks = $derived(planner.proposal && leastCrops !== null ? cropsByWeek(planner.proposal.days) : null);
  const state = $derived(
    planner.failed ? 'failed' : !planner.proposal ? 'looking' : planner.working ? 'better' : 'done'
  );
</script>

<section class="proposal" aria-labelledby="proposal">
  <h2 id="proposal">{t('ahead.proposed2')}</h2>
  {#if lacks && planner.proposal && lines.length === 0}
    <p role="status">
      {LACKS_WORDS[lacks].says}
      <a href={LACKS_WORDS[lacks].path}>{LACKS_WORDS[lacks].link}</a>
    </p>
  {:else}
    <p role="status">{SEARCH_WORDS[state]}</p>
    {#if planner.proposal}
      {#if lines.length === 0}
        <p>{t('ahead.nothingWouldBeBetterThan')}</p>
      {:else}
        <ProposalList
          lines={drawnLines}
          {left}
          seedLacks={seed.lacks}
          {placeName}
          {name}
          {now}
          {locale}
          {onleave}
        />
      {/if}
      {#if weeks && leastCrops !== null}<p class="small">{cropsInWeeksWords(weeks, leastCrops)}</p>{/if}
      {#if planner.price}<p class="small">{varietyPriceWords(planner.price, locale.units)}</p>{/if}
      {#if seed.toBuy.length > 0}
        <h3>{t('ahead.seedBuy2')}</h3>
        <ul class="plain">
          {#each seed.toBuy as need (need.crop.key)}<li>{seedLine(need, now, locale)}</li>{/each}
        </ul>
      {/if}
      {#if planner.done && planner.done.short.length > 0}
        <p class="small">{shortDaysWords(planner.done.short, name)}</p>
      {/if}
      {#if planner.done && planner.done.wishes.length > 0}
        <h3>{t('ahead.whatWouldMendWhatStill')}</h3>
        <ul class="plain">
          {#each planner.done.wishes as wish, n (n)}<li>{wishWords(wish, firstWeekday, locale)}</li>{/each}
        </ul>
      {/if}
    {/if}
  {/if}
  <div class="row">
    {#if many > 0}
      <Button disabled={sending} on:click={ontake}>{t('ahead.takeChangeTheseChanges', { many })}</Button>
    {/if}
    {#if planner.working}<Button kind="tertiary" on:click={() => planner.settle()}
        >{t('ahead.enoughStopLooking')}</Button
      >{/if}
    <Button kind="ghost" on:click={() => planner.clear()}>{t('ahead.putAway')}</Button>
  </div>
</section>

<style>
  .proposal {
    margin: 1rem 0;
    padding: 1rem;
    border: 1px solid var(--ink-faint);
    border-radius: 8px;
    background: var(--paper-raised);
  }
  h2 {
    margin-top: 0;
  }
  .plain {
    padding-left: 1.2rem;
    list-style: disc;
  }
  @media print {
    .proposal {
      display: none;
    }
  }
</style>
