<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { Place } from '$core/places/place.ts';
  import type { MoveEffect } from '$core/shelf/board.ts';
  import type { Standing } from '$core/sowing/standing.ts';
  import { cropNames, containersWords } from '$words/containers.ts';
  import type { Locale } from '$words/time.ts';
  import { warmthWords } from '$words/warmth.ts';
  import { windowOf, windowWords } from '$words/window.ts';
  import { laterWords, loadWords } from '$words/places.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import Caution from '$ui/shell/Caution.svelte';

  interface Props {
    standing: Standing;
    now: number;
    locale: Locale;
    options: readonly { place: Place; effect: MoveEffect }[];
    /** Set where a drop was refused: the place it was dropped on. */
    refused: Place | null;
    onmove: (place: Place) => void;
    onsure: (place: Place) => void;
    onclose: () => void;
  }
  let { standing, now, locale, options, refused, onmove, onsure, onclose }: Props = $props();
  const first = $derived(standing.sowings[0]!);
</script>

<section class="panel card" aria-labelledby="move-title">
  <header class="page-head">
    <h2 id="move-title" tabindex="-1">{cropNames(standing.sowings)}</h2>
    <Button kind="ghost" class="chip quiet" on:click={onclose}>{t('shelf.close')}</Button>
  </header>
  <p class="small">
    {t('shelf.onNameContainers', { name: first.place.name, containers: containersWords(first.setup) })}
  </p>
  {#each standing.sowings as one (one.setup.id)}
    {@const { setup, crop, state } = one}
    <p class="small">
      {#if standing.sowings.length > 1}<strong>{cropName(crop.name)}</strong>{/if}
      {state.sownAt === null ? '' : windowWords(windowOf(one), now, locale)}
      <a href="/tray/{setup.id}">{t('shelf.open')}</a>
    </p>
  {/each}
  {#if refused}
    <p class="warn" role="alert">
      {t('shelf.nameWouldCarryMoreThan', { name: refused.name })}
    </p>
  {/if}
  <ul>
    {#each options as option (option.place.id)}
      {@const { place, effect } = option}
      <li>
        <div>
          <strong>{place.name}</strong>
          <span class="small soft">
            {laterWords(effect.laterD)}{effect.fits ? '' : ` · ${t('shelf.noRoomOnBoard')}`}{effect.tooDark
              ? ` · ${t('shelf.noLightThereWhichNeeds')}`
              : ''}
          </span>
          {#each standing.sowings as { setup, crop } (setup.id)}
            {@const warm = warmthWords(crop, place, locale.units)}
            {#if warm}<span class="small alarm">{warm}</span>{/if}
          {/each}
          {#if effect.load.state !== 'fine' && effect.load.state !== 'unrated'}
            <span class="small" class:alarm={effect.load.state === 'over'}
              >{loadWords(effect.load, locale.units)}</span
            >
          {/if}
        </div>
        {#if effect.refused}
          <Button kind="tertiary" class="chip" on:click={() => onsure(place)}
            >{t('shelf.iCheckedCarriesMore')}</Button
          >
        {:else}
          <Button kind="tertiary" class="chip" on:click={() => onmove(place)}
            >{t('shelf.move2')}<span class="visually-hidden">
              {t('shelf.name', { name: place.name })}</span
            ></Button
          >
        {/if}
      </li>
    {/each}
  </ul>
  {#if options.some(({ effect }) => effect.refused)}<Caution>{CAUTIONS.load}</Caution>{/if}
</section>

<style>
  .panel {
    display: grid;
    gap: 0.6rem;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.5rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.25rem 1rem;
    align-items: center;
    border-top: 1px solid var(--ink-faint);
    padding-top: 0.5rem;
  }
  li div {
    display: grid;
  }
  .alarm {
    color: var(--alarm);
    font-weight: 600;
  }
</style>
