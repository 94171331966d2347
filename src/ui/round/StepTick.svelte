<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { Place } from '$core/places/place.ts';
  import { leavesDark } from '$core/steps/step.ts';
  import { recordsOfStep, type StopStep } from '$core/steps/walk.ts';
  import type { MediumStock } from '$core/supplies/media/medium.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { stepCaution } from '$words/cautions.ts';
  import { sentences } from '$words/steps/amounts.ts';
  import { cardWords, ifStoodWords } from '$words/steps/steps.ts';
  import type { Locale } from '$words/time.ts';
  import TickFace from './TickFace.svelte';

  interface Props {
    step: StopStep;
    /** What it is done to, for the undo line. */
    of: string;
    /** One of two halves: its crop is named. */
    named: boolean;
    now: number;
    locale: Locale;
    media: readonly MediumStock[];
    /** Of the household: where what stood in the dark goes to. */
    places: readonly Place[];
    /** Its caution was said further up, in this round. */
    cautioned: boolean;
    /** How it is done was said further up, too. */
    shown: boolean;
  }
  let { step, of, named, now, locale, media, places, cautioned, shown }: Props = $props();
  const journal = useJournal();

  const { body } = $derived(step);
  const { setup } = $derived(step.of[0]!.projected);
  const own = $derived(media.find(({ id }) => id === setup.mediumId) ?? null);
  const words = $derived(
    cardWords(step, { now, locale, containers: setup.count, medium: { kind: setup.medium, own } })
  );
  const records = $derived(recordsOfStep(step));
  const stood = $derived(
    step.of.flatMap(({ projected, ifStood, key }) =>
      (ifStood ?? []).map((event, nth, all) => ({
        sowingId: projected.setup.id,
        body: event,
        // Done with the last of them, and not asked for again.
        taskKey: nth === all.length - 1 ? key : null
      }))
    )
  );
  const stoodWords = $derived(
    ifStoodWords(body.kind === 'water' ? (body.ifStoodMl ?? 0) : 0, setup.count, locale.units)
  );
  const why = $derived(sentences(step.late ? t('round.late') : '', words.why, shown ? '' : words.how));
  const caution = $derived(stepCaution(body));
  const carriedTo = $derived(step.of[0]!.projected.carriedTo);
  /** Where it was to go comes first. */
  const lit = $derived(
    leavesDark(body)
      ? places
          .filter(({ light }) => light.kind !== 'dark')
          .sort((a, b) => Number(b.id === carriedTo?.id) - Number(a.id === carriedTo?.id))
      : []
  );
  /** Carried there, and in light from then on. */
  const carry = ({ id, name }: Place) =>
    void journal.recordAll(
      [
        ...step.of.map(({ projected }) => ({
          sowingId: projected.setup.id,
          body: { type: 'moved' as const, placeId: id }
        })),
        ...records
      ],
      `${of}: ${words.done}, ${name}`
    );
</script>

<div
  class="task"
  class:brief={why === '' && !caution && stood.length === 0}
  class:long={why.length > 40 || stood.length > 0}
>
  {#if lit.length > 0}
    <div class="carry">
      <strong>{named ? `${of}: ${words.title}` : words.title}</strong>
      <span class="small">{t('round.whyStandsDarkHereGoes', { why })}</span>
      <div class="row">
        {#each lit as place (place.id)}
          <button class={['chip', { quiet: place.id !== carriedTo?.id }]} onclick={() => carry(place)}
            >{place.name}</button
          >
        {/each}
      </div>
    </div>
  {:else if records.length > 0}
    <TickFace
      title={named ? `${of}: ${words.title}` : words.title}
      {why}
      onclick={() => void journal.recordAll(records, `${of}: ${words.done}`)}
    />
  {:else}
    <TickFace title={named ? `${of}: ${words.title}` : words.title} {why} href="/tray/{setup.id}/harvest" />
  {/if}
  {#if stood.length > 0 && body.kind === 'water'}
    <div class="row look stood">
      <span class="small">{t('round.stillSomeThere')}</span>
      <Button
        kind="ghost"
        class="chip quiet"
        on:click={() => void journal.recordAll(stood, `${of}: ${stoodWords.done}`)}>{stoodWords.chip}</Button
      >
    </div>
  {/if}
  {#if caution && cautioned}
    <details class="unfold small">
      <summary>{t('round.cautionAsAbove')}</summary>
      <Caution>{caution}</Caution>
    </details>
  {:else if caution}<Caution>{caution}</Caution>{/if}
  {#if body.kind === 'soak'}
    <p class="small"><a href="/bench">{t('round.allTonightsPreparingOnOne')}</a></p>
  {:else if body.kind === 'sow'}
    <p class="small"><a href="/bench">{t('round.stepByStepOnBench')}</a></p>
  {/if}
</div>

<style>
  /* Two short ones stand abreast in a column of the round. */
  .task {
    flex-basis: 15.5rem;
  }
  .task.brief {
    flex-basis: 11.5rem;
  }
  .task.long {
    flex-basis: 100%;
  }
  @media (max-width: 47.99rem) {
    .stood :global(.chip) {
      padding-inline: 0.75rem;
    }
  }
  .stood {
    margin-top: 0.4rem;
    gap: 0.4rem;
  }
  .carry {
    display: grid;
    gap: 0.4rem;
    padding: 0.6rem 0.8rem;
    border: 1.5px solid var(--beet);
    border-radius: 10px;
    background: var(--paper-raised);
  }
</style>
