<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button, FileUploaderButton, ProgressBar, TextArea } from 'carbon-components-svelte';
  import { withOwnCrops } from '$core/crops/library.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import { decodeText } from '$ui/data/decode.ts';
  import PastLessons from '$ui/data/PastLessons.svelte';
  import PastLines from '$ui/data/PastLines.svelte';
  import PastQuestions from '$ui/data/PastQuestions.svelte';
  import { PastImport } from '$ui/data/pastImport.svelte.ts';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import { reload } from '$ui/state/reload.ts';
  import { sowingsWords } from '$words/past.ts';
  import { problemWords } from '$words/problems.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const crops = $derived(withOwnCrops(data.household.ownCrops));
  // The household's own as they were when the page was opened: a list is read with one set of them.
  // svelte-ignore state_referenced_locally
  const past = new PastImport(
    {
      zone: zoneOf(data.household.zone),
      now: data.now,
      crops: withOwnCrops(data.household.ownCrops),
      places: data.household.places,
      containers: data.containers
    },
    data.household.units
  );
  let pasted = $state('');
  const count = $derived(past.good.length);

  async function choose(file: File | undefined) {
    if (file) past.begin(decodeText(new Uint8Array(await file.arrayBuffer())));
  }
  async function bring() {
    await past.import();
    await reload();
  }
</script>

<svelte:head><title>{t('household.importPastSowingsBrote')}</title></svelte:head>

<HouseholdTabs />
<p class="small"><a href="/household/data">{t('household.data2')}</a></p>
<h1>{t('household.importPastSowings')}</h1>
<p class="soft lead">
  {t('household.listYourOwnAsCsv2')}
</p>

{#if data.household.places.length === 0}
  <p class="warn">
    <Rich parts={rich('household.addPlaceOnLinkShelf')}
      >{#snippet link(text: string)}<a href="/shelf">{text}</a>{/snippet}</Rich
    >
  </p>
{:else}
  <div class="columns">
    <div class="stack">
      <div>
        <FileUploaderButton
          kind="tertiary"
          size="field"
          labelText={t('shelf.chooseCsvFile')}
          accept={['.csv', '.tsv', '.txt', 'text/csv']}
          on:change={({ detail }) => void choose(detail[0])}
        />
      </div>
      <TextArea
        labelText={t('household.orPasteList')}
        placeholder={t('household.cropSownFirstReadyCut')}
        bind:value={pasted}
        rows={3}
      />
      <div>
        <Button
          kind="tertiary"
          size="field"
          disabled={pasted.trim() === ''}
          on:click={() => past.begin(pasted)}>{t('household.checkList')}</Button
        >
      </div>
      {#if past.read?.ok === false}<p class="warn" role="alert">{problemWords(past.read.problem)}</p>{/if}
      {#if past.read}<PastQuestions
          {past}
          {crops}
          places={data.household.places}
          containers={data.containers}
        />{/if}
    </div>

    <div class="stack">
      {#if past.list}
        <PastLines {past} {crops} locale={data.household} />
        {#if past.taught}
          <PastLessons taught={past.taught} lessons={data.household} {crops} />
        {/if}
        {#if past.progress}
          <ProgressBar
            labelText={past.progress.kind === 'importing'
              ? t('household.importing')
              : t('household.workingOutWhatTheyTeach')}
            helperText={t('household.doneAll', { done: past.progress.done, all: past.progress.all })}
            value={past.progress.done}
            max={past.progress.all}
          />
        {:else if past.added}
          <p role="status">
            {past.added.added === 0
              ? t('household.nothingWasAddedAllThese')
              : t('household.sowingsImportedKnownWereAlready', {
                  sowings: sowingsWords(past.added.added),
                  when: past.added.known > 0 ? 'yes' : 'no',
                  known: past.added.known > 0 ? past.added.known : ''
                })}
            <a href="/notebook">{t('household.openNotebook')}</a>
          </p>
        {:else if count > 0}
          <div>
            {#if past.taught}
              <Button on:click={() => void bring()}
                >{t('household.importSowings', { sowings: sowingsWords(count) })}</Button
              >
            {:else}
              <Button on:click={() => void past.teach()}>{t('household.seeWhatBroteLearns')}</Button>
            {/if}
          </div>
        {/if}
        {#if past.problem}<p class="warn" role="alert">{past.problem}</p>{/if}
      {/if}
    </div>
  </div>
{/if}

<style>
  .lead {
    margin: 0.4rem 0 1.5rem;
    max-width: 44rem;
  }
  .columns {
    --first: 24rem;
  }
</style>
