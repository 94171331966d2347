<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { PlannedSowing } from '$core/sowing/planSowing.ts';
  import { firstStep } from '$words/firstStep.ts';
  import type { Locale } from '$words/time.ts';
  import { windowOf, windowWords } from '$words/window.ts';

  /** What the choices come to, in two lines that stay in sight, and the button that plans it. */
  interface Props {
    sowings: readonly PlannedSowing[];
    now: number;
    locale: Locale;
    sending: boolean;
    /** The form that its button sends. */
    form: string;
    failed: string;
  }
  let { sowings, now, locale, sending, form, failed }: Props = $props();
</script>

<section class="bar" aria-label={t('sow.thisSowing')}>
  <ul>
    {#each sowings as sowing, nth (nth)}
      {@const { projected } = sowing}
      <li>
        <strong>{cropName(projected.crop.name)}</strong>
        <span>{t('sow.firstStep', firstStep(sowing, now, locale))}</span>
        {#if !projected.suit.hindered}
          <span class="window">{windowWords(windowOf(projected), now, locale)}</span>
        {/if}
      </li>
    {/each}
  </ul>
  {#if failed}<p class="failed small" role="alert">{failed}</p>{/if}
  <Button type="submit" {form} disabled={sending}>{t('sow.planSowing')}</Button>
</section>

<style>
  .bar {
    position: sticky;
    z-index: 4;
    top: 0.75rem;
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.4rem 1rem;
    align-items: center;
    padding: 0.9rem 1.1rem;
    border: 1.5px solid var(--beet);
    border-radius: 12px;
    background: var(--paper-raised);
    box-shadow: 0 4px 14px rgb(0 0 0 / 12%);
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.4rem;
    line-height: 1.3;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.6rem;
  }
  .window {
    flex-basis: 100%;
  }
  .failed {
    grid-column: 1 / -1;
    color: var(--alarm);
  }
  @media (max-width: 47.99rem) {
    .bar {
      order: 9;
      top: auto;
      bottom: calc(4rem + env(safe-area-inset-bottom));
      margin: 0 -0.9rem;
      padding: 0.6rem 0.9rem;
      border-width: 1.5px 0 0;
      border-radius: 0;
      box-shadow: 0 -4px 14px rgb(0 0 0 / 14%);
      font-size: 1rem;
    }
  }
</style>
