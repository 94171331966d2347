<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import BringPackage from '$ui/data/BringPackage.svelte';
  import Field from '$ui/fields/Field.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import FormSay from '$ui/shell/FormSay.svelte';
  import Rich from '$ui/shell/Rich.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);
  const done = $derived(form && 'done' in form ? form.done : null);
  const LISTS = [
    { path: '/notebook.csv', name: t('household.notebook'), what: t('household.everySowingWithWhatCame') },
    { path: '/pantry.csv', name: t('household.pantry'), what: t('household.whatKeptEatFirst') },
    { path: '/bench/cupboard/lots.csv', name: t('household.seed'), what: t('household.lotsWithWhatLeft') },
    { path: '/crops.csv', name: t('household.crops'), what: t('household.libraryWithYourOwnFigures') },
    { path: '/calendar.ics', name: t('household.calendar'), what: t('household.roundsWindowsCome') }
  ];
</script>

<svelte:head><title>{t('household.dataBrote')}</title></svelte:head>

<HouseholdTabs />
<h1>{t('household.data')}</h1>
<p class="soft lead">{t('household.allYouWroteDownYours')}</p>
<FormSay />

<div class="columns">
  <section class="stack" aria-labelledby="out">
    <h2 id="out">{t('household.takeOut')}</h2>
    <p>
      {t('household.oneOpenPackageTableEvery')}
    </p>
    <div>
      <a class="bx--btn bx--btn--primary" href="/household/data/package.zip" download
        >{t('household.wholeHousehold')}</a
      >
    </div>
    <details class="unfold">
      <summary>{t('household.whatLeftOutWhy')}</summary>
      <ul class="small">
        {#each data.leftOut as why (why)}<li>{why}</li>{/each}
      </ul>
    </details>
    <h3>{t('household.listsSpreadsheet')}</h3>
    <ul class="lists">
      {#each LISTS as { path, name, what } (path)}
        <li><a href={path} download>{name}</a> <span class="soft small">{what}</span></li>
      {/each}
    </ul>
    <Caution>{CAUTIONS.giving}</Caution>
    <p class="small soft">
      <Rich parts={rich('household.operatorBackup')} />
    </p>
  </section>
  <BringPackage />
  <section class="stack" aria-labelledby="past">
    <h2 id="past">{t('household.importPastSowings')}</h2>
    <p class="small soft">
      {t('household.listYourOwnAsCsv')}
    </p>
    <div>
      <Button kind="tertiary" href="/household/data/import">{t('household.importPastSowings')}</Button>
    </div>
  </section>
  <section class="stack" aria-labelledby="empty">
    <h2 id="empty">{t('household.emptyHousehold')}</h2>
    <p class="small">
      {t('household.takesAwayEverySowingReading')}
    </p>
    {#if done === 'emptied'}<p role="status">{t('household.empty')}</p>{/if}
    <details class="unfold">
      <summary>{t('household.empty2')}</summary>
      <form method="POST" action="?/empty" class="stack" use:enhance novalidate>
        <Field
          name="name"
          label={t('household.householdsName')}
          helper={t('household.sayYouMean')}
          value={typed('name')}
          error={wrong('name')}
        />
        <div><Button type="submit" kind="danger-tertiary">{t('household.takeAllAway')}</Button></div>
      </form>
    </details>
  </section>
</div>

<style>
  .lead {
    margin: 0.4rem 0 1rem;
  }
  .lists {
    list-style: none;
    padding: 0;
    margin: 0;
  }
  .lists a {
    display: inline-flex;
    min-height: 2.75rem;
    align-items: center;
    font-weight: 600;
    min-width: 6rem;
  }
  h3 {
    margin-top: 0.75rem;
  }
</style>
