<script lang="ts">
  import { seedMass } from '$core/units/format.ts';
  import AheadTabs from '$ui/ahead/AheadTabs.svelte';
  import { seedLine } from '$words/ahead.ts';
  import { dayWords } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const locale = $derived(data.household);
  const needs = $derived(data.needs);
  const toBuy = $derived(needs.filter(({ buyG }) => buyG > 0));
</script>

<svelte:head><title>Seed to buy · Brote</title></svelte:head>

<AheadTabs />
<header class="page-head">
  <div>
    <h1>Seed</h1>
    <p class="soft">What is on the list and on standing orders takes, against what is in the cupboard.</p>
  </div>
  {#if needs.length > 0}
    <div class="row acts">
      <a class="bx--btn bx--btn--ghost" href="/ahead/seed.txt" download>As text</a>
      <a class="bx--btn bx--btn--ghost" href="/ahead/seed.csv" download>As CSV</a>
    </div>
  {/if}
</header>

{#if needs.length === 0}
  <p class="lead">Nothing is planned, and so no seed is needed. <a href="/ahead">To the weeks ahead</a></p>
{:else}
  {#if toBuy.length > 0}
    <section>
      <h2>To buy</h2>
      <ul>
        {#each toBuy as need (need.crop.key)}<li>{seedLine(need, data.now, locale)}</li>{/each}
      </ul>
    </section>
  {:else}
    <p>There is enough of everything.</p>
  {/if}
  <table>
    <thead>
      <tr
        ><th scope="col">Crop</th><th scope="col">Needed</th><th scope="col">There is</th><th scope="col"
          >Used first</th
        ></tr
      >
    </thead>
    <tbody>
      {#each needs as { crop, needG, haveG, buyBy, first, stale } (crop.key)}
        <tr>
          <th scope="row">{crop.name}</th>
          <td class="mass">{seedMass(needG, locale.units)}</td>
          <td
            ><span class="mass">{seedMass(haveG, locale.units)}</span>{#if buyBy !== null}<br /><span
                class="soft small">buy by {dayWords(buyBy, data.now, locale)}</span
              >{/if}</td
          >
          <td>
            {first ? first.name || crop.name : '–'}
            {#if stale.length > 0}<br /><span class="soft small"
                >{stale.length === 1 ? 'One lot is' : `${stale.length} lots are`} past the date: used first, or
                left after a test of its germination</span
              >{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
{/if}

<style>
  .lead {
    margin-top: 1.5rem;
  }
  ul {
    padding-left: 1.2rem;
    list-style: disc;
  }
  table {
    margin-top: 1.5rem;
    width: 100%;
    max-width: 46rem;
    border-collapse: collapse;
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 0.5rem 0.75rem 0.5rem 0;
    border-top: 1px solid var(--ink-faint);
  }
  .mass {
    white-space: nowrap;
  }
</style>
