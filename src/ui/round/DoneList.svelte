<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { Projected } from '$core/sowing/project.ts';
  import { ROUND_LEAD_H, type Round } from '$core/time/rhythm.ts';
  import { HOUR } from '$core/time/zone.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { eventWords } from '$words/events.ts';
  import { clockTime, type Locale } from '$words/time.ts';

  /** What was done in this round, to be seen by others and taken back. */
  interface Props {
    sowings: readonly Projected[];
    round: Round;
    locale: Locale;
    members: Record<string, string>;
    placeName: (id: string) => string;
  }
  let { sowings, round, locale, members, placeName }: Props = $props();
  const journal = useJournal();
  const done = $derived(
    sowings.flatMap((sowing) =>
      sowing.state.log
        .filter(
          ({ event, undone, repeat }) =>
            !undone && !repeat && event.at > round.at - ROUND_LEAD_H * HOUR && event.body.type !== 'noted'
        )
        .map(({ event }) => ({
          event,
          sowingId: sowing.setup.id,
          name: cropName(sowing.crop.name),
          words: eventWords(event.body, sowing, locale, placeName)
        }))
    )
  );
</script>

{#if done.length > 0}
  <ul class="done small" aria-label={t('round.doneRound')}>
    {#each done as { event, sowingId, name, words } (event.id)}
      <li>
        <span
          >✓ {sowings.length > 1 ? `${name}: ` : ''}{words}
          <span class="soft"
            >{clockTime(event.at, locale)}{event.by && members[event.by]
              ? `, ${members[event.by]}`
              : ''}</span
          ></span
        >
        <Button kind="ghost" class="undo" on:click={() => journal.undo(sowingId, event.id)}
          >{t('round.undo')}<span class="visually-hidden"> {name}: {words}</span></Button
        >
      </li>
    {/each}
  </ul>
{/if}

<style>
  .done {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  .done li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.75rem;
    align-items: center;
  }
</style>
