<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button } from 'carbon-components-svelte';
  import { reload } from '$ui/state/reload.ts';
  import { post } from '$ui/state/ask.ts';
  import { clockTime, shortDate, type Locale } from '$words/time.ts';

  let { now, locale }: { now: number; locale: Locale } = $props();
  let moving = $state(false);
  /** On a phone the buttons stay folded: what is shown below them matters more. */
  let unfolded = $state(false);

  async function move(by: 'hours' | 'day' | 'round') {
    moving = true;
    await post('/api/clock', { by });
    await reload();
    moving = false;
  }
</script>

<section class="time" class:unfolded aria-label={t('app.demosClock')}>
  <span aria-live="polite"
    ><Rich
      parts={rich('app.demoClockStrongShortdateClocktime', {
        shortDate: shortDate(now, locale),
        clockTime: clockTime(now, locale)
      })}
    /></span
  >
  <button
    type="button"
    class="unfold"
    aria-expanded={unfolded}
    aria-controls="demo-clock"
    onclick={() => (unfolded = !unfolded)}>{t('app.demoClock.move')}</button
  >
  <span class="row" id="demo-clock">
    <Button kind="tertiary" class="chip" disabled={moving} on:click={() => move('hours')}
      >{t('app.demoClock.hours')}</Button
    >
    <Button kind="tertiary" class="chip" disabled={moving} on:click={() => move('day')}>{t('app.day')}</Button
    >
    <Button kind="tertiary" class="chip" disabled={moving} on:click={() => move('round')}
      >{t('app.nextRound')}</Button
    >
  </span>
</section>

<style>
  .time {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1rem;
    align-items: center;
    justify-content: space-between;
    margin-bottom: 1rem;
    padding: 0 0.25rem 0 0.9rem;
    border: 1.5px dashed var(--ink-soft);
    border-radius: 10px;
    background: var(--paper-sunk);
    font-size: 0.9375rem;
  }
  .time :global(.chip) {
    min-height: 2.25rem;
    border-color: transparent;
    background: none;
  }
  .unfold {
    display: none;
  }
  @media (max-width: 47.99rem) {
    .time {
      margin-bottom: 0.75rem;
      column-gap: 0.25rem;
    }
    .time :global(.chip) {
      min-height: 2.75rem;
    }
    .unfold {
      display: block;
      min-height: 2.75rem;
      padding: 0 0.65rem;
      border: 0;
      background: none;
      color: var(--beet);
      text-decoration: underline;
      cursor: pointer;
    }
    .time:not(.unfolded) .row {
      display: none;
    }
  }
  @media print {
    .time {
      display: none;
    }
  }
</style>
