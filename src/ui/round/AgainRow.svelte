<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import type { StopPart } from '$core/steps/walk.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { cueWords } from '$words/events.ts';
  import type { Locale } from '$words/time.ts';

  /** A cue that was seen already, for who happens to look again. */
  interface Props {
    part: StopPart;
    locale: Locale;
    /** One of two halves: its crop is named. */
    named: boolean;
  }
  let { part, locale, named }: Props = $props();
  const journal = useJournal();
  const { crop, path, setup } = $derived(part.projected);
  const ANSWERS = [
    { reached: true, label: t('round.stillSo') },
    { reached: false, label: t('round.notYetAfterAll') }
  ];
</script>

{#if part.ask.again}
  {@const cue = part.ask.again}
  {@const words = cueWords(cue, crop, path, locale.units)}
  <div
    class="row"
    role="group"
    aria-label={t('round.checkAgainWordsName', { words, name: cropName(crop.name) })}
  >
    <span class="small soft"
      >{t('round.nameWordsAsYouSaw', {
        when: named ? 'yes' : 'no',
        name: named ? cropName(crop.name) : '',
        words
      })}</span
    >
    {#each ANSWERS as { reached, label } (label)}
      <button
        class="chip quiet"
        onclick={() =>
          journal.record(
            setup.id,
            { type: 'looked', cue, reached },
            `${cropName(crop.name)}: “${words}”, ${label}`
          )}>{label}</button
      >
    {/each}
  </div>
{/if}
