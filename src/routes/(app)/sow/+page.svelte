<script lang="ts">
  import { t } from '$messages/t.ts';
  import { reload } from '$ui/state/reload.ts';
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { onMount, untrack } from 'svelte';
  import { v4 as newId } from 'uuid';
  import type { Place } from '$core/places/place.ts';
  import type { Appetite } from '$core/ahead/appetite.ts';
  import type { SpreadPart } from '$core/ahead/glut.ts';
  import { goto } from '$app/navigation';
  import type { Crop } from '$core/crops/crop.ts';
  import { DAY } from '$core/time/zone.ts';
  import { findCrop, withOwnCrops } from '$core/crops/library.ts';
  import { MOST_PARTS } from '$core/crops/blend.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import ContainerFields from '$ui/sow/ContainerFields.svelte';
  import AppetiteNote from '$ui/sow/AppetiteNote.svelte';
  import GlutNote from '$ui/sow/GlutNote.svelte';
  import CropParts from '$ui/sow/CropParts.svelte';
  import MixFit from '$ui/sow/MixFit.svelte';
  import MoreChoices from '$ui/sow/MoreChoices.svelte';
  import PlaceField from '$ui/sow/PlaceField.svelte';
  import Elsewhere from '$ui/sow/Elsewhere.svelte';
  import PlanBar from '$ui/sow/PlanBar.svelte';
  import PlanResult from '$ui/sow/PlanResult.svelte';
  import RoomNote from '$ui/sow/RoomNote.svelte';
  import { firstStep } from '$words/firstStep.ts';
  import { cropNames } from '$words/containers.ts';
  import { seedMass, seedDensity } from '$core/units/format.ts';
  import { typedDensity, workOut, type Draft } from '$ui/sow/draft.ts';
  import { firstDraft } from '$ui/sow/firstDraft.ts';
  import { dropDraft, saveDraft, readDraft } from '$ui/sow/savedDraft.ts';
  import { newIds, sowBody, spreadBodies } from '$ui/sow/sowBody.ts';
  import { factsOf } from '$core/sowing/household.ts';
  import { plannedFit } from '$core/sowing/plannedFit.ts';
  import { post } from '$ui/state/ask.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import { answerWords, methodName, QUESTION_WORDS } from '$words/methods.ts';
  import { QUESTIONS, type Question } from '$core/supplies/methods/method.ts';
  import { dayAndTime, isoDay } from '$words/time.ts';
  import type { ApiProblem } from '$contract/api.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  /** What was said on this page of how much is eaten. */
  let saidAppetite = $state.raw<Appetite | null>(null);
  const appetite = $derived(saidAppetite ?? data.appetite);
  const journal = useJournal();
  const locale = $derived(data.household);
  const crops = $derived(withOwnCrops(data.household.ownCrops));

  let draft = $state<Draft>(untrack(() => firstDraft(data)));
  const ids = newIds();
  /** When what stands here was begun, where it was begun before and left. */
  let begunAt = $state<number | null>(null);
  let told = $state<Record<string, string>>({});
  let tried = $state(false);
  let sending = $state(false);
  let failed = $state('');

  const worked = $derived(workOut(draft, data));
  /** Whether what shares a container suits it; null for one crop, or where one of them has no window. */
  const fit = $derived(
    worked.choice && worked.choice.parts.length > 1
      ? plannedFit(worked.choice, { ...factsOf(data.household), now: data.now })
      : null
  );
  /** Where it is carried to light, of what is to sprout in the dark. */
  const carriedTo = $derived(worked.sowings[0]?.projected.carriedTo ?? null);
  let comparing = $state(false);
  const elsewhere = $derived(
    data.household.places
      .filter(({ id, light }) => (draft.newPlace !== null || id !== draft.placeId) && light.kind !== 'dark')
      .flatMap((place) => {
        const [sowing] = workOut({ ...draft, newPlace: null, placeId: place.id }, data).sowings;
        return sowing ? [{ place, sowing }] : [];
      })
  );
  /** Days until a crop may be cut, sown now as the form says of all else; null where it would not grow. */
  function daysHere({ key }: Crop): number | null {
    const [sowing] = workOut(
      { ...draft, kind: 'one', parts: [{ cropKey: key, lotId: '', share: '1' }], when: 'now' },
      data
    ).sowings;
    if (!sowing || sowing.projected.suit.hindered) return null;
    return Math.round((sowing.plan.forecast.marks.windowOpen.p50 - data.now) / DAY);
  }
  const chosen = $derived(
    draft.parts
      .flatMap(({ cropKey }) => findCrop(cropKey, data.household.ownCrops) ?? [])
      .slice(0, draft.kind === 'one' ? 1 : MOST_PARTS)
  );
  /** One crop is to be chosen, before anything else is asked. */
  const isOpening = $derived(draft.kind === 'one' && chosen.length === 0);
  const method = $derived(draft.method ?? data.methods.find(({ key }) => key === draft.methodKey)!);
  const ownMedium = $derived(data.media.find(({ id }) => id === draft.mediumId) ?? null);
  /** What was typed wrongly is said at once, what is still empty when the form is sent. */
  const wrong = $derived<Record<string, string>>({
    ...(tried
      ? worked.wrong
      : Object.fromEntries(Object.entries(worked.wrong).filter(([field]) => !worked.missing.has(field)))),
    ...told
  });

  let first: Draft;
  onMount(() => {
    if (draft.newPlace) draft.newPlace.id = newId();
    first = $state.snapshot(draft) as Draft;
    const saved = data.cropKey ? null : readDraft(data.household.id);
    if (saved) [draft, begunAt] = [{ ...draft, ...saved.draft }, saved.at];
  });
  $effect(() => saveDraft(data.household.id, $state.snapshot(draft) as Draft, first, begunAt ?? data.now));

  function beginAfresh() {
    dropDraft(data.household.id);
    [draft, begunAt] = [structuredClone(first), null];
  }
  /** What stands chosen, in words: what of it was changed is said beside what follows from it. */
  const chosenWords = $derived({
    [t('sow.medium')]: ownMedium?.name ?? MEDIUM_WORDS[draft.medium],
    [t('bench.method')]: method ? methodName(method) : '',
    ...Object.fromEntries(
      (Object.keys(QUESTIONS) as Question[]).map((question) => [
        QUESTION_WORDS[question].ask,
        method ? answerWords(question, method[question]).text : ''
      ])
    ),
    [t('sow.density')]:
      draft.density === 'own'
        ? seedDensity(typedDensity(draft.ownDensity, data.household.units) ?? 0, data.household.units)
        : { sparse: t('sow.sparse'), usual: t('sow.usual'), dense: t('sow.dense') }[draft.density],
    [t('sow.seedYourOwnFigure')]:
      draft.ownSeedG === null ? t('sow.byDensity') : seedMass(draft.ownSeedG, locale.units),
    [t('sow.soak')]: draft.soak.trim() === '' ? t('sow.cropsOwn') : `${draft.soak} h`
  });
  /** Where it is to stand. */
  const place = $derived(
    draft.newPlace ??
      data.household.places.find(({ id }) => id === draft.placeId) ??
      data.household.places[0]!
  );
  /** Takes a place that was offered. */
  function takePlace({ id }: Pick<Place, 'id'>, light = false) {
    if (light) draft.lightPlaceId = id;
    else [draft.newPlace, draft.placeId] = [null, id];
  }

  /** Takes a day that was offered. */
  function readyBy(at: number) {
    draft.when = 'by';
    draft.readyBy = isoDay(at, data.household.zone);
  }

  /** Several containers begun in turn, as it was offered: all or nothing. */
  const spread = (portions: readonly SpreadPart[]) =>
    send(
      '/api/ahead',
      {
        begin: spreadBodies(sowBody(draft, worked, ids), portions, {
          now: data.now,
          zone: data.household.zone
        })
      },
      '/ahead'
    );

  const sow = () => send('/api/sowings', sowBody(draft, worked, ids), '/round');

  /** What was planned, and what is to be done next for it. */
  function nextWords() {
    const [sowing] = worked.sowings;
    if (!sowing) return null;
    return {
      words: t('sow.planned', {
        crop: cropNames(worked.sowings.map(({ projected }) => projected)),
        ...firstStep(sowing, data.now, locale)
      }),
      href: `/tray/${ids.first}`
    };
  }

  async function send(path: string, body: object, to: '/round' | '/ahead') {
    tried = true;
    told = {};
    failed = '';
    const ready =
      worked.sowings.length > 0 &&
      Object.keys(worked.wrong).length === 0 &&
      worked.sowings.every(({ plan }) => plan.earliestAt === null);
    if (!ready || sending) {
      await Promise.resolve();
      document
        .querySelector<HTMLElement>(
          'form [aria-invalid="true"], form .bx--text-input--invalid, form .bx--select-input--invalid, [role="alert"] .chip'
        )
        ?.focus();
      return;
    }
    sending = true;
    const answer = await post(path, body);
    if (!answer || answer.status >= 500) failed = t('ahead.noAnswerFromBroteWhat');
    else if (answer.status === 401) journal.signedOut = true;
    else if (answer.ok) {
      dropDraft(data.household.id);
      const next = to === '/round' ? nextWords() : null;
      await goto(to, { invalidateAll: true });
      if (next) journal.planned = next;
    } else {
      const { fields, message } = (await answer.json()) as ApiProblem;
      told = fields ?? {};
      // What is about no field that the form shows is said beside its button.
      failed = !fields ? message : (fields.ownSeedG ?? '');
      // What changed meanwhile is shown as it is now, before it is sent again.
      if (answer.status === 409) await reload();
    }
    sending = false;
  }
