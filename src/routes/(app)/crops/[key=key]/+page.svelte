<script lang="ts">
  import { cropInText, cropName, cropNote } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { cropPicture } from '$core/picture/cropPicture.ts';
  import { yieldBelief, yieldFactor } from '$core/growth/yieldLearned.ts';
  import { lessonOf } from '$core/growth/learned.ts';
  import { lessonWords, yieldLessonWords } from '$words/lesson.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { pictureWords } from '$words/pictureWords.ts';
  import { cropFacts } from '$words/cropWords.ts';
  import { edibleNote } from '$words/edibleNote.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const crop = $derived(data.crop);
  const lesson = $derived(lessonOf(data.learned, crop));
  const weighed = $derived(data.yields.find(({ cropKey }) => cropKey === crop.key));
  const gives = $derived(yieldFactor(yieldBelief(data.yields, crop.key)));
  const picture = $derived(cropPicture(crop));
  const caution = $derived(edibleNote(crop));
</script>

<svelte:head><title>{cropName(crop.name)} · Brote</title></svelte:head>

<p class="small"><a href="/crops">{t('crops.crops2')}</a></p>
<header class="head">
  <div class="stack">
    <h1>{cropName(crop.name)}</h1>
    <p class="soft"><em>{crop.botanicalName}</em> · {crop.family}</p>
    {#if cropNote(crop)}<p>{cropNote(crop)}</p>{/if}
    {#if lesson}<p class="lesson">{lessonWords(cropName(crop.name), lesson)}</p>{/if}
    {#if weighed}<p class="lesson">{yieldLessonWords(cropName(crop.name), gives, weighed.trays)}</p>{/if}
    {#if caution}<Caution>{caution}</Caution>{/if}
    {#if data.own}<p class="small soft">
        {t('crops.yourOwnFiguresMadeFrom', {
          when: data.book && data.book.key !== crop.key ? 'yes' : 'no',
          name: data.book && data.book.key !== crop.key ? cropInText(data.book.name) : ''
        })}
      </p>{/if}
    <div class="row">
      <Button href="/sow?crop={crop.key}">{t('crops.sowName', { name: cropInText(crop.name) })}</Button>
      <Button kind="tertiary" href="/crops/{crop.key}/edit"
        >{data.own ? t('crops.changeFigures') : t('crops.overruleFigures')}</Button
      >
      <Button kind="ghost" href="/crops/new/edit?from={crop.key}">{t('crops.makeFrom')}</Button>
    </div>
  </div>
  <div class="picture">
    <TrayDrawing {picture} label={pictureWords(cropName(crop.name), picture, data.household.units)} />
  </div>
</header>
<div class="facts">
  {#each cropFacts(crop, data.household.units) as group (group.heading)}
    <section class="card">
      <h2>{group.heading}</h2>
      <dl>
        {#each group.facts as fact (fact.name)}<div>
            <dt>{fact.name}</dt>
            <dd>{fact.value}</dd>
          </div>{/each}
      </dl>
    </section>
  {/each}
</div>

<style>
  .head {
    display: grid;
    grid-template-columns: 1fr minmax(12rem, 20rem);
    gap: 2rem;
    align-items: end;
    margin-bottom: 1.5rem;
  }
  .facts {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(18rem, 1fr));
    gap: 1rem;
  }
  h2 {
    font-size: 1.05rem;
    margin-bottom: 0.5rem;
  }
  dl {
    margin: 0;
  }
  dl div {
    display: grid;
    grid-template-columns: 8.5rem 1fr;
    gap: 0.75rem;
    padding: 0.25rem 0;
  }
  dt {
    color: var(--ink-soft);
  }
  dd {
    margin: 0;
  }
  @media (max-width: 47.99rem) {
    .head {
      grid-template-columns: 1fr;
    }
  }
</style>
