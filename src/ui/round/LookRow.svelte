<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import type { StopPart } from '$core/steps/walk.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { cueThen, cueWords } from '$words/events.ts';
  import { dayWords, type Locale } from '$words/time.ts';

  /** The cue that would tell most: one touch for seen, one for not yet, and one for leaving it covered all the same. */
  interface Props {
    part: StopPart;
    now: number;
    locale: Locale;
    /** One of two halves: its crop is named. */
    named: boolean;
  }
  let { part, now, locale, named }: Props = $props();
  const journal = useJournal();
  const { crop, path, setup } = $derived(part.projected);
</script>

{#if part.ask.since}
  {@const { cue, at } = part.ask.since}
  {@const words = cueWords(cue, crop, path, locale.units)}
  <div
    class="row look"
    role="group"
    aria-label={t('round.sinceWhenWordsName', { words, name: cropName(crop.name) })}
  >
    <span class="small soft">{named ? `${cropName(crop.name)}: ${words}` : words}:</span>
    {#each [{ reached: false, since: t('round.sinceLastRound') }, { reached: true, since: t('round.since.longer') }] as one (one.since)}
      <button
        class="chip quiet"
        onclick={() =>
          journal.record(
            setup.id,
            { type: 'looked', cue, reached: one.reached },
            `${cropName(crop.name)}: “${words}” ${one.since}`,
            { at }
          )}>{one.since}</button
      >
    {/each}
  </div>
{/if}
{#snippet coverStays(until: number)}
  <button
    class="chip quiet"
    onclick={() =>
      journal.record(
        setup.id,
        { type: 'stays-covered', until },
        t('round.nameStaysCoveredUntilDay', { name: cropName(crop.name), day: dayWords(until, now, locale) })
      )}
    ><span class="words">{t('round.keepCoveredMyWay')}</span><span class="then"
      >{t('round.asksAgainDay', { day: dayWords(until, now, locale) })}</span
    ></button
  >
{/snippet}
{#if part.ask.look}
  {@const { cue } = part.ask.look}
  {@const words = cueWords(cue, crop, path, locale.units)}
  <div
    class="row look"
    class:wraps={part.ask.staysCoveredUntil !== null}
    role="group"
    aria-label={t('round.lookAtName', { name: cropName(crop.name) })}
  >
    {#if named}<strong class="small">{cropName(crop.name)}</strong>{/if}
    <!-- A chip says what it does. -->
    <button
      class="chip"
      aria-describedby="then-{setup.id}"
      onclick={() =>
        journal.record(setup.id, { type: 'looked', cue, reached: true }, `${cropName(crop.name)}: ${words}`)}
      ><span class="words">{words}</span><span class="then" aria-hidden="true" id="then-{setup.id}"
        >{cueThen(cue, part.projected)}</span
      ></button
    >
    <button
      class="chip quiet"
      onclick={() =>
        journal.record(
          setup.id,
          { type: 'looked', cue, reached: false },
          t('round.nameWordsNotYet', { name: cropName(crop.name), words })
        )}>{t('round.notYet')}</button
    >
    {#if part.ask.staysCoveredUntil !== null}{@render coverStays(part.ask.staysCoveredUntil)}{/if}
  </div>
{:else if part.ask.staysCoveredUntil !== null}
  <div class="row look">
    {#if named}<strong class="small">{cropName(crop.name)}</strong>{/if}
    {@render coverStays(part.ask.staysCoveredUntil)}
  </div>
{/if}

<style>
  .chip:has(.then) {
    display: inline-flex;
    flex-direction: column;
    flex: 0 1 auto;
    max-width: 26rem;
    padding-block: 0.3rem;
    border-radius: 1.4rem;
    line-height: 1.2;
    text-align: start;
  }
  .then {
    color: var(--ink-soft);
    font-size: 0.8125rem;
    font-weight: 400;
  }
  @media (max-width: 47.99rem) {
    .look:not(.wraps) {
      flex-wrap: nowrap;
    }
    .look:not(.wraps) .chip.quiet {
      flex: none;
    }
  }
</style>
