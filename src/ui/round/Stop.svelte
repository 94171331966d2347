<script lang="ts">
  import type { Place } from '$core/places/place.ts';
  import { pictureOf } from '$core/picture/picture.ts';
  import { tickOf } from '$core/steps/tick.ts';
  import type { Stop } from '$core/steps/walk.ts';
  import type { Round } from '$core/time/rhythm.ts';
  import { HOUR } from '$core/time/zone.ts';
  import { dayOf } from '$core/sowing/project.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { noteWords } from '$words/notes.ts';
  import { pictureWords } from '$words/pictureWords.ts';
  import { cueWords, eventWords, STAGE_WORDS, taskWords } from '$words/tasks.ts';
  import { clockTime, dayAndTime, type Reading } from '$words/time.ts';
  import { warmthWords } from '$words/warmth.ts';
  import { windowWords } from '$words/window.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import Cut from 'carbon-icons-svelte/lib/Cut.svelte';
  import Checkmark from 'carbon-icons-svelte/lib/Checkmark.svelte';

  interface Props {
    stop: Stop;
    round: Round;
    now: number;
    reading: Reading;
    members: Record<string, string>;
    placeName: (id: string) => string;
    /** Of the household: where it would be cooler. */
    places: readonly Place[];
    /** On a page of its own, whose heading names the crop already. */
    alone?: boolean;
  }
  let { stop, round, now, reading, members, placeName, places, alone = false }: Props = $props();
  const journal = useJournal();

  const projected = $derived(stop.projected);
  const crop = $derived(projected.crop);
  const id = $derived(projected.setup.id);
  const picture = $derived(pictureOf(projected, now));
  const day = $derived(dayOf(projected, now));
  const marks = $derived(projected.forecast.marks);
  const tooWarm = $derived(warmthWords(crop, projected.place, places, reading.units));
  /** What was done here in this round, to be seen by others and taken back. */
  const done = $derived(
    projected.state.log.filter(
      ({ event, undone, repeat }) =>
        !undone && !repeat && event.at > round.at - 2 * HOUR && event.body.type !== 'noted'
    )
  );

  /** How damp it is must be felt before it is watered: asked for first. */
  const unsure = $derived(stop.ask.notes.some(({ kind }) => kind === 'unsure'));

  const say = (words: string) => `${crop.name}: ${words}`;
</script>

