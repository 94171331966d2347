<script lang="ts">
  import { calculatorName } from '$words/calculators.ts';
  import { t } from '$messages/t.ts';
  import { CALCULATORS } from '$core/calculators/registry.ts';
  import BenchTabs from '$ui/bench/BenchTabs.svelte';

  const WHAT: Record<string, string> = {
    seed: t('bench.gramsTraysPotsCellsOr'),
    packet: t('bench.howManyTraysPacketMakes'),
    soak: t('bench.waterJarSeedOrSeed'),
    hypochlorite: t('bench.productWaterByLabelsStrength'),
    peroxide: t('bench.stockWaterByLabelsStrength'),
    dilution: t('bench.anyStockAnyStrength'),
    medium: t('bench.litresMediumCoirSwell'),
    feed: t('bench.feedWaterAtFullOr'),
    units: t('bench.gramsOuncesSpoonsCupsInches')
  };
  const all = [
    ...CALCULATORS.map(({ key }) => ({ key, name: calculatorName(key) })),
    { key: 'units', name: t('bench.units') }
  ];
</script>

<svelte:head><title>{t('bench.calculatorsBrote')}</title></svelte:head>

<BenchTabs />
<h1>{t('bench.calculators')}</h1>
<p class="soft lead">{t('bench.eachWorksByItselfBoth')}</p>
<ul>
  {#each all as { key, name } (key)}
    <li>
      <a class="card" href="/bench/calculators/{key}"
        ><strong>{name}</strong><span class="small soft">{WHAT[key]}</span></a
      >
    </li>
  {/each}
</ul>

<style>
  .lead {
    margin: 0.25rem 0 1.25rem;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(16rem, 1fr));
    gap: 0.75rem;
  }
  a {
    display: grid;
    gap: 0.2rem;
    height: 100%;
    box-sizing: border-box;
    color: var(--ink);
    text-decoration: none;
    align-content: start;
  }
  a:hover {
    border-color: var(--beet);
  }
</style>
