<script lang="ts">
  import { cropList } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { AwayOutlook } from '$contract/away.ts';
  import { AWAY_VERDICTS } from '$core/away/plan.ts';
  import type { MediumStock } from '$core/supplies/media/medium.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { VERDICT_WORDS, verdictReason } from '$words/away.ts';
  import { containersWords } from '$words/containers.ts';
  import { reminderWords } from '$words/reminders.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';

  interface Props {
    outlook: AwayOutlook;
    media: readonly MediumStock[];
    now: number;
    locale: Locale;
    /** What was recorded here has to be looked at anew. */
    onchanged: () => void;
  }
  let { outlook, media, now, locale, onchanged }: Props = $props();
  const journal = useJournal();

  const groups = $derived(
    AWAY_VERDICTS.map((verdict) => ({
      verdict,
      trays: outlook.trays.filter((tray) => tray.verdict === verdict)
    })).filter(({ trays }) => trays.length > 0)
  );
  const nameOf = cropList;

  async function record(
    tray: AwayOutlook['trays'][number],
    body: Parameters<typeof journal.record>[1],
    words: string
  ) {
    await journal.recordAll(
      tray.sowingIds.map((sowingId) => ({ sowingId, body })),
      `${nameOf(tray.crops)}: ${words}`
    );
    onchanged();
  }
</script>

{#if outlook.trays.length === 0}
  <p class="soft">{t('household.noTrayUnderWayNothing')}</p>
{/if}
{#each groups as { verdict, trays } (verdict)}
  <h3>{VERDICT_WORDS[verdict]}</h3>
  <ul>
    {#each trays as tray (tray.key)}
      <li>
        <div>
          <a href="/tray/{tray.sowingId}"><strong>{nameOf(tray.crops)}</strong></a>
          <span class="soft small">{containersWords(tray.of)}, {tray.placeName}</span>
          <p class="small">{verdictReason(tray, now, locale)}</p>
        </div>
        {#if verdict === 'cut'}
          <a class="chip" href="/tray/{tray.sowingId}/harvest"
            >{t('household.cut')}<span class="visually-hidden">: {nameOf(tray.crops)}</span></a
          >
        {:else if verdict === 'cool' && tray.coolPlaceId}
          {@const placeId = tray.coolPlaceId}
          <Button
            kind="tertiary"
            class="chip"
            on:click={() =>
              void record(
                tray,
                { type: 'moved', placeId },
                t('household.movedCoolname', { coolName: tray.coolName ?? '' })
              )}
            >{t('household.standsThereNow')}<span class="visually-hidden">: {nameOf(tray.crops)}</span
            ></Button
          >
        {:else if verdict === 'put-off'}
          <Button
            kind="tertiary"
            class="chip"
            on:click={() =>
              void record(
                tray,
                { type: 'put-off', until: outlook.backAt },
                t('household.putOffUntilYouBack')
              )}>{t('household.putOff')}<span class="visually-hidden">: {nameOf(tray.crops)}</span></Button
          >
        {/if}
      </li>
    {/each}
  </ul>
{/each}
{#if outlook.rounds.length > 0}
  <details class="unfold">
    <summary>{t('household.whatSitterDoesOneVisit', { rounds: outlook.rounds.length })}</summary>
    <ol>
      {#each outlook.rounds as round (round.roundKey)}
        {@const words = reminderWords(round, round.roundAt, locale, media)}
        <li>
          <strong>{dayAndTime(round.roundAt, now, locale)}</strong>
          <p class="small">{words.summary}</p>
        </li>
      {/each}
    </ol>
  </details>
{/if}

<style>
  h3 {
    margin-top: 1.25rem;
  }
  ul,
  ol {
    list-style: none;
    margin: 0.25rem 0 0;
    padding: 0;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    padding: 0.6rem 0;
    border-top: 1.5px solid var(--ink-faint);
  }
  ol li {
    display: block;
  }
  li > :global(.chip) {
    flex: none;
  }
</style>
