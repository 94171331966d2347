<script lang="ts">
  import { cropName, cropList } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { sheetOf } from '$core/steps/sheet.ts';
  import { walk } from '$core/steps/walk.ts';
  import { roundAt } from '$core/time/rhythm.ts';
  import BenchTabs from '$ui/bench/BenchTabs.svelte';
  import SheetSection from '$ui/bench/SheetSection.svelte';
  import PlannedLater from '$ui/round/PlannedLater.svelte';
  import { factsNow, projectAll } from '$ui/state/projecting.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import { dayAndTime, shortDate } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  /** The household's time, as last told. */
  const now = $derived(journal.patches.now(data.now));
  const locale = $derived(data.household);
  const facts = $derived(factsNow(data, journal));
  const projected = $derived(projectAll(data.records, facts, data, journal));
  const sheet = $derived(sheetOf(projected, facts.rhythm, now));
  const onSheet = $derived(new Set(sheet.sowings.map(({ setup }) => setup.id)));
  /** Of its steps the one to do next. */
  const current = $derived(
    sheet.sections.find(({ lines }) => lines.some(({ done, passed }) => !done && !passed))?.key
  );
  const later = $derived(
    walk(projected, roundAt(facts.rhythm, now), now).later.filter(({ setup }) => !onSheet.has(setup.id))
  );
</script>

<svelte:head><title>{t('bench.benchBrote')}</title></svelte:head>

<BenchTabs />
<header class="page-head">
  <div>
    <h1>{t('bench.preparing')}</h1>
    <p class="soft">
      {shortDate(now, locale)} · {sheet.sowings.length === 0
        ? t('bench.nothingPrepare')
        : cropList(sheet.sowings.map(({ crop }) => crop.name))}
    </p>
  </div>
  <div class="row acts">
    {#if sheet.sowings.length > 0}
      <Button kind="tertiary" disabled={!page.hydrated} on:click={() => window.print()}
        >{t('bench.print')}</Button
      >
    {/if}
    <Button href="/sow">{t('bench.newSowing')}</Button>
  </div>
</header>

{#if sheet.sowings.length === 0}
  <section class="card stack empty">
    <h2>{t('bench.benchClear')}</h2>
    <p>
      {t('bench.sowingsStartWithinDayHalf')}
    </p>
    <div><Button href="/sow">{t('bench.planSowing')}</Button></div>
  </section>
{:else}
  <ul class="starts small">
    {#each sheet.sowings as { setup, crop, soak, state, place } (setup.id)}
      <li>
        <strong>{cropName(crop.name)}</strong>
        {#if state.sownAt !== null}{t('bench.sown')}{:else if state.soakedAt !== null}{t(
            'bench.sowDayandtime',
            { dayAndTime: dayAndTime(soak.sowAt, now, locale) }
          )}{:else if soak.soakStart !== null}{t('bench.soakDayandtimeSowDayandtime', {
            dayAndTime: dayAndTime(soak.soakStart, now, locale),
            dayAndTime2: dayAndTime(soak.sowAt, now, locale)
          })}{:else}{t('bench.sowDayandtime', { dayAndTime: dayAndTime(soak.sowAt, now, locale) })}{/if}
        <span class="soft">· {place.name}</span>
      </li>
    {/each}
  </ul>
  {#each sheet.sections as section, index (section.key)}
    <SheetSection
      {section}
      number={index + 1}
      solutions={sheet.solutions}
      mediumMl={sheet.mediumMl}
      lots={data.lots}
      media={data.household.media}
      {now}
      {locale}
      current={section.key === current}
    />
  {/each}
{/if}
<PlannedLater {later} {now} {locale} />

<style>
  .starts {
    list-style: none;
    margin: 0 0 1rem;
    padding: 0;
    display: grid;
    gap: 0.15rem;
  }
  .empty {
    max-width: 34rem;
  }
  @media print {
    .acts {
      display: none;
    }
    .starts {
      margin: 0 0 0.25rem;
    }
  }
</style>
