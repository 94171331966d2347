<script lang="ts">
  import type { Crop } from '$core/crops/crop.ts';
  import { lessonOf, type Learned } from '$core/growth/learned.ts';
  import { yieldBelief, yieldFactor, type YieldLearned } from '$core/growth/yieldLearned.ts';
  import { isFarFromBook, lessonsWith, type PastTaught } from '$core/notebook/past/taught.ts';
  import { paceAfterWords, yieldAfterWords } from '$words/past.ts';

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
          name: crop.name,
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

<h2>What Brote learns from them</h2>
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="scroll" role="region" aria-label="What Brote learns" tabindex="0">
  <table>
    <thead
      ><tr
        ><th scope="col">Crop</th><th scope="col" class="n">Sowings</th><th scope="col">Grows here</th><th
          scope="col">Yields here</th
        ></tr
      ></thead
    >
    <tbody>
      {#each rows as { name, sowings, pace, yields, far } (name)}
        <tr>
          <th scope="row">{name}</th>
          <td class="n">{sowings}</td>
          <td>{pace ?? 'nothing new: no date when it was first ready'}</td>
          <td
            >{yields ?? 'nothing new: no yield, or the container isn’t known'}{#if far}<br /><span
                class="warn">Far from the book: check the columns and units.</span
              >{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .scroll {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    font-weight: 400;
    padding: 0.3rem 1.25rem 0.3rem 0;
    border-bottom: 1px solid var(--ink-faint);
  }
  .n {
    text-align: right;
  }
</style>
