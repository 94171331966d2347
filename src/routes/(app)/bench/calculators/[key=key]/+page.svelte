<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { isSoaked, type Crop } from '$core/crops/crop.ts';
  import { soonest } from '$core/sowing/soak.ts';
  import { rhythmOf } from '$core/sowing/household.ts';
  import { fromTo } from '$words/time.ts';
  import { withOwnCrops } from '$core/crops/library.ts';
  import { findCalculator } from '$core/calculators/registry.ts';
  import BenchTabs from '$ui/bench/BenchTabs.svelte';
  import ConvertForm from '$ui/calculators/ConvertForm.svelte';
  import CalculatorForm from '$ui/calculators/CalculatorForm.svelte';
  import MixParts from '$ui/calculators/MixParts.svelte';
  import { calculatorName } from '$words/calculators.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const calculator = $derived(findCalculator(data.key));
  const name = $derived(calculator ? calculatorName(calculator.key) : t('bench.units'));
</script>

<svelte:head><title>{name} · Brote</title></svelte:head>

<BenchTabs />
<p class="small"><a href="/bench/calculators">{t('bench.calculators2')}</a></p>
<h1>{name}</h1>
{#key data.key}
  <div class="stack">
    {#if data.key === 'hypochlorite'}<Caution>{CAUTIONS.hypochlorite}</Caution>{/if}
    {#if data.key === 'peroxide' || data.key === 'dilution'}<Caution>{CAUTIONS.peroxide}</Caution>{/if}
    {#if data.key === 'soak'}<Caution>{CAUTIONS.germs}</Caution>{/if}
    {#if data.key === 'medium'}<Caution>{CAUTIONS.dust}</Caution>{/if}
    {#if calculator}
      {#snippet times(crop: Crop)}
        {#if isSoaked(crop)}
          {@const soak = soonest(crop, rhythmOf(data.household), data.now)}
          <p>
            <Rich
              parts={rich('bench.soakbesthHBestSoakminhSoakmaxh', {
                soakBestH: crop.soakBestH,
                soakMinH: crop.soakMinH,
                soakMaxH: crop.soakMaxH,
                fromTo: fromTo(soak.soakStart!, soak.soakEnd!, data.now, data.household)
              })}
            />
          </p>
        {:else}
          <p>{crop.gelSeed ? t('bench.neverSoakSeedCoatTurns') : t('bench.sownDry')}</p>
        {/if}
      {/snippet}
      <CalculatorForm
        {...data.key === 'soak' ? { beside: times } : {}}
        {calculator}
        crops={withOwnCrops(data.ownCrops)}
        units={data.household.units}
        params={data.params}
      />
    {:else}
      <ConvertForm params={data.params} />
    {/if}
    {#if data.key === 'medium'}<MixParts units={data.household.units} />{/if}
  </div>
{/key}

<style>
  h1 {
    margin: 0.25rem 0 1rem;
  }
</style>
