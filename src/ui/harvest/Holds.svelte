<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Hold } from '$core/harvest/hold.ts';
  import { dayWords, spanWords, type Locale } from '$words/time.ts';

  interface Props {
    holds: readonly Hold[];
    now: number;
    locale: Locale;
    onmove: (placeId: string) => void;
  }
  let { holds, now, locale, onmove }: Props = $props();
</script>

<details class="unfold">
  <summary>Hold it in the cool</summary>
  {#if holds.length === 0}
    <p class="soft small">
      None of your places is cooler and still bearable for it. <a href="/shelf/new?as=refrigerator"
        >Add your refrigerator as a place</a
      >, or cut a part now and keep that cold.
    </p>
  {:else}
    <ul>
      {#each holds as { place, closesAt, buysMs, dim } (place.id)}
        <li>
          <span>
            <strong>{place.name}</strong>: good until about {dayWords(closesAt, now, locale)},
            {spanWords(buysMs)} longer{dim ? ', paler and softer for want of light' : ''}.
          </span>
          <Button kind="tertiary" class="chip" on:click={() => onmove(place.id)}
            >Move it there<span class="visually-hidden"> to {place.name}</span></Button
          >
        </li>
      {/each}
    </ul>
  {/if}
</details>

<style>
  ul {
    list-style: none;
    padding: 0;
    margin: 0;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.4rem 1rem;
    padding: 0.3rem 0;
  }
</style>
