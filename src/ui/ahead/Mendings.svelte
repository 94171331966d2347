<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { Mending, Offer } from '$core/ahead/offers.ts';
  import { moreWaysWords, offerWords, type DayName } from '$words/ahead.ts';
  import type { Locale } from '$words/time.ts';

  /** Gaps and gluts of what stands, each with the smallest thing that mends it, and the others behind a touch. */
  interface Props {
    said: readonly { from: number; of: 'gap' | 'glut'; words: string }[];
    /** Null while they are looked for: their room is kept, so that what stands below is not moved under a hand. */
    mendings: readonly Mending[] | null;
    name: DayName;
    locale: Locale;
    /** Does what is done on this page: begins something, or moves it to another day. */
    onmend: (offer: Offer) => void;
  }
  let { said, mendings, name, locale, onmend }: Props = $props();
  const MOST = 3;
  const offersFor = (from: number, of: 'gap' | 'glut'): readonly Offer[] =>
    mendings?.find((one) => one.from === from && one.of === of)?.offers.slice(0, MOST) ?? [];
  /** What shows all of its offers; closed again as soon as they are others. */
  let opened = $state.raw<{ key: string; of: readonly Mending[] } | null>(null);
  const isOpen = (key: string): boolean => opened?.key === key && opened.of === mendings;
</script>

{#snippet act(offer: Offer)}
  <span class="small words">{offerWords(offer, name, locale)}</span>
  {#if offer.kind === 'move' || offer.kind === 'begin'}
    <Button kind="tertiary" class="chip" on:click={() => onmend(offer)}
      >{offer.kind === 'move' ? t('ahead.move') : t('ahead.plan')}</Button
    >
  {:else if offer.kind === 'cut-early'}
    <a class="chip" href="/tray/{offer.sowingId}/harvest">{t('ahead.cut')}</a>
  {:else if offer.kind === 'cool'}
    <a class="chip" href="/shelf">{t('ahead.move')}</a>
  {:else}
    <a class="chip" href="/pantry">{t('ahead.pantry2')}</a>
  {/if}
{/snippet}

<ul>
  {#each said as { from, of, words } (`${of} ${from}`)}
    {@const key = `${of} ${from}`}
    {@const [first, ...others] = offersFor(from, of)}
    <li>
      <p class={of}>{words}</p>
      <div class="offer">
        {#if first}
          {@render act(first)}
          {#if others.length > 0}
            <Button
              kind="ghost"
              class="chip quiet"
              aria-expanded={isOpen(key)}
              on:click={() => (opened = isOpen(key) ? null : { key, of: mendings! })}
              >{moreWaysWords(others.length)}</Button
            >
          {/if}
        {:else}
          <span class="small soft words"
            >{mendings === null
              ? t('ahead.lookingSmallestThingMends')
              : t('ahead.noOneChangeMendsProposal')}</span
          >
        {/if}
      </div>
      {#if isOpen(key)}
        {#each others as offer, n (n)}
          <div class="offer">{@render act(offer)}</div>
        {/each}
      {/if}
    </li>
  {/each}
</ul>

<style>
  ul {
    list-style: none;
    padding: 0;
    margin: 0.75rem 0 1rem;
  }
  li {
    padding: 0.25rem 0;
  }
  p {
    margin: 0;
    padding-left: 0.6rem;
    border-left: 4px solid var(--alarm);
  }
  p.glut {
    border-color: var(--soil);
  }
  .offer {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    max-width: 52rem;
    /* As high as a button, with or without one. */
    min-height: 2.75rem;
    padding-left: 1rem;
  }
  .words {
    flex: 1;
  }
  @media (max-width: 47.99rem) {
    .offer {
      flex-wrap: wrap;
    }
    .words {
      flex-basis: 100%;
    }
  }
</style>
