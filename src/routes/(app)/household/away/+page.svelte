<script lang="ts">
  import { t } from '$messages/t.ts';
  import { enhance, reload } from '$ui/state/reload.ts';
  import { Button } from 'carbon-components-svelte';
  import Outlook from '$ui/away/Outlook.svelte';
  import Sitters from '$ui/away/Sitters.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import { shortDate } from '$words/time.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import { Temporal } from 'temporal-polyfill';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);
  const house = $derived(data.household);
  const sitter = $derived(form && 'sitter' in form ? (form.sitter ?? null) : null);
  /** A day in words, whatever zone whoever reads is in. */
  const dayOf = (day: string) => shortDate(zoneOf(house.zone).at(Temporal.PlainDate.from(day), 720), house);
  const next = $derived(data.preview ?? data.marked[0] ?? null);
</script>

<svelte:head><title>{t('household.daysAwayBrote')}</title></svelte:head>

<HouseholdTabs />
<h1>{t('household.daysAway')}</h1>
<p class="lead soft">
  {t('household.markDaysOnWhichNobody')}
</p>
<form class="days" method="GET">
  <Field
    name="from"
    type="date"
    label={t('household.firstDayAway')}
    value={data.asked.from || data.preview?.fromDay || ''}
    error={data.wrong.fromDay}
  />
  <Field
    name="until"
    type="date"
    label={t('household.lastDayAway')}
    value={data.asked.until || data.preview?.untilDay || ''}
    error={data.wrong.untilDay}
  />
  <Button type="submit" kind="tertiary">{t('household.seeWhatMeans')}</Button>
</form>

<div class="columns">
  <div>
    {#if data.preview}
      <section aria-labelledby="preview-title">
        <h2 id="preview-title">
          {t('household.dayDay', { day: dayOf(data.preview.fromDay), day2: dayOf(data.preview.untilDay) })}
        </h2>
        <form method="POST" action="?/mark" use:enhance class="row">
          <input type="hidden" name="fromDay" value={data.preview.fromDay} />
          <input type="hidden" name="untilDay" value={data.preview.untilDay} />
          <Button type="submit">{t('household.markTheseDays')}</Button>
          <span class="soft small">{t('household.broteRemindsYouEveningBefore')}</span>
        </form>
        <Outlook
          outlook={data.preview}
          media={data.media}
          now={data.now}
          locale={house}
          onchanged={() => void reload()}
        />
      </section>
    {/if}
    {#each data.marked as outlook (outlook.fromDay)}
      {#if outlook.fromDay !== data.preview?.fromDay || outlook.untilDay !== data.preview?.untilDay}
        <section aria-labelledby="away-{outlook.fromDay}">
          <div class="head">
            <h2 id="away-{outlook.fromDay}">
              {t('household.awayDayDay', { day: dayOf(outlook.fromDay), day2: dayOf(outlook.untilDay) })}
            </h2>
            <form method="POST" action="?/unmark" use:enhance>
              <input type="hidden" name="fromDay" value={outlook.fromDay} />
              <Button type="submit" kind="ghost" class="undo">{t('household.notAwayAfterAll')}</Button>
            </form>
          </div>
          <Outlook
            {outlook}
            media={data.media}
            now={data.now}
            locale={house}
            onchanged={() => void reload()}
          />
        </section>
      {/if}
    {:else}
      {#if !data.preview}<p class="soft">{t('household.noDaysMarked')}</p>{/if}
    {/each}
  </div>
  <Sitters
    sitters={data.sitters}
    shown={sitter}
    newId={data.newId}
    fromDay={typed('fromDay', next?.fromDay ?? data.today)}
    untilDay={typed('untilDay', next?.untilDay ?? '')}
    name={typed('name')}
    {wrong}
    locale={house}
  />
</div>

<style>
  .lead {
    max-width: 44rem;
    margin: 0.25rem 0 1rem;
  }
  .days {
    display: grid;
    grid-template-columns: 12rem 12rem auto;
    gap: 1rem;
    align-items: start;
    justify-content: start;
  }
  .days :global(.bx--btn) {
    margin-top: 1.5rem;
  }
  .columns {
    --first: 1.5fr;
    margin-top: 1.75rem;
  }
  section + section {
    margin-top: 2rem;
  }
  .head {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    align-items: center;
  }
  @media (max-width: 47.99rem) {
    .days {
      grid-template-columns: minmax(0, 1fr);
    }
    .days :global(.bx--btn) {
      margin-top: 0;
    }
  }
</style>
