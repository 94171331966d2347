<script lang="ts">
  import { t } from '$messages/t.ts';
  import { costOf } from '$core/costs/cost.ts';
  import type { Prices } from '$core/costs/prices.ts';
  import { yieldOf } from '$core/growth/yield.ts';
  import { yieldBelief, yieldFactor, type YieldLearned } from '$core/growth/yieldLearned.ts';
  import { meanWarmthC } from '$core/notebook/facts.ts';
  import { gramsOf, milestonesOf } from '$core/notebook/milestones.ts';
  import { pantryOf } from '$core/pantry/item.ts';
  import type { Projected } from '$core/sowing/project.ts';
  import { cutG, wateredG } from '$core/sowing/totals.ts';
  import { DAY, zoneOf } from '$core/time/zone.ts';
  import { figure, mass, temperature, volume, yieldPerArea } from '$core/units/format.ts';
  import CostFigure from '$ui/costs/CostFigure.svelte';
  import Figure from '$ui/fields/Figure.svelte';
  import { SPOIL_WORDS } from '$words/pantry.ts';
  import { MILESTONE_WORDS, offWords } from '$words/story.ts';
  import { shortDate, type Locale } from '$words/time.ts';

  /** What a sowing came to, on one page: plan against fact, what it gave, where that went, what it cost. */
  interface Props {
    projected: Projected;
    /** As it was expected on the day it was sown. */
    expected: Projected;
    prices: Prices;
    yields: YieldLearned;
    now: number;
    locale: Locale;
  }
  let { projected, expected, prices, yields, now, locale }: Props = $props();
  const { units } = $derived(locale);
  const { crop, setup, state: sowing } = $derived(projected);
  const rows = $derived(milestonesOf(expected, projected));
  const grams = $derived(gramsOf(expected, projected));
  const gaveG = $derived(cutG(sowing));
  const gave = $derived(yieldOf(gaveG, setup.seedG, projected.areaCm2));
  const own = $derived(yields.find(({ cropKey }) => cropKey === crop.key));
  const factor = $derived(yieldFactor(yieldBelief(yields, crop.key)));
  const fate = $derived(pantryOf(projected, zoneOf(locale.zone)).fate);
  const cost = $derived(costOf(projected, prices, now));
  const warmth = $derived(meanWarmthC(projected, now));
  const went = $derived(
    [
      { name: t('notebook.eaten'), g: fate.eatenG },
      { name: t('notebook.givenAway'), g: fate.givenG },
      { name: t('notebook.thrownOut'), g: fate.thrownG },
      { name: t('notebook.pantry'), g: fate.keptG },
      { name: t('notebook.nobodySaid'), g: fate.untoldG }
    ].filter(({ g }) => g > 0)
  );
  const spoils = $derived(
    Object.entries(fate.spoils)
      .map(([reason, g]) => `${SPOIL_WORDS[reason as keyof typeof SPOIL_WORDS]} ${mass(g, units)}`)
      .join(', ')
  );
</script>

<div class="story">
  <section>
    <h2>{t('notebook.planFact')}</h2>
    <table class="plain">
      <thead
        ><tr
          ><th scope="col"><span class="visually-hidden">{t('notebook.what')}</span></th><th scope="col"
            >{t('notebook.planned')}</th
          ><th scope="col">{t('notebook.was')}</th><th scope="col"></th></tr
        ></thead
      >
      <tbody>
        {#each rows as { milestone, planned, was } (milestone)}
          <tr
            ><th scope="row">{MILESTONE_WORDS[milestone]}</th><td
              >{planned === null ? '–' : shortDate(planned, locale)}</td
            ><td>{was === null ? t('notebook.notSeen') : shortDate(was, locale)}</td><td class="soft small"
              >{planned === null || was === null ? '' : offWords((was - planned) / DAY)}</td
            ></tr
          >
        {/each}
        <tr
          ><th scope="row">{t('notebook.grams')}</th><td>{mass(grams.planned, units)}</td><td
            >{mass(grams.was, units)}</td
          ><td class="soft small"
            >{grams.was > 0
              ? t('notebook.was2', { was: Math.round((grams.was / grams.planned) * 100) })
              : ''}</td
          ></tr
        >
      </tbody>
    </table>
    <p class="soft small">
      {t('notebook.givenVolumeWaterAllAt', {
        volume: volume(wateredG(sowing), units),
        when: warmth === null ? 'yes' : 'no',
        temperature: !(warmth === null) ? temperature(warmth, units) : ''
      })}
    </p>
  </section>

  <section>
    <h2>{t('notebook.whatGave')}</h2>
    {#if gaveG > 0}
      <Figure
        label={t('notebook.cutAll')}
        value={mass(gaveG, units)}
        beside={t('notebook.gpergseedGPerGSeed', {
          gPerGSeed: figure(gave.gPerGSeed),
          yieldPerArea: yieldPerArea(gave.gPerM2, units),
          when: setup.count > 1 ? 'yes' : 'no',
          mass: setup.count > 1 ? mass(gaveG / setup.count, units) : ''
        })}
      >
        {#snippet working()}
          {t('notebook.gavegGSeedgGSeed', {
            gaveG: figure(gaveG),
            seedG: figure(setup.seedG),
            gPerGSeed: figure(gave.gPerGSeed),
            areaCm2: figure(projected.areaCm2),
            gPerM2: Math.round(gave.gPerM2)
          })}
        {/snippet}
      </Figure>
      <p class="small">
        {t('notebook.booksRangeYieldperareaYieldperareaYours', {
          yieldPerArea: yieldPerArea(crop.yieldLowGM2, units),
          yieldPerArea2: yieldPerArea(crop.yieldHighGM2, units),
          when: own ? 'yes' : 'no',
          trays: own ? own.trays : '',
          trays2: own?.trays ?? 0,
          yieldPerArea3: own ? yieldPerArea(crop.yieldMidGM2 * factor.low, units) : '',
          yieldPerArea4: own ? yieldPerArea(crop.yieldMidGM2 * factor.high, units) : ''
        })}
      </p>
      {#if went.length > 0}
        <ul>
          {#each went as { name, g } (name)}<li>
              <span>{name}</span><svg viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true"
                ><rect width={Math.max(2, (g / gaveG) * 100)} height="8" rx="1.5" /></svg
              ><strong>{mass(g, units)}</strong>
            </li>{/each}
        </ul>
        {#if spoils}<p class="soft small">{t('notebook.thrownOutSpoils', { spoils })}</p>{/if}
        {#if fate.keptG > 0}<p class="small"><a href="/pantry">{t('notebook.whatPantry')}</a></p>{/if}
      {/if}
    {:else}
      <p class="soft">{t('notebook.nothingWasCut')}</p>
    {/if}
  </section>

  <section>
    <h2>{t('notebook.whatCost')}</h2>
    <CostFigure {cost} cutG={gaveG} currency={prices.currency} {units} />
  </section>
</div>

<style>
  .story {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 25rem), 1fr));
    gap: 1.5rem 3rem;
    margin-top: 1.75rem;
  }
  h2 {
    margin-bottom: 0.4rem;
  }
  thead th {
    color: var(--ink-soft);
    font-size: 0.9375rem;
  }
  ul {
    list-style: none;
    padding: 0;
    margin: 0.5rem 0;
  }
  li {
    display: grid;
    grid-template-columns: 7rem 1fr 4.5rem;
    align-items: center;
    gap: 0.5rem;
    padding: 0.15rem 0;
  }
  li svg {
    width: 100%;
    height: 0.7rem;
    fill: var(--leaf-green);
  }
  li strong {
    text-align: right;
  }
</style>
