<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { FINDINGS, findingRecords, readyOutlook, type Finding } from '$core/harvest/ready.ts';
  import { findingPicture } from '$core/picture/findingPicture.ts';
  import type { Projected } from '$core/sowing/project.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { costWords, FINDING_NAMES, findingWords, outlookWords } from '$words/harvest.ts';
  import type { Locale } from '$words/time.ts';
  import { windowOf, windowWords } from '$words/window.ts';

  let { projected, now, locale }: { projected: Projected; now: number; locale: Locale } = $props();
  const journal = useJournal();
  const { crop, setup } = $derived(projected);
  const outlook = $derived(readyOutlook(projected, now));

  async function found(finding: Finding) {
    await journal.recordAll(
      findingRecords(crop, finding).map((body) => ({ sowingId: setup.id, body })),
      `${cropName(crop.name)}: ${FINDING_NAMES[finding]}`
    );
  }
</script>

<section class="stack" aria-label={t('harvest.ready2')}>
  <p><strong>{outlookWords(outlook, now, locale)}</strong> <span class="soft">{costWords(outlook)}</span></p>
  <p class="soft small">
    {windowWords(windowOf(projected), now, locale)}
  </p>
  <ul>
    {#each FINDINGS as finding (finding)}
      <li>
        <button onclick={() => void found(finding)}>
          <TrayDrawing picture={findingPicture(crop, finding)} label="" scene={130} />
          <strong>{FINDING_NAMES[finding]}</strong>
          <span class="small">{findingWords(crop, finding, locale.units)}</span>
        </button>
      </li>
    {/each}
  </ul>
  <p class="soft small">
    <Rich parts={rich('harvest.tasteOneTellsMoreThan')}
      >{#snippet link(text: string)}<a href="/tray/{setup.id}/look">{text}</a>{/snippet}</Rich
    >
  </p>
</section>

<style>
  section {
    margin-top: 1rem;
  }
  ul {
    list-style: none;
    padding: 0;
    margin: 0;
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0.6rem;
    max-width: 34rem;
  }
  button {
    width: 100%;
    height: 100%;
    display: grid;
    grid-template-rows: 1fr auto auto;
    align-items: end;
    gap: 0.2rem;
    padding: 0.6rem;
    font: inherit;
    text-align: left;
    color: var(--ink);
    background: var(--paper-raised);
    border: 1.5px solid var(--ink-soft);
    border-radius: 10px;
    cursor: pointer;
  }
  button:hover {
    background: var(--beet-soft);
  }
</style>
