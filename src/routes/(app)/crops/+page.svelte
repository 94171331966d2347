<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { rich, t, table } from '$messages/t.ts';
  import { oneStop } from '$ui/fields/oneStop.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Search } from 'carbon-components-svelte';
  import { withOwnCrops } from '$core/crops/library.ts';
  import { isSoaked, type Crop } from '$core/crops/crop.ts';
  import { easyCrops } from '$core/crops/easy.ts';
  import { searchCrops } from '$core/crops/names/search.ts';
  import { cropPicture } from '$core/picture/cropPicture.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import LibraryTabs from '$ui/shell/LibraryTabs.svelte';
  import { lessonOf } from '$core/growth/learned.ts';
  import { lessonShort } from '$words/lesson.ts';
  import { cropSpan } from '$words/cropWords.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const FILTER_NAMES: Record<'easy' | 'quick' | 'dry', string> = table('crops.filter');
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
  const easy = $derived(new Set(easyCrops(crops)));
  /** A crop that may be cut so soon at 21 °C is quick, days. */
  const QUICK_D = 8;
  const FILTERS = ['easy', 'quick', 'dry'] as const;
  const fits: Record<(typeof FILTERS)[number], (crop: Crop) => boolean> = {
    easy: (crop) => easy.has(crop),
    quick: (crop) => crop.windowOpenD21 <= QUICK_D,
    dry: (crop) => !isSoaked(crop)
  };
  let filters = $state<(typeof FILTERS)[number][]>([]);
  const found = $derived(
    searchCrops(words, crops)
      .filter((crop) => filters.every((filter) => fits[filter](crop)))
      // What grew here before comes first.
      .sort((one, other) => Number(lessons.has(other.key)) - Number(lessons.has(one.key)))
  );
  const toggle = (filter: (typeof FILTERS)[number]) =>
    (filters = filters.includes(filter) ? filters.filter((one) => one !== filter) : [...filters, filter]);
</script>

<svelte:head><title>{t('crops.cropsBrote')}</title></svelte:head>

<LibraryTabs />
<h1>{t('crops.crops')}</h1>
<p class="soft lead">
  <Rich parts={rich('crops.cropsCropsTheirFiguresBeginning', { crops: crops.length })}
    >{#snippet link(text: string)}<a href="/crops.csv" download>{text}</a>{/snippet}{#snippet link2(
      text: string
    )}<a href="/crops/new/edit">{text}</a>{/snippet}</Rich
  >
</p>
<div class="find">
  <Search
    labelText={t('crops.searchByName')}
    placeholder={t('crops.nameBotanicalNameOrFamily')}
    bind:value={words}
    size="lg"
  />
  <div class="row" role="toolbar" tabindex="-1" use:oneStop aria-label={t('crops.only')}>
    {#each FILTERS as filter (filter)}
      <button class="chip" aria-pressed={filters.includes(filter)} onclick={() => toggle(filter)}
        >{FILTER_NAMES[filter]}</button
      >
    {/each}
  </div>
</div>
<p class="small soft count" aria-live="polite">
  {found.length === 0 ? t('crops.noCropHasNameTry') : t('crops.oneCropCrops', { found: found.length })}
</p>
<ul class="crops">
  {#each found as crop (crop.key)}
    <li>
      <a class="card" href="/crops/{crop.key}">
        <span class="picture"><TrayDrawing picture={cropPicture(crop)} label="" scene={200} /></span>
        <strong>{cropName(crop.name)}</strong>
        <em class="soft small">{crop.botanicalName}</em>
        <span class="small">{cropSpan(crop, data.household.units)}</span>
        {#if lessons.has(crop.key)}<span class="small soft lesson">{lessons.get(crop.key)}</span>{/if}
        {#if own.has(crop.key)}<span class="small soft">{t('crops.yourOwnFigures')}</span>{/if}
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
  .find {
    position: sticky;
    z-index: 3;
    top: 0;
    display: grid;
    gap: 0.5rem;
    padding-block: 0.5rem;
    background: var(--paper);
  }
  /* Rows of a hand's breadth on a phone. */
  @media (max-width: 47.99rem) {
    .crops {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }
    .card {
      grid-template-columns: 3.5rem minmax(0, 1fr);
      gap: 0 0.9rem;
      align-content: center;
      min-height: 4.5rem;
      padding: 0.3rem 0;
      border-width: 0 0 1.5px;
      border-radius: 0;
      background: none;
      line-height: 1.25;
    }
    .picture {
      grid-row: 1 / span 4;
      align-self: center;
    }
    .card em {
      display: none;
    }
  }
</style>
