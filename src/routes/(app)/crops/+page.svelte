<script lang="ts">
  import { Search } from 'carbon-components-svelte';
  import { searchCrops, withOwnCrops } from '$core/crops/library.ts';
  import { cropPicture } from '$core/picture/cropPicture.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import LibraryTabs from '$ui/shell/LibraryTabs.svelte';
  import { lessonOf } from '$core/growth/learned.ts';
  import { lessonShort } from '$words/lesson.ts';
  import { cropSpan } from '$words/cropWords.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  let words = $state('');
  const crops = $derived(withOwnCrops(data.own));
  const own = $derived(new Set(data.own.map(({ key }) => key)));
  const lessons = $derived(
    new Map(
      crops.flatMap((crop) => {
        const lesson = lessonOf(data.learned, crop);
        return lesson ? [[crop.key, lessonShort(lesson)] as const] : [];
      })
    )
  );
  const found = $derived(searchCrops(words, crops));
</script>

<svelte:head><title>Crops · Brote</title></svelte:head>

<LibraryTabs />
<h1>Crops</h1>
<p class="soft lead">
  {crops.length} crops. Their figures are a beginning, to be corrected by your own trays.
  <a href="/crops.csv" download>As a CSV file</a> · <a href="/crops/new/edit">Add one of your own</a>
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
        {#if lessons.has(crop.key)}<span class="small soft lesson">{lessons.get(crop.key)}</span>{/if}
        {#if own.has(crop.key)}<span class="small soft">your own figures</span>{/if}
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
