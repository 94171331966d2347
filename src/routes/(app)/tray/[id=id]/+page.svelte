<script lang="ts">
  import { methodName } from '$words/methods.ts';
  import { cropName } from '$words/cropNames.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { percent } from '$words/percent.ts';
  import { Button, Select, SelectItem, TextArea } from 'carbon-components-svelte';
  import { tooWarm } from '$core/places/air/warmth.ts';
  import type { Place } from '$core/places/place.ts';
  import { isTooDark } from '$core/shelf/board.ts';
  import { LOSS_REASONS, type LossReason } from '$core/sowing/event.ts';
  import { cleaningOf } from '$core/cleaning/cleaning.ts';
  import { standingOf } from '$core/sowing/standing.ts';
  import { cutG } from '$core/sowing/totals.ts';
  import WashUp from '$ui/cleaning/WashUp.svelte';
  import CostFigure from '$ui/costs/CostFigure.svelte';
  import Story from '$ui/notebook/Story.svelte';
  import { costOf } from '$core/costs/cost.ts';
  import { bandsOf } from '$core/picture/bands.ts';
  import { pictureOf } from '$core/picture/picture.ts';
  import { stopOf } from '$core/steps/walk.ts';
  import { project } from '$core/sowing/project.ts';
  import { roundAt } from '$core/time/rhythm.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import { area, length, mass } from '$core/units/format.ts';
  import { waterAt } from '$core/water/level.ts';
  import BandChart from '$ui/bands/BandChart.svelte';
  import Figure from '$ui/fields/Figure.svelte';
  import Stop from '$ui/round/Stop.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import AimDay from '$ui/plan/AimDay.svelte';
  import ClockChart from '$ui/charts/ClockChart.svelte';
  import NarrowingChart from '$ui/charts/NarrowingChart.svelte';
  import WaterChart from '$ui/charts/WaterChart.svelte';
  import { narrowing } from '$core/sowing/narrowing.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import { stepsOf } from '$core/steps/compile.ts';
  import { isCuttable } from '$core/steps/cut.ts';
  import { cardWords } from '$words/steps/steps.ts';
  import { containersWords } from '$words/containers.ts';
  import StepList from '$ui/protocol/StepList.svelte';
  import { readLog } from '$core/sowing/record.ts';
  import { eventsNow, factsNow, projectAll } from '$ui/state/projecting.ts';
  import { moveContainer } from '$ui/shelf/moveContainer.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import SowAgain from '$ui/tray/SowAgain.svelte';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { pictureWords } from '$words/pictureWords.ts';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import { eventWords, LOSS_WORDS } from '$words/events.ts';
  import { clockTime, shortDate } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  /** The household's time, as last told. */
  const now = $derived(journal.patches.now(data.now));

  const locale = $derived(data.household);
  const facts = $derived(factsNow(data, journal));
  const projected = $derived(projectAll([data.record], facts, data, journal)[0]!);
  /** As it was expected on the day it was sown: without any look, move or early step. */
  const expected = $derived(
    projected.state.sownAt === null
      ? null
      : project(
          facts,
          projected.setup,
          readLog(data.record).filter(
            ({ body }) => body.type === 'soaked' || body.type === 'drained' || body.type === 'sown'
          )
        )
  );
  const { crop, setup, state: sowing } = $derived(projected);
  const round = $derived(roundAt(facts.rhythm, now));
  /** The other half of its container, where it is one of two. */
  const half = $derived(data.beside ? projectAll([data.beside], facts, data, journal) : []);
  const beside = $derived(half.filter(({ state }) => state.stage !== 'ended'));
  const stop = $derived(stopOf(standingOf([projected, ...beside])[0]!, round, now));
  const on = $derived({
    now,
    locale,
    containers: setup.count,
    medium: { kind: setup.medium, own: data.household.media.find(({ id }) => id === setup.mediumId) ?? null }
  });
  const picture = $derived(pictureOf(projected, now));
  const level = $derived(waterAt(projected, now));
  const gaveG = $derived(cutG(sowing));
  const lastedD = $derived(
    zoneOf(locale.zone).daysBetween(projected.startAt, sowing.endedAt ?? projected.startAt)
  );
  const washUp = $derived(standingOf([projected, ...half]).flatMap((standing) => cleaningOf(standing) ?? []));
  const placeName = (id: string): string =>
    data.household.places.find((place) => place.id === id)?.name ?? t('tray.place');

  const events = $derived(eventsNow(data.record, data, journal));
  const steps = $derived(narrowing(facts, setup, events));
  const stepWords = ({ event }: (typeof steps)[number]): string =>
    eventWords(event.body, projected, locale, placeName);
  /** What this round says of its water. */
  const decision = $derived.by(() => {
    const step = stop.steps.find(({ body }) => body.kind === 'water');
    if (step) {
      const { title } = cardWords(step, on);
      return t('tray.roundCharatSlice', { title });
    }
    return sowing.stage === 'ended'
      ? ''
      : t('tray.roundNoWaterShareLeft', { share: Math.round(level.share * 100) });
  });
  const placeWords = (place: Place): string =>
    tooWarm(crop, place)
      ? t('tray.nameTooWarm', { name: place.name })
      : place.id !== projected.place.id && isTooDark([projected, ...beside], place)
        ? t('tray.nameNoLightThereWhich', { name: place.name })
        : place.name;
  let working = $state(false);
  let note = $state('');
  let reason = $state<LossReason>('mould');

  async function addNote() {
    const text = note.trim();
    if (text === '') return;
    const result = await journal.record(setup.id, { type: 'noted', text }, t('tray.noteWritten'));
    if (result.kind !== 'refused') note = '';
  }
  async function move(placeId: string) {
    const place = data.household.places.find(({ id }) => id === placeId);
    if (place && placeId !== projected.place.id) await moveContainer(journal, [projected, ...beside], place);
  }

  /** Lines of the log that are shown at once. */
  const NEWEST = 3;
  /** All that happened, the newest first. */
  const log = $derived([...sowing.log].reverse());
