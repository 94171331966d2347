<script lang="ts">
  import { Search } from 'carbon-components-svelte';
  import { CROPS, searchCrops } from '$core/crops/library.ts';
  import { cropPicture } from '$core/picture/cropPicture.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { cropSpan } from '$ui/words/cropWords.ts';

  let words = $state('');
  const found = $derived(searchCrops(words));
</script>

<svelte:head><title>Crops · Brote</title></svelte:head>

<h1>Crops</h1>
<p class="soft lead">
  {CROPS.length} crops. Their figures are a beginning, to be corrected by your own trays.
  <a href="/crops.csv" download>As a CSV file</a>
</p>
<Search
  labelText="Search by name"
  placeholder="Name, botanical name or family"
  bind:value={words}
  size="lg"
/>
<p class="small soft count" aria-live="polite">
  {found.length === 0
    ? 'No crop has this name. Try a part of it, or the botanical name.'
    : found.length === 1
      ? 'One crop'
      : `${found.length} crops`}
</p>
<ul class="crops">
  {#each found as crop (crop.key)}
    <li>
      <a class="card" href="/crops/{crop.key}">
        <span class="picture"><TrayDrawing picture={cropPicture(crop)} label="" scene={200} /></span>
        <strong>{crop.name}</strong>
        <em class="soft small">{crop.botanicalName}</em>
        <span class="small">{cropSpan(crop)}</span>
      </a>
    </li>
  {/each}
</ul>

<style>
  .lead {
    margin: 0.4rem 0 1rem;
  }
  .count {
    margin: 0.6rem 0;
  }
  .crops {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.9rem;
    grid-template-columns: repeat(auto-fill, minmax(11.5rem, 1fr));
  }
  .card {
    display: grid;
    height: 100%;
    box-sizing: border-box;
    color: inherit;
    text-decoration: none;
    align-content: end;
  }
  .card:hover {
    border-color: var(--beet);
  }
  .picture {
    display: block;
  }
</style>
