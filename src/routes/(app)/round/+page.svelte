<script lang="ts">
  import { untrack } from 'svelte';
  import { cropList } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { reload } from '$ui/state/reload.ts';
  import { beginsAt } from '$core/sowing/soak.ts';
  import { Button } from 'carbon-components-svelte';
  import { sureWaterings, walk } from '$core/steps/walk.ts';
  import { roundAt } from '$core/time/rhythm.ts';
  import { cutOf, inColumns } from '$ui/round/columns.ts';
  import Stop from '$ui/round/Stop.svelte';
  import { isUnheardOf } from '$core/steps/catchUp.ts';
  import { bodyOfWalk } from '$core/reminders/rounds.ts';
  import { unheardSince } from '$core/reminders/silence.ts';
  import CatchUp from '$ui/round/CatchUp.svelte';
  import WaterAll from '$ui/round/WaterAll.svelte';
  import OnOrder from '$ui/round/OnOrder.svelte';
  import Turn from '$ui/round/Turn.svelte';
  import WashUp from '$ui/cleaning/WashUp.svelte';
  import { eventsNow, factsNow, projectAll } from '$ui/state/projecting.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { needWords } from '$words/reminders.ts';
  import { saidBefore } from '$words/steps/saidOnce.ts';
  import { dayAndTime, roundName, shortDate } from '$words/time.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import Outline from '$ui/round/Outline.svelte';
  import PlannedLater from '$ui/round/PlannedLater.svelte';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  /** The household's time, as last told. */
  const now = $derived(journal.patches.now(data.now));

  const locale = $derived(data.household);
  const facts = $derived(factsNow(data, journal));
  const round = $derived(roundAt(facts.rhythm, now));
  const underWay = $derived(data.records.filter(({ emptied }) => !emptied));
  const projected = $derived(projectAll(data.records, facts, data, journal));
  const today = $derived(walk(projected, round, now));
  /** Since when nobody has said anything, where that is days ago: then it is asked what is true, tray by tray. */
  const since = $derived(
    unheardSince(
      projected.filter(({ state }) => state.stage !== 'ended'),
      facts.rhythm,
      data.heard,
      now
    )
  );
  const lastHeard = (id: string): number => {
    const record = data.records.find(({ setup }) => setup.id === id);
    if (!record) return 0;
    return Math.max(record.plannedAt ?? 0, ...eventsNow(record, data, journal).map(({ at }) => at));
  };
  const isUnheard = (stop: (typeof today.stops)[number]): boolean =>
    since !== null &&
    stop.parts.some(({ projected: one }) => isUnheardOf(one, lastHeard(one.setup.id), since, now));
  const unheard = $derived(
    new Set(
      today.stops.filter(isUnheard).flatMap(({ parts }) => parts.map(({ projected: one }) => one.setup.id))
    )
  );
  const heardOf = (list: typeof projected) => list.filter(({ setup }) => !unheard.has(setup.id));
  const open = $derived(heardOf(today.windowsOpen));
  const opening = $derived(heardOf(today.opening));
  const toPrepare = $derived(heardOf(today.toPrepare));
  /** Trays that ask for something, of those that are heard of: counted as a reminder of this round counts them. */
  const asking = $derived(
    bodyOfWalk({ ...today, stops: today.stops.filter((stop) => !isUnheard(stop)) })?.stops.length ?? 0
  );
  const prepareFrom = $derived(Math.min(...toPrepare.map(({ soak }) => beginsAt(soak))));
  const placeName = (id: string): string =>
    data.household.places.find((place) => place.id === id)?.name ?? t('round.place');
  const names = (list: typeof projected): string => cropList(list.map(({ crop }) => crop.name));
  /** Stops by where they stand now: a tray that was moved is met at its new place. */
  const shelves = $derived(
    data.household.places
      .map((place) => ({
        place,
        stops: today.stops.filter(({ parts }) => parts[0]!.projected.place.id === place.id)
      }))
      .filter(({ stops }) => stops.length > 0)
  );
  /** The waterings of a whole place, even where its trays are split between the two columns. */
  const wateringsAt = (placeId: string) =>
    sureWaterings(
      shelves.find(({ place }) => place.id === placeId)!.stops.filter((stop) => !isUnheard(stop))
    );
  const stopKeys = $derived(shelves.flatMap(({ stops }) => stops.map(({ key }) => key)).join(' '));
  /** Computed again only when a tray comes or goes, so that a tick never moves a tray to the other column. */
  const cut = $derived.by(() => {
    void stopKeys;
    return untrack(() => cutOf(shelves, today.washUp.length > 0 ? 8 : 0));
  });
  const columns = $derived(inColumns(shelves, cut));
  /** A caution, and how something is done, are said once in a round: at the first step that needs them. */
  const said = $derived(
    saidBefore(
      shelves.flatMap(({ stops }) => stops.filter((stop) => !isUnheard(stop)).flatMap(({ steps }) => steps))
    )
  );
</script>

<!-- The server sends the facts and an outline; the browser, which must follow every tray anyway to answer
     a touch at once, works out what they ask for. -->
<svelte:head
  ><title>{t('round.askingRoundBrote', { when: page.hydrated && asking > 0 ? 'yes' : 'no', asking })}</title
  ></svelte:head
>

