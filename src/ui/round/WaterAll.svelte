<script lang="ts">
  import { t } from '$messages/t.ts';
  import { recordsOfStep, type StopStep } from '$core/steps/walk.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';

  /** Waters every tray of a place that is sure to need it, as one step with one undo. */
  interface Props {
    steps: readonly StopStep[];
    place: { id: string; name: string };
  }
  let { steps, place }: Props = $props();
  const journal = useJournal();
  const count = $derived(steps.length);
  const waterAll = () =>
    void journal.recordAll(
      steps.flatMap(recordsOfStep),
      t('round.shelfWatered', { place: place.name, count })
    );
</script>

<button data-key="shelf" data-place={place.id} onclick={waterAll}
  >{t('round.waterShelf', { count })}<span class="visually-hidden">
    {t('round.waterShelfAt', { place: place.name })}</span
  ></button
>

<style>
  button {
    min-height: 2.75rem;
    margin-block: -0.6rem;
    padding: 0 0 0 1rem;
    border: 0;
    background: none;
    color: var(--beet);
    font: inherit;
    text-decoration: underline;
    cursor: pointer;
  }
</style>
