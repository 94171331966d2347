<script lang="ts">
  import { findCrop } from '$core/crops/library.ts';
  import { mass, yieldPerArea } from '$core/units/format.ts';
  import MonthsChart from '$ui/notebook/MonthsChart.svelte';
  import NotebookTabs from '$ui/notebook/NotebookTabs.svelte';
  import { LOSS_WORDS } from '$words/events.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const { year } = $derived(data);
  const { units } = $derived(data.household);
  const cropName = (key: string): string => findCrop(key, data.ownCrops)?.name ?? key;
  const cutG = $derived((year?.months ?? []).reduce((sum, month) => sum + month.cutG, 0));
  const lost = $derived((year?.losses ?? []).reduce((sum, { sowings }) => sum + sowings, 0));
  const best = $derived(
    (year?.crops ?? [])
      .filter(({ perM2, sowings, lost: gone }) => perM2 !== null && sowings > gone)
      .toSorted((a, b) => b.cutG - a.cutG)
  );
</script>

<svelte:head><title>A year · Brote</title></svelte:head>

<NotebookTabs />
{#if !year}
  <h1>A year in figures</h1>
  <p class="soft lead">It begins with the first sowing.</p>
{:else}
  <header class="page-head">
    <div>
      <h1>{year.year === null ? 'Twelve months' : year.year} in figures</h1>
      <p class="soft">
        {mass(cutG, units)} cut; {lost === 0
          ? 'nothing lost'
          : lost === 1
            ? 'one sowing lost'
            : `${lost} sowings lost`}{year.thrownG > 0
          ? `; ${mass(year.thrownG, units)} thrown out of the pantry`
          : ''}
      </p>
    </div>
    {#if year.years.length > 0}
      <nav class="row" aria-label="Years">
        <a class="chip" href="/notebook/year" aria-current={year.year === null ? 'page' : undefined}
          >Up to now</a
        >
        {#each year.years as one (one)}<a
            class="chip"
            href="/notebook/year?year={one}"
            aria-current={one === year.year ? 'page' : undefined}>{one}</a
          >{/each}
      </nav>
    {/if}
  </header>
  <div class="columns">
    <div class="wide">
      {#if year.months.length > 0}
        <MonthsChart names={year.names} months={year.months} {cropName} {units} />
      {/if}
    </div>
    <section>
      <h2>Crops here, by what they gave</h2>
      {#if best.length === 0}<p class="soft">Nothing was cut in these months.</p>{:else}
        <div class="scroll" role="region" aria-label="Crops" tabindex="-1">
          <table class="plain">
            <thead
              ><tr
                ><th scope="col">Crop</th><th scope="col" class="n">Sowings</th><th scope="col" class="n"
                  >Lost</th
                ><th scope="col" class="n">Cut</th><th scope="col" class="n">Per area</th><th
                  scope="col"
                  class="n">Days</th
                ></tr
              ></thead
            >
            <tbody>
              {#each best as crop (crop.cropKey)}
                <tr
                  ><th scope="row"><a href="/notebook?crop={crop.cropKey}">{cropName(crop.cropKey)}</a></th
                  ><td class="n">{crop.sowings}</td><td class="n">{crop.lost || ''}</td><td class="n"
                    >{mass(crop.cutG, units)}</td
                  ><td class="n">{crop.perM2 === null ? '' : yieldPerArea(crop.perM2, units)}</td><td
                    class="n">{crop.days === null ? '' : Math.round(crop.days)}</td
                  ></tr
                >
              {/each}
            </tbody>
          </table>
        </div>
      {/if}
    </section>
    <section>
      <h2>What was lost, and to what</h2>
      {#if year.losses.length === 0}<p class="soft">Nothing.</p>{:else}
        <ul>
          {#each year.losses as { lost: reason, sowings } (reason)}
            <li><span>{LOSS_WORDS[reason]}</span><strong>{sowings}</strong></li>
          {/each}
        </ul>
      {/if}
    </section>
  </div>
{/if}

<style>
  .lead {
    margin-top: 1rem;
  }
  .columns {
    display: grid;
    grid-template-columns: 1.6fr 1fr;
    gap: 2rem 3rem;
    margin-top: 1rem;
    align-items: start;
  }
  .wide {
    grid-column: 1 / -1;
  }
  .scroll {
    overflow-x: auto;
  }
  tbody a {
    font-weight: 600;
    display: inline-flex;
    min-height: 2.4rem;
    align-items: center;
  }
  ul {
    list-style: none;
    margin: 0.5rem 0 0;
    padding: 0;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    padding: 0.3rem 0;
    border-bottom: 1px solid var(--ink-faint);
  }
  @media (max-width: 47.99rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
