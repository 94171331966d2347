<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { cropNames } from '$words/containers.ts';
  import type { Place } from '$core/places/place.ts';
  import { picturesOf } from '$core/picture/picture.ts';
  import { isUnsure, needsNothing, type Stop, type StopStep } from '$core/steps/walk.ts';
  import type { MediumStock } from '$core/supplies/media/medium.ts';
  import type { Round } from '$core/time/rhythm.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { picturesWords } from '$words/pictureWords.ts';
  import type { WordsBefore } from '$words/steps/saidOnce.ts';
  import type { Locale } from '$words/time.ts';
  import Begin from './Begin.svelte';
  import DoneList from './DoneList.svelte';
  import Closer from './Closer.svelte';
  import FeelRow from './FeelRow.svelte';
  import AgainRow from './AgainRow.svelte';
  import LookRow from './LookRow.svelte';
  import NoteLines from './NoteLines.svelte';
  import StepTick from './StepTick.svelte';
  import StopHead from './StopHead.svelte';

  const NONE: ReadonlySet<StopStep> = new Set();
  interface Props {
    stop: Stop;
    round: Round;
    now: number;
    locale: Locale;
    members: Record<string, string>;
    placeName: (id: string) => string;
    /** Of the household: where it would be cooler. */
    places: readonly Place[];
    /** The household's own media, as far as they are known here. */
    media?: readonly MediumStock[];
    /** Steps of which an earlier one has said what is the same for all. */
    said?: WordsBefore<StopStep>;
    /** On a page of its own, whose heading names the crop already. */
    alone?: boolean;
  }
  let {
    stop,
    round,
    now,
    locale,
    members,
    placeName,
    places,
    media = [],
    said = { caution: NONE, how: NONE },
    alone = false
  }: Props = $props();

  const sowings = $derived(stop.parts.map(({ projected }) => projected));
  const first = $derived(sowings[0]!);
  const name = $derived(cropNames(sowings));
  const pictures = $derived(picturesOf(sowings, now));
  /** How damp it is must be felt before it is watered: asked for first. */
  const unsure = $derived(isUnsure(stop));
  const isSown = $derived(sowings.some(({ state }) => state.sownAt !== null && state.stage !== 'ended'));
  let more = $state(false);
  const quiet = $derived(needsNothing(stop));
</script>

<article class="stop" class:quiet class:alone aria-labelledby="stop-{stop.key}">
  <a class="picture" href="/tray/{first.setup.id}" tabindex="-1" aria-hidden="true">
    <TrayDrawing picture={pictures[0]} beside={pictures[1] ?? null} label="" />
  </a>
  <div class="what stack">
    <StopHead {stop} {now} {locale} {alone} {quiet} picture={picturesWords(name, pictures, locale.units)} />
    {#if isSown && !alone}
      <!-- What is only offered waits behind a touch. -->
      <button class="more" aria-expanded={more} onclick={() => (more = !more)}
        >{more ? t('round.less') : t('round.more')}<span class="visually-hidden"
          > {t('round.name2', { name })}</span
        ></button
      >
    {/if}
    {#if unsure}<FeelRow {stop} {name} unsure />{/if}
    <!-- Abreast where they fit. -->
    <div class="asked">
      {#each stop.steps as step (step.key)}
        <StepTick
          {step}
          of={step.of.length < stop.parts.length ? cropName(step.of[0]!.projected.crop.name) : name}
          named={stop.parts.length > 1 && step.of.length === 1}
          {now}
          {locale}
          {media}
          {places}
          cautioned={said.caution.has(step)}
          shown={said.how.has(step)}
        />
      {/each}
      {#each stop.parts as part (part.projected.setup.id)}
        <Begin {part} {now} {locale} zone={locale.zone} named={stop.parts.length > 1} />
        <LookRow {part} {now} {locale} named={stop.parts.length > 1} />
      {/each}
    </div>
    {#each stop.parts as part (part.projected.setup.id)}
      <NoteLines {part} {now} {locale} {places} whole={sowings} named={stop.parts.length > 1} />
    {/each}
    <div class="offered" class:unfolded={more || alone}>
      {#each stop.parts as part (part.projected.setup.id)}
        <AgainRow {part} {locale} named={stop.parts.length > 1} />
      {/each}
      {#if !unsure}<FeelRow {stop} {name} />{/if}
      <Closer {stop} />
    </div>
    <DoneList {sowings} {round} {locale} {members} {placeName} />
    {#if quiet}<p class="nothing soft small">{t('round.nothingDoRound')}</p>{/if}
  </div>
</article>

<style>
  /* The picture beside its name, and under both what is to be done. */
  .stop {
    display: grid;
    grid-template-columns: 5.5rem minmax(0, 1fr);
    gap: 0.35rem 0.75rem;
    align-items: start;
    padding-block: 0.5rem;
  }
  .what {
    display: contents;
  }
  .what > :global(*) {
    grid-column: 1 / -1;
  }
  .asked {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
  }
  .asked:empty {
    display: none;
  }
  .asked > :global(*) {
    flex-grow: 1;
    max-width: 100%;
  }
  .picture {
    grid-area: 1 / 1;
  }
  .what > :global(header) {
    grid-area: 1 / 2;
    align-self: center;
  }
  .what > .more {
    grid-area: 1 / 2;
    place-self: start end;
    min-width: 2.75rem;
    min-height: 2.75rem;
    margin-top: -0.55rem;
    padding: 0;
    border: 0;
    background: none;
    color: var(--beet);
    font-size: 0.9375rem;
    text-align: end;
    text-decoration: underline;
    cursor: pointer;
  }
  /* Beside what unfolds: on a phone only the name. */
  .quiet .what > :global(header:has(+ button)),
  .stop:not(.quiet) .what > :global(header:has(+ button) h3) {
    padding-inline-end: 3.25rem;
  }
  .offered:not(.unfolded),
  .quiet:not(.alone) .nothing {
    display: none;
  }
  /* Of a tray that needs nothing one line. */
  .stop.quiet:not(.alone) {
    grid-template-columns: 3.5rem minmax(0, 1fr);
    padding-block: 0.25rem;
  }
  .quiet:not(.alone) .what > :global(header h3) {
    font-size: 1.1rem;
  }
  @media (min-width: 48rem) {
    .what > :global(header:has(+ button)) {
      padding-inline-end: 3.25rem;
    }
    .stop:not(.quiet) .what > :global(header:has(+ button) h3) {
      padding-inline-end: 0;
    }
    .stop.alone {
      grid-template-columns: minmax(12rem, 19rem) minmax(0, 1fr);
      gap: 0 2rem;
      align-items: end;
      padding-block: 0.75rem;
    }
    .alone .what {
      display: flex;
      gap: 0.4rem;
    }
  }
  @media (max-width: 47.99rem) {
    .stop {
      grid-template-columns: 4rem minmax(0, 1fr);
      column-gap: 0.6rem;
      padding-block: 0.35rem;
    }
    .quiet .what > :global(header) {
      line-height: 1.3;
    }
    .stop.quiet:not(.alone) {
      grid-template-columns: 3rem minmax(0, 1fr);
    }
    .quiet:not(.alone) .what > :global(header h3) {
      font-size: 1rem;
    }
  }
</style>