</script>

<svelte:head><title>{cropName(crop.name)} · Brote</title></svelte:head>

<p class="small">
  <a href={sowing.stage === 'ended' ? '/notebook' : '/round'}
    >← {sowing.stage === 'ended' ? t('tray.notebook') : t('tray.round')}</a
  >
</p>
<header class="head page-head">
  <div>
    <h1>{cropName(crop.name)}</h1>
    <p class="soft">
      {containersWords(setup)}{setup.half ? ` · ${t('tray.half')}` : ''} · {MEDIUM_WORDS[setup.medium]} · {projected
        .place.name} · {methodName(projected.method)}
      {#if sowing.sownAt !== null}
        · {t('tray.sownShortdate', { shortDate: shortDate(sowing.sownAt, locale) })}{/if}
    </p>
  </div>
  {#if sowing.sownAt !== null}<SowAgain sowingId={setup.id} />{/if}
</header>

{#if sowing.stage === 'ended' && data.since}
  <p class="card" role="status">
    <Rich parts={rich('tray.reusedSince', { container: containersWords(data.since) })}
      >{#snippet link(text: string)}<a href="/tray/{data.since!.id}">{text}</a>{/snippet}</Rich
    >
  </p>
{/if}
{#if sowing.stage === 'ended'}
  <section class="ended">
    <div class="drawing">
      <TrayDrawing {picture} label={pictureWords(cropName(crop.name), picture, locale.units)} />
    </div>
    <div>
      {#if sowing.lost !== null}
        <p>
          <strong
            >{t('tray.givenUpOnDayMax', {
              max: Math.max(0, lastedD),
              lost: LOSS_WORDS[sowing.lost]
            })}</strong
          >
        </p>
        {#if sowing.lost === 'mould'}<Caution>{CAUTIONS.mould}</Caution>{/if}
      {:else}
        <p>
          {t('tray.massCutLasteddDaysGrowth', {
            mass: mass(gaveG, locale.units),
            lastedD,
            when: sowing.growth > 0 ? 'yes' : 'no',
            growth: sowing.growth > 0 ? sowing.growth + 1 : ''
          })}
        </p>
      {/if}
      <p class="row">
        <a class="chip" href="/notebook?crop={crop.key}">{t('tray.setBesideS')}</a>
        <a class="chip" href="/tray/{setup.id}/story.json" download>{t('tray.storyAsJson')}</a>
      </p>
    </div>
  </section>
  {#if washUp.length > 0 && data.record.cleaning !== false}
    <section class="block">
      <h2>{t('tray.container')}</h2>
      <WashUp toClean={washUp} {locale} />
    </section>
  {/if}
  <Story
    {projected}
    expected={expected ?? projected}
    prices={data.prices}
    yields={data.household.yields}
    {now}
    {locale}
  />
{:else}
  <Stop
    {stop}
    {round}
    {now}
    {locale}
    members={data.household.members}
    {placeName}
    places={data.household.places}
    alone
  />
  {#if isCuttable(projected, now)}
    <p class="cut"><Button href="/tray/{setup.id}/harvest" kind="tertiary">{t('tray.cutWeigh')}</Button></p>
  {/if}
{/if}

<section class="block">
  <h2>{t('tray.howGoes')}</h2>
  <BandChart
    id="tray"
    now={sowing.endedAt ?? now}
    {locale}
    rows={expected
      ? [
          { name: t('tray.expected'), bands: bandsOf(expected) },
          { name: t('tray.tray'), bands: bandsOf(projected) }
        ]
      : [{ name: t('tray.expected'), bands: bandsOf(projected) }]}
  />
  {#if sowing.stage !== 'ended'}
    <details class="unfold">
      <summary>{t('sow.everyStepWithAmountDay')}</summary>
      <StepList steps={stepsOf(projected)} {on} />
    </details>
  {/if}
  {#if sowing.sownAt !== null}
    <details class="unfold" bind:open={working}>
      <summary>{t('tray.howWasWorkedOutLooks')}</summary>
      {#if working}
        <div class="charts">
          {#if steps.length > 0}
            <div><NarrowingChart {steps} said={stepWords} now={sowing.endedAt ?? now} {locale} /></div>
          {/if}
          <ClockChart {projected} now={sowing.endedAt ?? now} {locale} />
          <WaterChart {projected} now={sowing.endedAt ?? now} {locale} {decision} />
        </div>
      {/if}
    </details>
  {/if}
  {#if sowing.sownAt !== null && sowing.stage !== 'ended'}
    <details class="unfold">
      <summary>{t('tray.whatCostSoFar')}</summary>
      <CostFigure
        cost={costOf(projected, data.prices, now)}
        cutG={gaveG}
        currency={data.prices.currency}
        units={locale.units}
        underWay
      />
    </details>
    <details class="unfold">
      <summary>{t('tray.aimDay')}</summary>
      <AimDay
        {crop}
        {facts}
        {setup}
        {events}
        likelyAt={projected.forecast.marks.windowBest.p50}
        {now}
        {locale}
        onmove={(place) => void move(place.id)}
      />
    </details>
  {/if}
</section>

<div class="columns">
  <section class="block">
    <h2>{t('tray.log')}</h2>
    {#snippet line({ event, undone, repeat }: (typeof log)[number])}
      <li class:undone>
        <span class="soft small when">{shortDate(event.at, locale)} {clockTime(event.at, locale)}</span>
        <span
          >{eventWords(event.body, projected, locale, placeName)}<span class="soft small"
            >{event.by && data.household.members[event.by]
              ? ` · ${data.household.members[event.by]}`
              : ''}{undone ? ` · ${t('tray.takenBack')}` : repeat ? ` · ${t('tray.doneBefore')}` : ''}</span
          ></span
        >
        {#if !undone}<Button kind="ghost" class="undo" on:click={() => journal.undo(setup.id, event.id)}
            >{t('tray.undo')}<span class="visually-hidden">
              {eventWords(event.body, projected, locale, placeName)}</span
            ></Button
          >{/if}
      </li>
    {/snippet}
    <ol class="log">
      {#each log.slice(0, NEWEST) as one (one.event.id)}
        {@render line(one)}
      {:else}
        <li class="soft">{t('tray.nothingHasHappenedYet')}</li>
      {/each}
    </ol>
    {#if log.length > NEWEST}
      <details class="unfold">
        <summary>{t('tray.earlierLines', { lines: log.length - NEWEST })}</summary>
        <ol class="log">
          {#each log.slice(NEWEST) as one (one.event.id)}{@render line(one)}{/each}
        </ol>
      </details>
    {/if}
  </section>

  <section class="block stack">
    <h2>{t('tray.note')}</h2>
    <TextArea labelText={t('tray.whatYouSee')} bind:value={note} rows={3} maxlength={2000} />
    <div>
      <Button kind="tertiary" on:click={addNote} disabled={note.trim() === ''}>{t('tray.writeDown')}</Button>
    </div>
    {#if sowing.stage !== 'ended'}
      {#if sowing.sownAt !== null}
        <Figure
          label={t('tray.waterMedium')}
          value={percent(level.share)}
          beside={mass(level.g, locale.units)}
        >
          {#snippet working()}{t('tray.holdsMassPlantsCanUse', {
              mass: mass(level.capacityG, locale.units),
              area: area(projected.areaCm2, locale.units),
              depth: length(projected.mediumDepthCm, locale.units)
            })}{/snippet}
        </Figure>
      {/if}
      <Select
        labelText={t('tray.whereStands')}
        selected={projected.place.id}
        on:change={(event) => move((event.target as HTMLSelectElement).value)}
      >
        {#each data.household.places as place (place.id)}<SelectItem
            value={place.id}
            text={placeWords(place)}
          />{/each}
      </Select>
      {#if projected.carriedTo}
        <p class="small soft">{t('tray.atFirstLightGoesName', { name: projected.carriedTo.name })}</p>
      {/if}
      <details class="give-up">
        <summary>{t('tray.giveTrayUp')}</summary>
        <div class="stack">
          <Select labelText={t('tray.why')} bind:selected={reason}>
            {#each LOSS_REASONS as one (one)}<SelectItem value={one} text={LOSS_WORDS[one]} />{/each}
          </Select>
          {#if reason === 'mould'}<Caution>{CAUTIONS.mould}</Caution>{/if}
          <div>
            <Button
              kind="danger-tertiary"
              on:click={() =>
                journal.record(
                  setup.id,
                  { type: 'ended', reason },
                  t('tray.nameGivenUp', { name: cropName(crop.name) })
                )}>{t('tray.giveUp')}</Button
            >
          </div>
        </div>
      </details>
    {/if}
  </section>
</div>

<style>
  .head {
    margin: 0.25rem 0 0.75rem;
  }
  .cut {
    margin-top: 1rem;
  }
  .block {
    margin-top: 2rem;
    align-content: start;
  }
  .block h2 {
    margin-bottom: 0.6rem;
  }
  .charts {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 24rem), 1fr));
    gap: 2rem 2.5rem;
    margin-top: 0.75rem;
  }
  .columns {
    --first: 1.3fr;
    row-gap: 0;
  }
  .ended {
    display: grid;
    grid-template-columns: minmax(12rem, 19rem) 1fr;
    gap: 2rem;
    align-items: end;
  }
  .log {
    list-style: none;
    padding: 0;
    margin: 0;
  }
  .log li {
    display: grid;
    grid-template-columns: 8.5rem 1fr auto;
    gap: 0.75rem;
    align-items: baseline;
    padding: 0.2rem 0;
    border-bottom: 1px solid color-mix(in srgb, var(--ink-faint) 50%, transparent);
  }
  .log .undone {
    text-decoration: line-through;
    opacity: 0.7;
  }
  .give-up summary {
    cursor: pointer;
    min-height: 2.75rem;
    display: flex;
    align-items: center;
  }
  @media (max-width: 47.99rem) {
    .ended {
      grid-template-columns: minmax(0, 1fr);
    }
    .log li {
      grid-template-columns: 1fr auto;
    }
    .log .when {
      grid-column: 1 / -1;
    }
  }
</style>
