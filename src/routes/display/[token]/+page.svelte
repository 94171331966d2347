<script lang="ts">
  import { t } from '$messages/t.ts';
  import { onMount } from 'svelte';
  import { reload } from '$ui/state/reload.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { needWords } from '$words/reminders.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const day = $derived(data.day);

  /** True while the server cannot be reached; the page then shows the last answer. */
  let cutOff = $state(false);
  const REFRESH_MS = 60_000;
  async function refresh() {
    try {
      // Check first: a failed reload would replace the page with an error.
      cutOff = !(await fetch('/api/health')).ok;
      if (!cutOff) await reload();
    } catch {
      cutOff = true;
    }
  }
  onMount(() => {
    const timer = setInterval(() => void refresh(), REFRESH_MS);
    const back = () => void refresh();
    window.addEventListener('online', back);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', back);
    };
  });
</script>

<svelte:head>
  <title>{t('door.displayTitle', { household: day.household })}</title>
  <meta name="robots" content="noindex" />
</svelte:head>

<main>
  <header>
    <div>
      <h1>{day.round}</h1>
      <p>{day.stops.length > 0 ? needWords(day.stops.length) : t('round.nothingLeftDo')}</p>
    </div>
    <p class="clock"><span>{day.date}</span> <strong>{day.time}</strong></p>
  </header>
  {#if cutOff}<p class="warn" role="status">{t('door.displayCutOff', { time: day.time })}</p>{/if}
  <div class="days" class:done={day.stops.length === 0}>
    {#if day.stops.length > 0}
      <ul>
        {#each day.stops as stop (stop.key)}
          <li>
            <TrayDrawing picture={stop.pictures[0]} beside={stop.pictures[1] ?? null} label={stop.picture} />
            <div>
              <h2>{stop.name}</h2>
              <p class="soft">{stop.where}</p>
              {#each stop.steps as step, nth (nth)}<p class="step">{step}</p>{/each}
              {#if stop.window}<p class="soft">{stop.window}</p>{/if}
            </div>
          </li>
        {/each}
      </ul>
    {/if}
    <section aria-labelledby="ahead">
      <h2 id="ahead">{t('door.displayAhead')}</h2>
      {#each day.ahead as { when, lines } (when)}
        <h3>{when}</h3>
        <ul>
          {#each lines as line, nth (nth)}<li>{line}</li>{/each}
        </ul>
      {:else}
        <p class="soft">{t('door.displayNothingAhead')}</p>
      {/each}
    </section>
  </div>
  {#each day.cautions as caution (caution)}<Caution>{caution}</Caution>{/each}
</main>

<style>
  main {
    --step: clamp(1.25rem, 1.9vw, 2rem);
    display: grid;
    gap: 1.25rem;
    padding: clamp(1rem, 2vw, 2.5rem);
    font-size: clamp(1.0625rem, 1.35vw, 1.5rem);
  }
  header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.5rem 2rem;
    align-items: baseline;
  }
  h1,
  .clock strong {
    font-size: clamp(1.75rem, 3.4vw, 3.5rem);
  }
  .days {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
    gap: 1.5rem 3rem;
    align-items: start;
  }
  .days.done {
    grid-template-columns: minmax(0, 1fr);
  }
  .days > ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(20rem, 100%), 1fr));
    gap: 1rem 2rem;
  }
  .days > ul > li {
    display: grid;
    grid-template-columns: clamp(4rem, 8vw, 8rem) minmax(0, 1fr);
    gap: 0 1rem;
    align-items: start;
    padding-top: 0.75rem;
    border-top: 1.5px solid var(--ink-faint);
  }
  h2 {
    font-size: var(--step);
  }
  .step {
    font-size: var(--step);
    font-weight: 620;
    line-height: 1.25;
    color: var(--beet);
  }
  h3 {
    margin-top: 0.75rem;
    font-size: 1em;
  }
  section ul {
    margin: 0.25rem 0 0;
    padding-inline-start: 1.2rem;
  }
  @media (max-width: 47.99rem) {
    .days {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
