<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import TickFace from '$ui/round/TickFace.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const day = $derived(data.day);
  const left = $derived(day.stops.reduce((sum, { steps }) => sum + steps.length, 0));
</script>

<svelte:head>
  <title>{t('door.traysLookAfter')}</title>
  <meta name="robots" content="noindex" />
</svelte:head>

<main>
  <header>
    <h1>{t('door.traysLookAfter')}</h1>
    <p>
      {t('door.nameUntilUntil', { name: day.name, until: day.until })}
      {#if day.early}{t('door.yourFirstVisitComesAfter', { early: day.early })}{:else}{day.round}:
        <strong>{left === 0 ? t('round.nothingLeftDo') : t('door.oneThingDoThingsDo', { left })}</strong
        >.{/if}
    </p>
    {#if form && 'late' in form && form.late}<p role="status">{t('door.wasDoneAlready')}</p>{/if}
  </header>
  {#each day.stops as stop (stop.key)}
    <article aria-labelledby="stop-{stop.key}">
      <div class="picture">
        <TrayDrawing picture={stop.pictures[0]} beside={stop.pictures[1] ?? null} label={stop.picture} />
      </div>
      <div class="what">
        <h2 id="stop-{stop.key}">{stop.name}</h2>
        <p class="soft">{stop.where}</p>
        {#each stop.steps as step (step.key)}
          <form method="POST" action="?/tick" use:enhance>
            <input type="hidden" name="stop" value={stop.key} />
            <input type="hidden" name="step" value={step.key} />
            <input type="hidden" name="nonce" value={data.nonce} />
            <TickFace title={step.title} why={step.why} />
          </form>
          {#if step.caution}<Caution>{step.caution}</Caution>{/if}
        {/each}
        {#each stop.done as done (done.eventIds[0])}
          <form method="POST" action="?/undo" use:enhance class="done">
            <input type="hidden" name="events" value={done.eventIds.join(',')} />
            <input type="hidden" name="nonce" value={data.nonce} />
            <span>{done.words}</span><Button type="submit" kind="ghost" class="undo">{t('door.undo')}</Button>
          </form>
        {/each}
      </div>
    </article>
  {:else}
    {#if !day.early}<p class="card">{t('door.nothingDoRoundComeBack')}</p>{/if}
  {/each}
  {#if day.ahead.length > 0}
    <section aria-labelledby="ahead-title">
      <h2 id="ahead-title">{t('door.daysComeAsExpected')}</h2>
      <ol>
        {#each day.ahead as round (round.when)}
          <li>
            <strong>{round.when}</strong>
            {#each round.lines as line (line)}<p>
                <span class="paper-box" aria-hidden="true"></span>{line}
              </p>{/each}
          </li>
        {/each}
      </ol>
    </section>
  {/if}
  <p class="soft small">
    {t('door.washYourHandsBeforeIf')}
  </p>
</main>

<style>
  main {
    max-width: 46rem;
    margin: 0 auto;
    padding: 1.5rem 1.1rem 4rem;
    display: grid;
    gap: 1.5rem;
    font-size: 1.0625rem;
  }
  article {
    display: grid;
    grid-template-columns: minmax(12rem, 20rem) minmax(0, 1fr);
    gap: 0 2rem;
    align-items: end;
    border-top: 1.5px solid var(--ink-faint);
    padding-top: 0.75rem;
  }
  .what {
    align-self: center;
    display: grid;
    gap: 0.5rem;
    padding-bottom: 0.75rem;
  }
  .done {
    display: flex;
    align-items: center;
    gap: 1rem;
  }
  ol {
    list-style: none;
    margin: 0.5rem 0 0;
    padding: 0;
    display: grid;
    gap: 1rem;
  }
  .paper-box {
    display: none;
  }
  @media (max-width: 47.99rem) {
    article {
      grid-template-columns: minmax(0, 1fr);
    }
    .picture {
      width: 75%;
    }
  }
  @media print {
    .done :global(.undo) {
      display: none;
    }
    .paper-box {
      display: inline-block;
      width: 0.9rem;
      height: 0.9rem;
      border: 1.5px solid var(--ink);
      margin-right: 0.6rem;
    }
    article,
    li {
      break-inside: avoid;
    }
  }
</style>
