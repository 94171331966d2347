<script lang="ts">
  import { cropName as nameOfCrop } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { findCrop } from '$core/crops/library.ts';
  import { mass, yieldPerArea } from '$core/units/format.ts';
  import MonthsChart from '$ui/notebook/MonthsChart.svelte';
  import NotebookTabs from '$ui/notebook/NotebookTabs.svelte';
  import { LOSS_WORDS } from '$words/events.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const { year } = $derived(data);
  const { units } = $derived(data.household);
  const cropName = (key: string): string => nameOfCrop(findCrop(key, data.ownCrops)?.name ?? key);
  const cutG = $derived((year?.months ?? []).reduce((sum, month) => sum + month.cutG, 0));
  const lost = $derived((year?.losses ?? []).reduce((sum, { sowings }) => sum + sowings, 0));
  const best = $derived(
    (year?.crops ?? [])
      .filter(({ perM2, sowings, lost: gone }) => perM2 !== null && sowings > gone)
      .toSorted((a, b) => b.cutG - a.cutG)
  );
</script>

<svelte:head><title>{t('notebook.yearBrote')}</title></svelte:head>

<NotebookTabs />
{#if !year}
  <h1>{t('notebook.yearFigures')}</h1>
  <p class="soft lead">{t('notebook.beginsWithFirstSowing')}</p>
{:else}
  <header class="page-head">
    <div>
      <h1>
        {year.year === null ? t('notebook.year.lastTwelve') : t('notebook.year.of', { year: year.year })}
      </h1>
      <p class="soft">
        {t('notebook.massCutNothingLostOne', {
          mass: mass(cutG, units),
          when: lost === 0 ? 'yes' : 'no',
          lost,
          when2: year.thrownG > 0 ? 'yes' : 'no',
          mass2: year.thrownG > 0 ? mass(year.thrownG, units) : ''
        })}
      </p>
    </div>
    {#if year.years.length > 0}
      <nav class="row" aria-label={t('notebook.years')}>
        <a class="chip" href="/notebook/year" aria-current={year.year === null ? 'page' : undefined}
          >{t('notebook.upNow')}</a
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
      <h2>{t('notebook.cropsHereByWhatThey')}</h2>
      {#if best.length === 0}<p class="soft">{t('notebook.nothingWasCutTheseMonths')}</p>{:else}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex (by keys it is scrolled) -->
        <div class="scroll" role="region" aria-label={t('notebook.crops')} tabindex="0">
          <table class="plain">
            <thead
              ><tr
                ><th scope="col">{t('notebook.crop')}</th><th scope="col" class="n"
                  >{t('notebook.sowings')}</th
                ><th scope="col" class="n">{t('notebook.lost')}</th><th scope="col" class="n"
                  >{t('notebook.cut')}</th
                ><th scope="col" class="n">{t('notebook.perArea')}</th><th scope="col" class="n"
                  >{t('notebook.days')}</th
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
      <h2>{t('notebook.whatWasLostWhat')}</h2>
      {#if year.losses.length === 0}<p class="soft">{t('notebook.nothing2')}</p>{:else}
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
    --first: 1.6fr;
    margin-top: 1rem;
  }
  .wide {
    grid-column: 1 / -1;
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
</style>
