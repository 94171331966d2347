<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { containersWords } from '$words/containers.ts';
  import { keyOf } from '$core/steps/ticked.ts';
  import { onMount } from 'svelte';
  import type { RunningTimer } from '$ui/state/timers.svelte.ts';
  import { useTimers } from '$ui/state/timers.svelte.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { countdown, TIMER_NAMES, timerWords } from '$words/timers.ts';
  import type { Locale } from '$words/time.ts';
  import { Ring } from './ring.ts';

  let { locale }: { locale: Locale } = $props();
  const timers = useTimers();
  const journal = useJournal();
  const ring = new Ring();

  onMount(() => {
    const leave = () => {
      window.removeEventListener('pointerdown', wake);
      window.removeEventListener('keydown', pressed);
    };
    const wake = () => {
      leave();
      ring.wake();
    };
    // Waking takes a while: only for a key that may have begun a timer, and not while somebody moves about by arrows.
    const pressed = ({ key }: KeyboardEvent) => {
      if (key === 'Enter' || key === ' ') wake();
    };
    window.addEventListener('pointerdown', wake);
    window.addEventListener('keydown', pressed);
    return () => {
      ring.stop();
      leave();
    };
  });
  $effect(() => {
    if (timers.ringing.length > 0) ring.start();
    else ring.stop();
  });

  /** The next touch of the hand, where one ends the timer. */
  function end({ timer }: RunningTimer) {
    if (timer.kind === 'soak')
      void journal.record(
        timer.sowingId,
        { type: 'drained' },
        t('timers.cropnameDrained', { cropName: cropName(timer.cropName) }),
        {
          taskKey: keyOf('drain')
        }
      );
    else if (timer.kind === 'disinfect')
      void journal.record(
        timer.sowingId,
        { type: 'prepared', step: 'rinse-off' },
        t('timers.cropnameRinsedOff', { cropName: cropName(timer.cropName) }),
        { taskKey: keyOf('rinse-off') }
      );
  }
  const ENDS = { soak: t('timers.drained'), disinfect: t('timers.rinsedOff') } as const;
</script>

{#if timers.running.length > 0}
  <section class="timers" aria-label={t('timers.timers')}>
    <ul>
      {#each timers.running as one (one.timer.key)}
        <li class={one.state}>
          <span class="name"
            ><strong>{TIMER_NAMES[one.timer.kind]}</strong>
            {cropName(one.timer.cropName)}
            <span class="soft small">{containersWords(one.timer.of)}</span></span
          >
          <strong class="left" role="timer">{countdown(one.timer.endsAt - timers.now)}</strong>
          <span class="say small">{timerWords(one.timer, one.state, timers.now, locale)}</span>
          {#if one.state !== 'running' && (one.timer.kind === 'soak' || one.timer.kind === 'disinfect')}
            <Button kind="tertiary" class="chip" on:click={() => end(one)}
              >{ENDS[one.timer.kind]}<span class="visually-hidden">: {cropName(one.timer.cropName)}</span
              ></Button
            >
          {/if}
        </li>
      {/each}
    </ul>
    {#if timers.ringing.length > 0}
      <Button kind="ghost" class="chip quiet" on:click={() => timers.quiet()}>{t('timers.quietBell')}</Button>
    {/if}
    <p class="visually-hidden" role="alert">
      {timers.ringing
        .map(
          ({ timer, state }) =>
            `${TIMER_NAMES[timer.kind]}, ${cropName(timer.cropName)}. ${timerWords(timer, state, state === 'missed' ? timer.latestAt! : timer.endsAt, locale)}`
        )
        .join(' ')}
    </p>
  </section>
{/if}

<style>
  .timers {
    position: sticky;
    top: 0;
    z-index: 5;
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: center;
    margin-bottom: 1rem;
    padding: 0.5rem 0;
    background: var(--paper);
    border-bottom: 1.5px solid var(--ink-faint);
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.4rem;
    flex: 1 1 20rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1rem 0.9rem;
    align-items: center;
    padding: 0.35rem 0.75rem;
    border-left: 5px solid var(--water);
    border-radius: 0 8px 8px 0;
    background: var(--paper-raised);
  }
  li.due {
    border-color: var(--window);
  }
  li.last-hour,
  li.missed {
    border-color: var(--alarm);
    background: var(--alarm-soft);
  }
  .left {
    font-size: 1.35rem;
    min-width: 4.5rem;
  }
  .say {
    flex: 1 1 14rem;
  }
  @media (max-width: 47.99rem) {
    /* One line each while nothing is asked. */
    li.running .say {
      display: none;
    }
  }
  @media print {
    .timers {
      display: none;
    }
  }
</style>
