<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { Place } from '$core/places/place.ts';
  import type { Projected } from '$core/sowing/project.ts';
  import type { StopPart } from '$core/steps/walk.ts';
  import { moveContainer } from '$ui/shelf/moveContainer.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { noteWords } from '$words/notes.ts';
  import type { Locale } from '$words/time.ts';
  import { suitWords } from '$words/warmth.ts';

  /** What is worth knowing of a tray, which asks for nothing to be done. */
  interface Props {
    part: StopPart;
    now: number;
    locale: Locale;
    places: readonly Place[];
    named: boolean;
    /** All that stands in its container. */
    whole: readonly Projected[];
  }
  let { part, now, locale, places, named, whole }: Props = $props();
  const journal = useJournal();
  const { crop, path, setup } = $derived(part.projected);
  const suit = $derived(
    part.projected.forecast.marks.windowOpen.seen ? '' : suitWords(crop, part.projected.suit, locale.units)
  );
  const notes = $derived(part.ask.notes.filter(({ kind }) => kind !== 'unsure' && kind !== 'not-begun'));
  const warns: readonly string[] = [
    'may-be-lost',
    'touch-it',
    'in-the-dark',
    'too-much',
    'contradiction',
    'mould-risk'
  ];
</script>

{#if suit}<p class="note small warn">{suit}</p>{/if}
{#each notes as note (note.kind)}
  <p class="note small" class:warn={warns.includes(note.kind)}>
    {#if named}<strong>{cropName(crop.name)}</strong>{/if}
    {noteWords(note, crop, path, now, locale)}
    {#if note.kind === 'may-be-lost'}
      <Button
        kind="tertiary"
        class="chip"
        on:click={() =>
          journal.record(
            setup.id,
            { type: 'saw', sight: 'fallen-dry' },
            t('round.nameStemsHang', { name: cropName(crop.name) })
          )}>{t('round.stemsHang')}</Button
      >
      <Button
        kind="ghost"
        class="chip quiet"
        on:click={() =>
          journal.record(
            setup.id,
            { type: 'felt', moisture: 'right' },
            t('round.nameStemsStand', { name: cropName(crop.name) })
          )}>{t('round.theyStandDamp')}</Button
      >
    {/if}
    {#if note.kind === 'in-the-dark'}
      {#each places.filter(({ light }) => light.kind !== 'dark') as to (to.id)}
        <Button kind="tertiary" class="chip" on:click={() => void moveContainer(journal, whole, to)}
          >{t('round.name', { name: to.name })}</Button
        >
      {/each}
    {/if}
    {#if note.kind === 'unlikely'}
      <Button kind="ghost" class="undo" on:click={() => journal.undo(setup.id, note.look.eventId)}
        >{t('round.undo')}</Button
      >
    {/if}
    {#if note.kind === 'contradiction'}
      {#each [{ id: note.between.reachedEventId, words: t('round.takeFirstBack') }, { id: note.between.notYetEventId, words: t('round.takeSecondBack') }] as one (one.id)}
        <Button kind="ghost" class="undo" on:click={() => journal.undo(setup.id, one.id)}>{one.words}</Button>
      {/each}
    {/if}
  </p>
{/each}
