<script lang="ts">
  import type { Mending, Offer } from '$core/ahead/offers.ts';
  import type { Proposed } from '$core/ahead/proposal.ts';
  import { offerWords, type DayName } from '$words/ahead.ts';
  import type { Locale } from '$words/time.ts';

  /** Gaps and gluts of what stands, each with the smallest things that mend it. */
  interface Props {
    said: readonly { from: number; of: 'gap' | 'glut'; words: string }[];
    mendings: readonly Mending[];
    name: DayName;
    locale: Locale;
    onmove: (sowingId: string, days: number) => void;
    onbegin: (change: Proposed) => void;
  }
  let { said, mendings, name, locale, onmove, onbegin }: Props = $props();
  const MOST = 3;
  const offersFor = (from: number, of: 'gap' | 'glut'): readonly Offer[] =>
    mendings.find((one) => one.from === from && one.of === of)?.offers.slice(0, MOST) ?? [];
</script>

<ul>
  {#each said as { from, of, words } (`${of} ${from}`)}
    <li>
      <p class={of}>{words}</p>
      {#each offersFor(from, of) as offer, n (n)}
        <div class="offer">
          <span class="small">{offerWords(offer, name, locale)}</span>
          {#if offer.kind === 'move'}
            <button class="chip" onclick={() => onmove(offer.sowingId, offer.days)}>Do that</button>
          {:else if offer.kind === 'begin'}
            <button class="chip" onclick={() => onbegin(offer.change)}>Do that</button>
          {:else if offer.kind === 'cut-early'}
            <a class="chip" href="/tray/{offer.sowingId}/harvest">Cut it</a>
          {:else if offer.kind === 'cool'}
            <a class="chip" href="/shelf">Move it</a>
          {:else}
            <a class="chip" href="/pantry">To the pantry</a>
          {/if}
        </div>
      {/each}
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
    padding: 0.4rem 0;
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
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 1rem;
    align-items: center;
    max-width: 44rem;
    padding: 0.2rem 0 0 1rem;
  }
</style>
