<script lang="ts">
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

<section class="time" aria-label="The demo’s clock">
  <span class="at" aria-live="polite"
    >Demo clock: <strong>{shortDate(now, locale)}, {clockTime(now, locale)}</strong></span
  >
  <span class="row">
    <button class="chip" disabled={moving} onclick={() => move('hours')}>+6 h</button>
    <button class="chip" disabled={moving} onclick={() => move('day')}>+1 day</button>
    <button class="chip" disabled={moving} onclick={() => move('round')}>Next round</button>
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
