<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import BringPackage from '$ui/data/BringPackage.svelte';
  import Field from '$ui/fields/Field.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import FormSay from '$ui/shell/FormSay.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);
  const done = $derived(form && 'done' in form ? form.done : null);
  const LISTS = [
    { path: '/notebook.csv', name: 'Notebook', what: 'every sowing with what it came to' },
    { path: '/pantry.csv', name: 'Pantry', what: 'what is kept, eat-first' },
    { path: '/bench/cupboard/lots.csv', name: 'Seed', what: 'lots with what is left' },
    { path: '/crops.csv', name: 'Crops', what: 'the library with your own figures' },
    { path: '/calendar.ics', name: 'Calendar', what: 'rounds and windows to come' }
  ];
</script>

<svelte:head><title>Data · Brote</title></svelte:head>

<HouseholdTabs />
<h1>Data</h1>
<p class="soft lead">All that you wrote down is yours: take it out, bring it back, take it elsewhere.</p>
<FormSay />

<div class="columns">
  <section class="stack" aria-labelledby="out">
    <h2 id="out">Take it out</h2>
    <p>
      One open package: a table of every kind as CSV, and a schema that says what stands in them. The same
      data make the same file, to the byte.
    </p>
    <div>
      <a class="bx--btn bx--btn--primary" href="/household/data/package.zip" download>The whole household</a>
    </div>
    <details class="unfold">
      <summary>What is left out, and why</summary>
      <ul class="small">
        {#each data.leftOut as why (why)}<li>{why}</li>{/each}
      </ul>
    </details>
    <h3>Lists for a spreadsheet</h3>
    <ul class="lists">
      {#each LISTS as { path, name, what } (path)}
        <li><a href={path} download>{name}</a> <span class="soft small">{what}</span></li>
      {/each}
    </ul>
    <Caution>{CAUTIONS.giving}</Caution>
    <p class="small soft">
      Whoever runs this Brote can keep all of it, sign-ins too, with <code>npm run backup</code>.
    </p>
  </section>
  <BringPackage />
  <section class="stack" aria-labelledby="past">
    <h2 id="past">Import past sowings</h2>
    <p class="small soft">
      A list of your own as CSV, one sowing a line. They go into the notebook and improve the forecasts.
    </p>
    <div><Button kind="tertiary" href="/household/data/import">Import past sowings</Button></div>
  </section>
  <section class="stack" aria-labelledby="empty">
    <h2 id="empty">Empty this household</h2>
    <p class="small">
      Takes away every sowing, reading, place, packet and price; people and their sign-ins stay. It cannot be
      undone: take the package out first.
    </p>
    {#if done === 'emptied'}<p role="status">It is empty.</p>{/if}
    <details class="unfold">
      <summary>Empty it</summary>
      <form method="POST" action="?/empty" class="stack" use:enhance novalidate>
        <Field
          name="name"
          label="The household’s name"
          helper="To say that you mean it"
          value={typed('name')}
          error={wrong('name')}
        />
        <div><Button type="submit" kind="danger-tertiary">Take all of it away</Button></div>
      </form>
    </details>
  </section>
</div>

<style>
  .lead {
    margin: 0.4rem 0 1rem;
  }
  .columns {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2.5rem 3rem;
    align-items: start;
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
  @media (max-width: 47.99rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
