<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button } from 'carbon-components-svelte';
  import { reload } from '$ui/state/reload.ts';
  import { post } from '$ui/state/ask.ts';
  import { clockTime, shortDate, type Locale } from '$words/time.ts';

  let { now, locale }: { now: number; locale: Locale } = $props();
  let moving = $state(false);

  async function move(by: 'hours' | 'day' | 'round') {
    moving = true;
    await post('/api/clock', { by });
    await reload();
    moving = false;
  }
</script>

<section class="time" aria-label={t('app.demosClock')}>
  <span class="at" aria-live="polite"
    ><Rich
      parts={rich('app.demoClockStrongShortdateClocktime', {
        shortDate: shortDate(now, locale),
        clockTime: clockTime(now, locale)
      })}
    /></span
  >
  <span class="row">
    <Button kind="tertiary" class="chip" disabled={moving} on:click={() => move('hours')}>+6 h</Button>
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
    gap: 0.4rem 1rem;
    align-items: center;
    justify-content: space-between;
    margin-bottom: 1.25rem;
    padding: 0.4rem 0.6rem 0.4rem 1rem;
    border: 1.5px dashed var(--ink-soft);
    border-radius: 10px;
    background: var(--paper-sunk);
    font-size: 0.9375rem;
  }
  @media print {
    .time {
      display: none;
    }
  }
</style>
