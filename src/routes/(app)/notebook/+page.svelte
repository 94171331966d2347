<script lang="ts">
  import { yieldOf } from '$core/growth/yield.ts';
  import { dayOf } from '$core/sowing/project.ts';
  import { figure, mass, yieldPerArea } from '$core/units/format.ts';
  import { factsNow, projectAll } from '$ui/state/projecting.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { LOSS_WORDS } from '$words/events.ts';
  import { shortDate } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  const locale = $derived(data.household);
  const rows = $derived(
    projectAll(data.records, factsNow(data, journal), data, journal).map((sowing) => {
      const netG = sowing.state.cuts.reduce((sum, cut) => sum + cut.netG, 0);
      return { sowing, netG, gave: yieldOf(netG, sowing.setup.seedG, sowing.areaCm2) };
    })
  );
  const cut = $derived(rows.filter(({ sowing }) => sowing.state.lost === null));
  const total = $derived(cut.reduce((sum, { netG }) => sum + netG, 0));
</script>

<svelte:head><title>Notebook · Brote</title></svelte:head>

<h1>Notebook</h1>
{#if rows.length === 0}
  <p class="soft lead">
    Every tray that was cut or given up stands here with what it gave. The first one is on its way.
  </p>
{:else}
  <p class="soft lead">
    {mass(total, locale.units)} cut from {cut.length} sowings; {rows.length - cut.length} given up.
  </p>
  <div class="scroll" role="region" aria-label="Sowings that ended" tabindex="-1">
    <table>
      <thead>
        <tr
          ><th scope="col">Crop</th><th scope="col">Sown</th><th scope="col" class="n">Days</th><th
            scope="col"
            class="n">Cut</th
          ><th scope="col" class="n">g per g seed</th><th scope="col" class="n wide">Per area</th><th
            scope="col"
            class="wide">Where</th
          ></tr
        >
      </thead>
      <tbody>
        {#each rows as { sowing, netG, gave } (sowing.setup.id)}
          <tr>
            <th scope="row"><a href="/tray/{sowing.setup.id}">{sowing.crop.name}</a></th>
            <td>{shortDate(sowing.sownAt, locale)}</td>
            <td class="n">{dayOf(sowing, sowing.state.endedAt ?? sowing.sownAt)}</td>
            {#if sowing.state.lost !== null}
              <td colspan="2">{LOSS_WORDS[sowing.state.lost]}</td>
              <td class="wide"></td>
            {:else}
              <td class="n">{mass(netG, locale.units)}</td>
              <td class="n">{figure(gave.gPerGSeed)}</td>
              <td class="n wide">{yieldPerArea(gave.gPerM2, locale.units)}</td>
            {/if}
            <td class="wide">{sowing.place.name}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
{/if}

<style>
  .lead {
    margin: 0.4rem 0 1.25rem;
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
    width: 100%;
  }
  th,
  td {
    text-align: left;
    padding: 0.35rem 0.9rem 0.35rem 0;
    border-bottom: 1px solid var(--ink-faint);
    font-weight: 400;
    white-space: nowrap;
  }
  thead th {
    color: var(--ink-soft);
    font-size: 0.9375rem;
  }
  tbody a {
    display: inline-block;
    padding: 0.5rem 0;
    font-weight: 600;
  }
  .n {
    text-align: right;
  }
  @media (max-width: 47.99rem) {
    .wide {
      display: none;
    }
  }
</style>
