<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
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
  <summary>{t('harvest.holdCool')}</summary>
  {#if holds.length === 0}
    <p class="soft small">
      <Rich parts={rich('harvest.noneYourPlacesCoolerStill')}
        >{#snippet link(text: string)}<a href="/shelf/new?as=refrigerator">{text}</a>{/snippet}</Rich
      >
    </p>
  {:else}
    <ul>
      {#each holds as { place, closesAt, buysMs, dim } (place.id)}
        <li>
          <span>
            <Rich
              parts={rich('harvest.strongNameStrongGoodUntil', {
                name: place.name,
                day: dayWords(closesAt, now, locale),
                span: spanWords(buysMs),
                when: dim ? 'yes' : 'no'
              })}
            />
          </span>
          <Button kind="tertiary" class="chip" on:click={() => onmove(place.id)}
            >{t('harvest.moveThere')}<span class="visually-hidden">
              {t('harvest.name', { name: place.name })}</span
            ></Button
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
