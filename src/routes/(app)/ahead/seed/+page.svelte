<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
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

<svelte:head><title>{t('ahead.seedBuyBrote')}</title></svelte:head>

<AheadTabs />
<header class="page-head">
  <div>
    <h1>{t('ahead.seed')}</h1>
    <p class="soft">{t('ahead.whatOnListOnStanding')}</p>
  </div>
  {#if needs.length > 0}
    <div class="row acts">
      <a class="bx--btn bx--btn--ghost" href="/ahead/seed.txt" download>{t('ahead.asText')}</a>
      <a class="bx--btn bx--btn--ghost" href="/ahead/seed.csv" download>{t('ahead.asCsv')}</a>
    </div>
  {/if}
</header>

{#if needs.length === 0}
  <p class="lead">
    <Rich parts={rich('ahead.nothingPlannedSoNoSeed')}
      >{#snippet link(text: string)}<a href="/ahead">{text}</a>{/snippet}</Rich
    >
  </p>
{:else}
  {#if toBuy.length > 0}
    <section>
      <h2>{t('ahead.buy')}</h2>
      <ul>
        {#each toBuy as need (need.crop.key)}<li>{seedLine(need, data.now, locale)}</li>{/each}
      </ul>
    </section>
  {:else}
    <p>{t('ahead.thereEnoughEverything')}</p>
  {/if}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex (by keys it is scrolled) -->
  <div class="scroll" role="region" aria-label={t('ahead.seed')} tabindex="0">
    <table>
      <thead>
        <tr
          ><th scope="col">{t('ahead.crop')}</th><th scope="col">{t('ahead.needed')}</th><th scope="col"
            >{t('ahead.there')}</th
          ><th scope="col">{t('ahead.usedFirst')}</th></tr
        >
      </thead>
      <tbody>
        {#each needs as { crop, needG, haveG, buyBy, first, stale } (crop.key)}
          <tr>
            <th scope="row">{cropName(crop.name)}</th>
            <td class="mass">{seedMass(needG, locale.units)}</td>
            <td
              ><span class="mass">{seedMass(haveG, locale.units)}</span>{#if buyBy !== null}<br /><span
                  class="soft small">{t('ahead.buyByDay', { day: dayWords(buyBy, data.now, locale) })}</span
                >{/if}</td
            >
            <td>
              {first ? first.name || cropName(crop.name) : '–'}
              {#if stale.length > 0}<br /><span class="soft small"
                  >{t('ahead.oneLotLotsPastDate', { stale: stale.length })}</span
                >{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
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
