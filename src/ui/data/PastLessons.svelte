<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import type { Crop } from '$core/crops/crop.ts';
  import { lessonOf, type Learned } from '$core/growth/learned.ts';
  import { yieldBelief, yieldFactor, type YieldLearned } from '$core/growth/yieldLearned.ts';
  import { isFarFromBook, lessonsWith, type PastTaught } from '$core/notebook/past/taught.ts';
  import { paceAfterWords, sowingsWords, yieldAfterWords } from '$words/past.ts';

  let {
    taught,
    lessons,
    crops
  }: {
    taught: readonly PastTaught[];
    lessons: { learned: Learned; yields: YieldLearned };
    crops: readonly Crop[];
  } = $props();

  const after = $derived(lessonsWith(lessons, taught));
  const rows = $derived(
    taught.flatMap((one) => {
      const crop = crops.find(({ key }) => key === one.cropKey);
      if (!crop) return [];
      const factor = (from: YieldLearned) => yieldFactor(yieldBelief(from, crop.key));
      const weighedBefore = lessons.yields.some(({ cropKey }) => cropKey === crop.key);
      const pace = lessonOf(after.learned, crop);
      return [
        {
          name: cropName(crop.name),
          sowings: one.sowings,
          pace: one.paced > 0 && pace ? paceAfterWords(pace, lessonOf(lessons.learned, crop)) : null,
          yields:
            one.weighed > 0
              ? yieldAfterWords(factor(after.yields), weighedBefore ? factor(lessons.yields) : null)
              : null,
          far: one.weighed > 0 && isFarFromBook(one)
        }
      ];
    })
  );
</script>

<h2>{t('household.whatBroteLearnsFromThem')}</h2>
<ul>
  {#each rows as { name, sowings, pace, yields, far } (name)}
    <li>
      <h3>{name} <span class="soft small">{sowingsWords(sowings)}</span></h3>
      <p>{pace ?? t('household.nothingAboutPaceNoDate')}</p>
      <p>{yields ?? t('household.nothingAboutYieldWasntWeighed')}</p>
      {#if far}<p class="warn">{t('household.yieldFarFromBookCheck')}</p>{/if}
    </li>
  {/each}
</ul>

<style>
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
    gap: 1rem 1.5rem;
  }
  h3,
  p {
    margin: 0;
  }
</style>
