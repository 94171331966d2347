<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { freeCount } from '$core/supplies/containers/container.ts';
  import { findCrop } from '$core/crops/library.ts';
  import {
    cropOfLot,
    leftG,
    lotFlags,
    lotGermination,
    trayOfSeedG,
    type LotStock
  } from '$core/supplies/seed/lot.ts';
  import { figure, length, mass, volume } from '$core/units/format.ts';
  import BenchTabs from '$ui/bench/BenchTabs.svelte';
  import { FLAG_WORDS } from '$words/lots.ts';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import { isoDay } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const units = $derived(data.household.units);
  const today = $derived(isoDay(data.now, data.household.zone));
  const cropOf = (lot: LotStock) => cropOfLot(lot, (key) => findCrop(key, data.ownCrops));

  function germinationWords(lot: LotStock): string {
    const germination = lotGermination(lot);
    if (!germination) return 'not known';
    const pct = `${Math.round(germination.pct)} %`;
    return lot.test
      ? `${pct} (${lot.test.sprouted} of ${lot.test.tested}; likely ${Math.round(germination.lowPct)} to ${Math.round(germination.highPct)})`
      : `${pct} by the packet`;
  }
  function traysWords(lot: LotStock): string {
    const crop = cropOf(lot);
    if (!crop) return '';
    const trays = Math.floor(leftG(lot) / trayOfSeedG(crop));
    return trays === 1 ? 'one tray more' : `${trays} trays more`;
  }
</script>

<svelte:head><title>Cupboard · Brote</title></svelte:head>

<BenchTabs />
<h1>Cupboard</h1>

<section aria-labelledby="lots">
  <header class="row head">
    <h2 id="lots">Seed</h2>
    <Button kind="tertiary" href="/bench/cupboard/lot/new">Add a lot</Button>
  </header>
  {#if data.lots.length === 0}
    <p class="soft">
      No lots yet. Keep your packets here, and Brote corrects each sowing for how well they sprout and says
      when one runs low.
    </p>
  {:else}
    <ul>
      {#each data.lots as lot (lot.id)}
        {@const crop = cropOf(lot)}
        {@const flags = crop ? lotFlags(lot, crop, today) : []}
        <li>
          <a href="/bench/cupboard/lot/{lot.id}"
            ><strong>{crop?.name ?? lot.cropKey}</strong><span class="soft small"
              >{lot.name}{lot.parts ? ', bought mixed' : ''}</span
            ></a
          >
          <span
            ><strong>{mass(leftG(lot), units)}</strong>
            <span class="small soft">left, {traysWords(lot)}</span></span
          >
          <span class="small">{germinationWords(lot)}</span>
          <span class="small flags">
            {#each flags as flag (flag)}<span class="flag">{FLAG_WORDS[flag]}</span>{/each}
          </span>
        </li>
      {/each}
    </ul>
  {/if}
</section>

<section aria-labelledby="containers">
  <h2 id="containers">Containers</h2>
  {#if data.containers.length === 0}
    <p class="soft">A container is kept here once something was sown in it.</p>
  {:else}
    <ul>
      {#each data.containers as one (one.id)}
        {@const free = freeCount(one)}
        <li>
          <a href="/bench/cupboard/container/{one.id}"
            ><strong>{one.name}</strong><span class="soft small"
              >{one.shape === 'cells' ? `${one.cells} cells of ` : ''}{length(
                one.lengthCm,
                units
              )}{one.shape === 'round' ? ' across' : ` × ${length(one.widthCm, units)}`}, {length(
                one.depthCm,
                units
              )} deep</span
            ></a
          >
          <span
            >{#if free === null}<span class="soft small">not counted</span>{:else}<strong>{free} free</strong>
              <span class="small soft">of {one.owned}</span>{/if}</span
          >
          <span class="small">{one.emptyG === null ? '' : `${mass(one.emptyG, units)} empty`}</span>
          <span class="small flags"
            >{#if one.owned !== null && one.inUse > one.owned}<span class="flag"
                >{one.inUse} in use: count again</span
              >{/if}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
</section>

<section aria-labelledby="media">
  <header class="row head">
    <h2 id="media">Media</h2>
    <Button kind="tertiary" href="/bench/cupboard/medium/new">Add a medium</Button>
  </header>
  <ul>
    {#each data.media as medium (medium.id)}
      <li>
        <a href="/bench/cupboard/medium/{medium.id}"
          ><strong>{medium.name}</strong><span class="soft small">{MEDIUM_WORDS[medium.kind]}</span></a
        >
        <span class="small"
          >{medium.parts
            ? medium.parts.map(({ name, parts }) => `${figure(parts)} ${name}`).join(', ')
            : medium.swellLKg
              ? `${volume(medium.swellLKg * 1000, units)} from a dry kg`
              : ''}</span
        >
      </li>
    {:else}
      <li class="soft">
        The usual media need no entry. Add one for a mix of your own, or a brick’s own figure.
      </li>
    {/each}
  </ul>
</section>

<style>
  h1 {
    margin-bottom: 1rem;
  }
  section + section {
    margin-top: 2rem;
  }
  .head {
    justify-content: space-between;
  }
  ul {
    list-style: none;
    margin: 0.5rem 0 0;
    padding: 0;
  }
  li {
    display: grid;
    grid-template-columns: minmax(12rem, 1.2fr) 1fr 1.2fr minmax(6rem, 0.8fr);
    gap: 0.2rem 1rem;
    align-items: center;
    padding: 0.3rem 0;
    border-top: 1px solid var(--ink-faint);
  }
  li a {
    display: grid;
    min-height: 2.75rem;
    align-content: center;
    color: var(--ink);
    text-decoration: none;
  }
  li a strong {
    color: var(--beet);
    text-decoration: underline;
    font-weight: 620;
  }
  .flag {
    display: inline-block;
    padding: 0.1rem 0.6rem;
    border-left: 4px solid var(--alarm);
    background: var(--alarm-soft);
    border-radius: 0 6px 6px 0;
  }
  @media (max-width: 47.99rem) {
    li {
      grid-template-columns: minmax(0, 1fr) auto;
    }
  }
</style>