{#snippet feelRow()}
  {#if projected.state.sownAt !== null}
    <div
      class="row look"
      role="group"
      aria-label={stop.ask.feel ? `How damp is ${crop.name}?` : `More of ${crop.name}`}
    >
      {#if unsure}<strong class="small">Touch it first:</strong>{/if}
      {#each stop.ask.feel ? (['dry', 'right', 'wet'] as const) : [] as moisture (moisture)}
        <button
          class="chip quiet"
          onclick={() => journal.record(id, { type: 'felt', moisture }, say(`medium ${moisture}`))}
          >{moisture === 'dry' ? 'Dry' : moisture === 'right' ? 'Right' : 'Wet'}</button
        >
      {/each}
      <a class="closer" href="/tray/{id}/look"
        >Look closer<span class="visually-hidden"> at {crop.name}</span></a
      >
    </div>
  {/if}
{/snippet}

<article class="stop" aria-labelledby="stop-{id}">
  <a class="picture" href="/tray/{id}" tabindex="-1" aria-hidden="true">
    <TrayDrawing {picture} label="" />
  </a>
  <div class="what stack">
    <header>
      <h3 id="stop-{id}" class:visually-hidden={alone}>
        {#if alone}{crop.name} now{:else}<a href="/tray/{id}">{crop.name}</a>{/if}
      </h3>
      <p class="soft small">
        {#if projected.state.sownAt === null}
          {STAGE_WORDS[
            projected.state.stage
          ]}{#if projected.soak.soakStart !== null && projected.state.soakedAt === null}, soak {dayAndTime(
              projected.soak.soakStart,
              now,
              reading
            )}{/if}
        {:else}
          Day {day} · {STAGE_WORDS[projected.state.stage]}
        {/if}
        · {projected.setup.count > 1 ? `${projected.setup.count} × ` : ''}{projected.setup.container.name}
        <span class="visually-hidden">{pictureWords(crop.name, picture, reading.units)}</span>
      </p>
      {#if projected.state.sownAt !== null}
        <p class="window" class:open={marks.windowOpen.p50 <= now && projected.state.stage === 'light'}>
          {windowWords(marks.windowOpen, marks.windowClose, now, reading)}
        </p>
      {/if}
    </header>

    {#if unsure}{@render feelRow()}{/if}
    {#each stop.ask.tasks as task (task.key)}
      {@const words = taskWords(task.body, projected.path, now, reading)}
      {@const tick = tickOf(task.body)}
      <div class="task">
        {#if tick}
          <button class="tick" onclick={() => journal.record(id, tick, say(words.done), task.key)}>
            <span class="box" aria-hidden="true"><Checkmark size={24} /></span>
            <span
              ><strong>{words.title}</strong><span class="why small"
                >{task.late ? 'Late. ' : ''}{words.why}</span
              ></span
            >
          </button>
        {:else}
          <a class="tick" href="/tray/{id}/harvest">
            <span class="box cut" aria-hidden="true"><Cut size={24} /></span>
            <span><strong>{words.title}</strong><span class="why small">{words.why}</span></span>
          </a>
        {/if}
        {#if task.body.kind === 'soak'}
          <Caution>{CAUTIONS.germs}</Caution>
          <p class="small"><a href="/bench">All of tonight’s preparing on one sheet</a></p>
        {:else if task.body.kind === 'sow'}
          <Caution>{CAUTIONS.dust}</Caution>
          <p class="small"><a href="/bench">Step by step on the bench</a></p>
        {:else if task.body.kind === 'light' && task.body.lamp}
          <Caution>{CAUTIONS.lamp}</Caution>
        {:else if task.body.kind === 'water' && task.body.peroxideMl > 0}
          <Caution>{CAUTIONS.peroxide}</Caution>
        {/if}
      </div>
    {/each}

    {#if stop.ask.look}
      {@const { cue } = stop.ask.look}
      {@const words = cueWords(cue, crop, projected.path, reading.units)}
      <div class="row look" role="group" aria-label="Look at {crop.name}">
        <button
          class="chip"
          onclick={() => journal.record(id, { type: 'looked', cue, reached: true }, say(words.toLowerCase()))}
          >{words}</button
        >
        <button
          class="chip quiet"
          onclick={() =>
            journal.record(
              id,
              { type: 'looked', cue, reached: false },
              say(`${words.toLowerCase()}, not yet`)
            )}>Not yet</button
        >
      </div>
    {/if}
    {#if tooWarm}<p class="note small warn">{tooWarm}</p>{/if}
    {#each stop.ask.notes.filter(({ kind }) => kind !== 'unsure') as note (note.kind)}
      <p
        class="note small"
        class:warn={note.kind === 'too-much' || note.kind === 'contradiction' || note.kind === 'mould-risk'}
      >
        {noteWords(note, crop, projected.path, now, reading)}
        {#if note.kind === 'contradiction'}
          {#each [{ id: note.between.reachedEventId, words: 'Take the first back' }, { id: note.between.notYetEventId, words: 'Take the second back' }] as one (one.id)}
            <button class="undo" onclick={() => journal.undo(id, one.id)}>{one.words}</button>
          {/each}
        {/if}
      </p>
    {/each}
    {#if !unsure}{@render feelRow()}{/if}

    {#if done.length > 0}
      <ul class="done small" aria-label="Done in this round">
        {#each done as { event } (event.id)}
          <li>
            <span
              >✓ {eventWords(event.body, crop, projected.path, reading.units, placeName)}
              <span class="soft"
                >{clockTime(event.at, reading)}{event.by && members[event.by]
                  ? `, ${members[event.by]}`
                  : ''}</span
              ></span
            >
            <button class="undo" onclick={() => journal.undo(id, event.id)}
              >Undo<span class="visually-hidden">
                {crop.name}: {eventWords(event.body, crop, projected.path, reading.units, placeName)}</span
              ></button
            >
          </li>
        {/each}
      </ul>
    {:else if stop.ask.tasks.length === 0 && !stop.ask.look}
      <p class="soft small">Nothing to do in this round.</p>
    {/if}
  </div>
</article>

<style>
  .stop {
    display: grid;
    grid-template-columns: minmax(12rem, 19rem) minmax(0, 1fr);
    gap: 0 2rem;
    align-items: end;
    padding: 0.75rem 0 0;
  }
  .what {
    align-self: center;
    gap: 0.6rem;
    padding-bottom: 0.75rem;
  }
  .picture {
    align-self: end;
  }
  h3 {
    font-size: 1.3rem;
  }
  h3 a {
    color: inherit;
    text-decoration: none;
    display: inline-block;
    padding: 0.2rem 0;
  }
  h3 a:hover {
    text-decoration: underline;
  }
  .window.open {
    font-weight: 650;
  }
  .tick {
    display: flex;
    width: 100%;
    align-items: center;
    gap: 0.9rem;
    text-align: left;
    padding: 0.6rem 0.8rem;
    border: 1.5px solid var(--beet);
    border-radius: 10px;
    background: var(--paper-raised);
    color: var(--ink);
    font: inherit;
    text-decoration: none;
    cursor: pointer;
    box-sizing: border-box;
  }
  .tick:hover {
    background: var(--beet-soft);
  }
  .box {
    flex: none;
    display: grid;
    place-items: center;
    width: 2.75rem;
    height: 2.75rem;
    border-radius: 8px;
    background: var(--beet);
    color: var(--on-beet);
    font-size: 1.3rem;
  }
  .box.cut {
    background: var(--window);
    color: #2a2521;
  }
  .tick strong {
    display: block;
    font-weight: 620;
  }
  .why {
    display: block;
    color: var(--ink-soft);
  }
  .closer {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
    padding: 0 0.4rem;
  }
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
  @media (max-width: 47.99rem) {
    .stop {
      grid-template-columns: minmax(0, 1fr);
    }
    .picture {
      width: 66%;
      max-height: 13rem;
      justify-self: start;
    }
    .what {
      padding: 0;
    }
  }
</style>
