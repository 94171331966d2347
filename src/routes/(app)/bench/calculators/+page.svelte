<script lang="ts">
  import { CALCULATORS } from '$core/calculators/registry.ts';
  import BenchTabs from '$ui/bench/BenchTabs.svelte';

  const WHAT: Record<string, string> = {
    seed: 'Grams for trays, pots and cells; or how many a weight of seed fills.',
    packet: 'How many trays a packet makes, and what they give.',
    soak: 'Water and jar for the seed; or seed for the jar you have.',
    hypochlorite: 'Product and water by the label’s strength.',
    peroxide: 'Stock and water by the label’s strength.',
    dilution: 'Any stock to any strength.',
    medium: 'Litres of medium, and coir to swell.',
    feed: 'Feed to the water, at full or part strength.',
    units: 'Grams and ounces, spoons, cups, inches, degrees.'
  };
  const all = [...CALCULATORS.map(({ key, name }) => ({ key, name })), { key: 'units', name: 'Units' }];
</script>

<svelte:head><title>Calculators · Brote</title></svelte:head>

<BenchTabs />
<h1>Calculators</h1>
<p class="soft lead">Each works by itself, both ways, and shows its working.</p>
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
