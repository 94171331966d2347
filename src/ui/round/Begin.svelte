<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { StopPart } from '$core/steps/walk.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { noteWords } from '$words/notes.ts';
  import { dayWords, type Locale } from '$words/time.ts';

  /** A sowing whose time has passed: asked once what shall become of it. */
  interface Props {
    part: StopPart;
    now: number;
    locale: Locale;
    zone: string;
    /** Said of which crop: of a container that has two. */
    named: boolean;
  }
  let { part, now, locale, zone, named }: Props = $props();
  const journal = useJournal();
  const { crop, path, setup } = $derived(part.projected);
  const missed = $derived(part.ask.notes.find((note) => note.kind === 'not-begun'));
  /** The same hour of the next three days. */
  const days = $derived.by(() => {
    if (!missed) return [];
    const household = zoneOf(zone);
    const minutes = household.minutes(missed.at);
    const today = household.date(now);
    return [1, 2, 3].map((days) => household.at(today.add({ days }), minutes));
  });
</script>

{#if missed}
  <div class="begin" role="group" aria-label={t('round.whenBeginName', { name: cropName(crop.name) })}>
    <p class="small">
      {named ? `${cropName(crop.name)}: ` : ''}{noteWords(missed, crop, path, now, locale)}
    </p>
    <div class="row look">
      {#each days as at (at)}
        {@const day = dayWords(at, now, locale)}
        <Button
          kind="ghost"
          class="chip quiet"
          on:click={() =>
            journal.record(
              setup.id,
              { type: 'put-off', until: at },
              t('round.namePutOffDay', { name: cropName(crop.name), day })
            )}>{day}</Button
        >
      {/each}
      <Button
        kind="ghost"
        class="chip quiet"
        on:click={() =>
          journal.record(
            setup.id,
            { type: 'ended', reason: 'not-begun' },
            t('round.nameLetGo', { name: cropName(crop.name) })
          )}>{t('round.letGo')}</Button
      >
    </div>
  </div>
{/if}