</script>

<svelte:head><title>{t('sow.newSowingBrote')}</title></svelte:head>

<h1>{t('sow.newSowing')}</h1>
{#if begunAt !== null}
  <p class="row" role="status">
    {t('sow.youBeganDayandtimeAsYou', { dayAndTime: dayAndTime(begunAt, data.now, locale) })}
    <Button kind="tertiary" class="chip" on:click={() => (begunAt = null)}>{t('sow.goOn')}</Button>
    <Button kind="tertiary" class="chip" on:click={beginAfresh}>{t('sow.beginAfresh')}</Button>
  </p>
{/if}
{#if isOpening}<p class="soft">{t('sow.chooseCropWhatComesStands')}</p>{/if}
<div class="sow" class:opening={isOpening}>
  <form
    id="sow"
    class="stack"
    novalidate
    onsubmit={(event) => {
      event.preventDefault();
      void sow();
    }}
  >
    <section class="stack">
      <h2>{t('sow.crop')}</h2>
      <CropParts
        bind:draft
        {crops}
        lots={data.lots}
        units={data.household.units}
        today={isoDay(data.now, data.household.zone)}
        {wrong}
        {daysHere}
      />
      {#if fit && worked.choice && new Set(chosen.map(({ key }) => key)).size > 1}
        <MixFit
          crops={chosen}
          {fit}
          placeName={worked.choice.place.name}
          units={data.household.units}
          halves={draft.kind === 'halves'}
          bind:staggered={draft.staggered}
        />
      {/if}
    </section>

    {#if !isOpening}
      <section class="stack">
        <h2>{t('sow.container')}</h2>
        <ContainerFields
          bind:draft
          containers={data.lastUsed}
          stock={data.containers}
          units={data.household.units}
          {wrong}
        />
      </section>

      <section class="stack">
        <h2>{t('sow.place')}</h2>
        <PlaceField
          places={data.household.places}
          bind:placeId={draft.placeId}
          bind:newPlace={draft.newPlace}
          units={data.household.units}
          {wrong}
        />
        {#if carriedTo}
          <Select
            labelText={t('sow.atFirstLightGoes')}
            selected={carriedTo.id}
            on:change={(event) => (draft.lightPlaceId = (event.target as HTMLSelectElement).value)}
            invalid={!!wrong.lightPlaceId}
            invalidText={wrong.lightPlaceId}
          >
            {#each data.household.places.filter(({ light }) => light.kind !== 'dark') as { id, name } (id)}
              <SelectItem value={id} text={name} />
            {/each}
          </Select>
        {/if}
        <RoomNote
          sowings={worked.sowings}
          {place}
          places={data.household.places}
          stands={data.stands}
          stock={data.containers}
          now={data.now}
          {locale}
          onplace={takePlace}
          onlater={readyBy}
        />
        {#if worked.sowings.length > 0}
          <details class="unfold" bind:open={comparing}>
            <summary>{t('sow.sameYourPlaces')}</summary>
            {#if comparing}
              <Elsewhere places={elsewhere} now={data.now} {locale} onchoose={takePlace} />
            {/if}
          </details>
        {/if}
      </section>

      <section class="stack">
        <h2>{t('sow.when')}</h2>
        <Choice
          legend={t('sow.when')}
          hideLegend
          name="when"
          options={[
            { value: 'now', text: t('sow.startNow') },
            { value: 'by', text: t('sow.readyByDay') }
          ]}
          bind:value={draft.when}
        />
        {#if draft.when === 'by'}
          <TextInput
            type="date"
            labelText={t('sow.readyBy')}
            bind:value={draft.readyBy}
            min={isoDay(data.now, data.household.zone)}
            invalid={!!wrong.readyBy}
            invalidText={wrong.readyBy}
          />
        {/if}
        {#if appetite && worked.sowings.length > 0}
          {#if appetite.assumed}
            <AppetiteNote {appetite} {locale} onsaid={(said) => (saidAppetite = said)} />
          {/if}
          <GlutNote
            sowings={worked.sowings}
            openings={data.openings}
            appetiteGD={appetite.gD}
            now={data.now}
            {locale}
            onlater={readyBy}
            count={worked.data.count}
            onspread={(portions) => void spread(portions)}
          />
        {/if}
      </section>

      <MoreChoices
        bind:draft
        strengths={data.strengths}
        products={data.products}
        today={isoDay(data.now, data.household.zone)}
        sowings={worked.sowings}
        {chosen}
        {method}
        methods={data.methods}
        media={data.media}
        units={data.household.units}
        {wrong}
      />
    {/if}
  </form>

  <div class="result">
    {#if worked.sowings.length > 0}
      <PlanBar sowings={worked.sowings} now={data.now} {locale} {sending} {failed} form="sow" />
      <div class="stack details">
        {#each worked.sowings as sowing, index (index)}
          <PlanResult
            {sowing}
            count={worked.data.count}
            {place}
            places={data.household.places}
            alone={worked.sowings.length === 1}
            first={data.lastUsed.length === 0}
            now={data.now}
            {locale}
            medium={{ kind: draft.medium, own: ownMedium }}
            chosen={index === 0 ? chosenWords : {}}
            own={draft.ownSeedG !== null}
            onoffer={readyBy}
          />
        {/each}
      </div>
    {:else if !isOpening}
      <section class="card soft stack">
        <p>{t('sow.chooseCropWhatComesStands')}</p>
        {#if failed}<p class="failed" role="alert">{failed}</p>{/if}
        <Button type="submit" form="sow" disabled={sending}>{t('sow.planSowing')}</Button>
      </section>
    {/if}
  </div>
</div>

<style>
  .sow {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
    gap: 1.5rem 2.5rem;
    align-items: start;
    margin-top: 1rem;
  }
  .opening {
    grid-template-columns: minmax(0, 1fr);
  }
  form {
    gap: 1.75rem;
  }
  form > section {
    gap: 0.75rem;
  }
  .details {
    margin-top: 1rem;
  }
  .failed {
    color: var(--alarm);
  }
  /* On a phone the result follows the form, and its bar stays over the bottom edge. */
  @media (max-width: 47.99rem) {
    .sow {
      display: flex;
      flex-direction: column;
      align-items: stretch;
    }
    .result {
      display: contents;
    }
  }
</style>