<header class="page-head">
  <div>
    <h1>{roundName(round.at, locale)}</h1>
    <p class="soft">
      {shortDate(now, locale)} · {!page.hydrated
        ? t('round.underwayUnderWay', { underWay: underWay.length })
        : asking === 0
          ? unheard.size > 0
            ? t('round.sayHowYourTraysStand')
            : today.washUp.length > 0
              ? t('round.onlyWashingUpLeft')
              : t('round.nothingLeftDo')
          : needWords(asking)}
    </p>
  </div>
  <div class="row">
    {#if underWay.length > 0}
      <Turn
        people={data.people}
        me={data.member.id}
        turn={data.turn.round === round.key ? data.turn.memberId : null}
        onchanged={() => void reload()}
      />
    {/if}
    {#if data.unseen > 0}<a class="bx--btn bx--btn--ghost" href="/reminders"
        >{t('round.reminderReminders', { unseen: data.unseen })}</a
      >{/if}
    <a class="bx--btn bx--btn--primary" href="/sow">{t('round.newSowing')}</a>
  </div>
</header>

{#if underWay.length === 0 && (!page.hydrated || today.washUp.length === 0)}
  <section class="empty card stack">
    <h2>{t('round.noTrayUnderWay')}</h2>
    <p>{t('round.chooseCropContainerBroteSays')}</p>
    <div><Button href="/sow">{t('round.beginFirstSowing')}</Button></div>
  </section>
  {#if data.hasOrders}<OnOrder />{/if}
{:else if !page.hydrated}
  <Outline {now} records={underWay} places={data.household.places} ownCrops={data.household.ownCrops} />
{:else}
  {#if unheard.size > 0}
    <p class="card" role="status">
      {t('round.nothingWasRecordedDaysSo')}
    </p>
  {/if}
  {#if open.length + opening.length + toPrepare.length > 0}<ul class="above small">
      {#if open.length > 0}<li>
          <span class="soft">{t('round.openNow')}</span> <strong>{names(open)}</strong>
        </li>{/if}
      {#if opening.length > 0}<li>
          <span class="soft">{t('round.openingByTomorrow')}</span> <strong>{names(opening)}</strong>
        </li>{/if}
      {#if toPrepare.length > 0}<li>
          <span class="soft"
            >{t('round.onBenchFromDayandtime', { dayAndTime: dayAndTime(prepareFrom, now, locale) })}</span
          >
          <a href="/bench"><strong>{names(toPrepare)}</strong></a>
        </li>{/if}
    </ul>{/if}
  {#if data.hasOrders}<OnOrder />{/if}
  <div class="shelves">
    {#each columns as groups, column (column)}
      <div>
        {#each groups as { place, stops, continued } (place.id)}
          {@const waterings = continued ? [] : wateringsAt(place.id)}
          <section
            class="shelf"
            class:continued
            data-place={place.id}
            aria-label={continued ? t('round.placeContinued', { place: place.name }) : place.name}
          >
            <div class="heading">
              <h2>{continued ? t('round.placeContinued', { place: place.name }) : place.name}</h2>
              {#if waterings.length > 1}<WaterAll steps={waterings} {place} />{/if}
            </div>
            {#each stops as stop (stop.key)}
              {#if since !== null && isUnheard(stop)}
                <CatchUp {stop} {since} {now} {locale} />
              {:else}
                <Stop
                  {stop}
                  {round}
                  {now}
                  {locale}
                  {said}
                  members={data.household.members}
                  {placeName}
                  places={data.household.places}
                />
              {/if}
            {/each}
          </section>
        {/each}
        {#if column === 1 && today.washUp.length > 0}
          <section class="shelf" aria-labelledby="wash-up">
            <div class="heading"><h2 id="wash-up">{t('round.atSink')}</h2></div>
            <WashUp toClean={today.washUp} {locale} />
          </section>
        {/if}
      </div>
    {/each}
  </div>
  <PlannedLater later={today.later} {now} {locale} />
{/if}

<style>
  .above {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.5rem;
    list-style: none;
    margin: 0.4rem 0 0;
    padding: 0.4rem 0;
    border-block: 1.5px solid var(--ink-faint);
  }
  /* Two columns in walking order, the first half of the walk and the second. */
  .shelves {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    column-gap: 2.5rem;
    align-items: start;
  }
  .shelf {
    margin-top: 0.6rem;
  }
  .heading {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    border-bottom: 1.5px solid var(--ink-faint);
  }
  .shelf h2 {
    padding-bottom: 0.1rem;
    font-size: 1rem;
    font-weight: 600;
    color: var(--ink-soft);
  }
  .heading:has(#wash-up) {
    margin-bottom: 0.4rem;
  }
  @media (max-width: 60rem) {
    .shelves {
      grid-template-columns: minmax(0, 1fr);
    }
    /* The columns stand one under the other: its heading is above. */
    .continued .heading {
      display: none;
    }
    .shelf :global(.stop + .stop) {
      border-top: 1.5px solid var(--ink-faint);
    }
  }
  @media (max-width: 47.99rem) {
    .shelf h2 {
      padding: 0;
    }
    .heading {
      border: 0;
    }
    /* What is to be done begins as high as it can. */
    .page-head {
      align-items: start;
    }
    .page-head > .row {
      flex-flow: column-reverse nowrap;
      align-items: end;
      max-width: 100%;
      margin-inline-start: auto;
      gap: 0;
      font-size: 0.875rem;
    }
    .page-head .bx--btn--ghost {
      padding-inline: 0;
      min-height: 2.25rem;
    }
    .page-head {
      gap: 0.5rem;
    }
    /* Sow is at the thumb already. */
    .page-head .bx--btn--primary {
      display: none;
    }
    .above {
      display: block;
      line-height: 1.3;
    }
    .above li {
      display: inline;
      margin-inline-end: 0.75rem;
    }
    h1 {
      font-size: 1.3rem;
    }
    .shelf h2 {
      font-size: 0.9375rem;
    }
  }
  .empty {
    margin-top: 2rem;
    max-width: 34rem;
  }
</style>
