<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { percent, strengthPercent } from '$words/percent.ts';
  import { t } from '$messages/t.ts';
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
  import { mayHaveFaded } from '$core/supplies/seed/product.ts';
  import BenchTabs from '$ui/bench/BenchTabs.svelte';
  import { PRODUCT_WORDS } from '$words/disinfect.ts';
  import { FLAG_WORDS } from '$words/lots.ts';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import { dateAlone, isoDay } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const units = $derived(data.household.units);
  const today = $derived(isoDay(data.now, data.household.zone));
  const cropOf = (lot: LotStock) => cropOfLot(lot, (key) => findCrop(key, data.ownCrops));

  function germinationWords(lot: LotStock): string {
    const germination = lotGermination(lot);
    if (!germination) return t('bench.notKnown');
    const pct = percent(germination.pct / 100);
    return lot.test
      ? t('bench.pctSproutedTestedLikelyLowpct', {
          pct,
          sprouted: lot.test.sprouted,
          tested: lot.test.tested,
          lowPct: Math.round(germination.lowPct),
          highPct: Math.round(germination.highPct)
        })
      : t('bench.pctByPacket', { pct });
  }
  function traysWords(lot: LotStock): string {
    const crop = cropOf(lot);
    if (!crop) return '';
    const trays = Math.floor(leftG(lot) / trayOfSeedG(crop));
    return t('bench.oneTrayMoreTraysMore', { trays });
  }
</script>

<svelte:head><title>{t('bench.cupboardBrote')}</title></svelte:head>

<BenchTabs />
<h1>{t('bench.cupboard')}</h1>

<section aria-labelledby="lots">
  <header class="row head">
    <h2 id="lots">{t('bench.seed')}</h2>
    <Button kind="tertiary" href="/bench/cupboard/lot/new">{t('bench.addLot')}</Button>
  </header>
  {#if data.lots.length === 0}
    <p class="soft">
      {t('bench.noLotsYetKeepYour')}
    </p>
  {:else}
    <ul>
      {#each data.lots as lot (lot.id)}
        {@const crop = cropOf(lot)}
        {@const flags = crop ? lotFlags(lot, crop, today) : []}
        <li>
          <a href="/bench/cupboard/lot/{lot.id}"
            ><strong>{cropName(crop?.name ?? lot.cropKey)}</strong><span class="soft small"
              >{lot.name}{lot.parts ? ` · ${t('bench.boughtMixed')}` : ''}</span
            ></a
          >
          <span
            ><strong>{mass(leftG(lot), units)}</strong>
            <span class="small soft">{t('bench.leftTrays', { trays: traysWords(lot) })}</span></span
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
  <h2 id="containers">{t('bench.containers')}</h2>
  {#if data.containers.length === 0}
    <p class="soft">{t('bench.containerKeptHereOnceSomething')}</p>
  {:else}
    <ul>
      {#each data.containers as one (one.id)}
        {@const free = freeCount(one)}
        <li>
          <a href="/bench/cupboard/container/{one.id}"
            ><strong>{one.name}</strong><span class="soft small"
              >{t('bench.cellsCellsLengthAcrossLength', {
                when: one.shape === 'cells' ? 'yes' : 'no',
                cells: one.shape === 'cells' ? one.cells : '',
                length: length(one.lengthCm, units),
                when2: one.shape === 'round' ? 'yes' : 'no',
                length2: !(one.shape === 'round') ? length(one.widthCm, units) : '',
                length3: length(one.depthCm, units)
              })}</span
            ></a
          >
          <span
            >{#if free === null}<span class="soft small">{t('bench.notCounted')}</span>{:else}<strong
                >{t('bench.freeFree', { free })}</strong
              >
              <span class="small soft">{t('bench.owned', { owned: one.owned ?? 0 })}</span>{/if}</span
          >
          <span class="small"
            >{one.emptyG === null ? '' : t('bench.massEmpty', { mass: mass(one.emptyG, units) })}</span
          >
          <span class="small flags"
            >{#if one.owned !== null && one.inUse > one.owned}<span class="flag"
                >{t('bench.inuseUseCountAgain', { inUse: one.inUse })}</span
              >{/if}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
</section>

<section aria-labelledby="media">
  <header class="row head">
    <h2 id="media">{t('bench.media')}</h2>
    <Button kind="tertiary" href="/bench/cupboard/medium/new">{t('bench.addMedium')}</Button>
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
              ? t('bench.volumeFromDryKg', { volume: volume(medium.swellLKg * 1000, units) })
              : ''}</span
        >
      </li>
    {:else}
      <li class="soft">
        {t('bench.usualMediaNeedNoEntry')}
      </li>
    {/each}
  </ul>
</section>

<section aria-labelledby="products">
  <header class="row head">
    <h2 id="products">{t('bench.disinfectants')}</h2>
    <Button kind="tertiary" href="/bench/cupboard/product/new">{t('bench.addDisinfectant')}</Button>
  </header>
  <ul>
    {#each data.products as product (product.id)}
      <li>
        <a href="/bench/cupboard/product/{product.id}"
          ><strong>{product.name}</strong><span class="soft small">{PRODUCT_WORDS[product.kind]}</span></a
        >
        <span><strong>{strengthPercent(product.strengthPct)}</strong></span>
        <span class="small"
          >{product.datedOn
            ? t('bench.datedDate', {
                date: dateAlone(Date.parse(product.datedOn), { ...data.household, zone: 'UTC' })
              })
            : t('bench.noDate')}</span
        >
        <span class="small flags"
          >{#if mayHaveFaded(product, today)}<span class="flag">{t('bench.mayHaveFaded')}</span>{/if}</span
        >
      </li>
    {:else}
      <li class="soft">
        {t('bench.addBottleYouDisinfectSeed')}
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
      grid-template-columns: minmax(0, 1fr) fit-content(55%);
    }
    /* What the seed is like stands on a line of its own. */
    li > .small {
      grid-column: 1 / -1;
    }
    li > .flags:empty {
      display: none;
    }
  }
</style>
