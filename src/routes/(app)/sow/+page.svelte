<script lang="ts">
  import { USUAL_PLACE } from '$core/places/usual.ts';
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { onMount, untrack } from 'svelte';
  import { v4 as newId } from 'uuid';
  import { goto, invalidateAll } from '$app/navigation';
  import { findCrop, withOwnCrops } from '$core/crops/library.ts';
  import { leftG } from '$core/supplies/seed/lot.ts';
  import { MEDIA, type MediumKind } from '$core/supplies/media/medium.ts';
  import { MOST_PARTS } from '$core/crops/blend.ts';
  import type { Container, Shape } from '$core/supplies/containers/container.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import MethodFields from '$ui/methods/MethodFields.svelte';
  import GlutNote from '$ui/sow/GlutNote.svelte';
  import CropParts from '$ui/sow/CropParts.svelte';
  import MixFit from '$ui/sow/MixFit.svelte';
  import PlaceField from '$ui/sow/PlaceField.svelte';
  import Elsewhere from '$ui/sow/Elsewhere.svelte';
  import PlanResult from '$ui/sow/PlanResult.svelte';
  import { COMMON_SIZES, isSameSize, ofSize } from '$core/supplies/containers/sizes.ts';
  import { notFreeWords, sizeWords, suggestedName } from '$words/containers.ts';
  import { workOut, type Draft } from '$ui/sow/draft.ts';
  import { rhythmOf } from '$core/sowing/facts.ts';
  import { post } from '$ui/state/ask.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import { answerWords, QUESTION_WORDS } from '$words/methods.ts';
  import { QUESTIONS, type Question } from '$core/supplies/methods/method.ts';
  import { isSoaked } from '$core/crops/crop.ts';
  import { isoDay } from '$words/time.ts';
  import type { Problem } from '$contract/api.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  const locale = $derived(data.household);
  const unit = $derived(data.household.units === 'us' ? 'in' : 'cm');
  const TRAY = { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 } as const;
  const SHAPES: Record<Shape, Draft['container']> = {
    rectangle: { ...TRAY },
    round: { name: 'Round pot', shape: 'round', lengthCm: 16, widthCm: 16, depthCm: 8, cells: 1 },
    cells: { name: 'Cell tray', shape: 'cells', lengthCm: 5, widthCm: 5, depthCm: 5, cells: 6 }
  };
  const KEPT = $derived(`brote.draft.2.${data.household.id}`);
  const crops = $derived(withOwnCrops(data.ownCrops));

  let draft = $state<Draft>(
    untrack(() => {
      const cropKey = findCrop(data.cropKey, data.ownCrops)?.key ?? '';
      const lot = data.lots.find((one) => one.cropKey === cropKey && leftG(one) > 0);
      const method = data.methods.find(({ key }) => key === data.household.methodKey) ?? data.methods[0]!;
      return {
        kind: 'one',
        parts: [{ cropKey, lotId: lot?.id ?? '', share: '1' }],
        shareOf: 'weight',
        staggered: false,
        container: { ...(data.containers[0] ?? TRAY) },
        containerName: '',
        count: '1',
        medium: method.medium,
        mediumId: '',
        methodKey: method.key,
        method: null,
        placeId: data.places[0]?.id ?? 'new',
        newPlace:
          data.places.length > 0
            ? null
            : {
                id: '',
                name: 'Kitchen sill',
                light: { kind: 'sill', aspect: 'midday', back: false },
                ...USUAL_PLACE
              },
        density: 'usual',
        ownDensity: '',
        germination: '',
        ownSeedG: null,
        soak: '',
        when: 'now',
        readyBy: ''
      };
    })
  );
  /** Made once a form, so that sending it twice makes one sowing (or two, of halves). */
  let ids = { first: newId(), second: newId(), container: newId() };
  let told = $state<Record<string, string>>({});
  let tried = $state(false);
  let sending = $state(false);
  let failed = $state('');

  const context = $derived({
    places: data.places,
    containers: data.containers,
    units: data.household.units,
    methods: data.methods,
    ownCrops: data.ownCrops,
    lots: data.lots,
    learned: data.learned,
    yields: data.yields,
    rhythm: rhythmOf(data.household),
    latitudeDeg: data.household.latitudeDeg,
    now: data.now
  });
  const worked = $derived(workOut(draft, context));
  let comparing = $state(false);
  const elsewhere = $derived(
    data.places
      .filter(({ id, light }) => (draft.newPlace !== null || id !== draft.placeId) && light.kind !== 'dark')
      .flatMap((place) => {
        const [sowing] = workOut({ ...draft, newPlace: null, placeId: place.id }, context).sowings;
        return sowing ? [{ place, sowing }] : [];
      })
  );
  const chosen = $derived(
    draft.parts
      .flatMap(({ cropKey }) => findCrop(cropKey, data.ownCrops) ?? [])
      .slice(0, draft.kind === 'one' ? 1 : MOST_PARTS)
  );
  const method = $derived(draft.method ?? data.methods.find(({ key }) => key === draft.methodKey)!);
  const ownMedium = $derived(data.media.find(({ id }) => id === draft.mediumId) ?? null);
  const wrong = $derived<Record<string, string>>({
    ...(tried ? worked.wrong : alwaysSaid(worked.wrong)),
    ...told
  });

  /** What was left out is said when the form is sent; what was typed wrongly, at once. */
  function alwaysSaid(all: Record<string, string>): Record<string, string> {
    return Object.fromEntries(
      Object.entries(all).filter(
        ([field, say]) => !say.startsWith('Choose a crop') && (field !== 'readyBy' || draft.readyBy !== '')
      )
    );
  }

  onMount(() => {
    if (draft.newPlace && draft.newPlace.id === '') draft.newPlace.id = newId();
    const kept = sessionStorage.getItem(KEPT);
    if (kept && !data.cropKey) draft = { ...draft, ...(JSON.parse(kept) as Draft) };
  });
  $effect(() => sessionStorage.setItem(KEPT, JSON.stringify(draft)));

  function shape(value: Shape) {
    take(data.containers.find((container) => container.shape === value) ?? SHAPES[value]);
  }
  /** Takes a container or a common size; what was typed as a name was another's. */
  function take(container: Omit<Container, 'name'> & { name?: string }) {
    draft.container = { name: '', ...container };
    draft.containerName = '';
  }
  /** Sizes that are common here and that the household has none of yet. */
  const common = $derived(
    COMMON_SIZES[data.household.units].filter((size) => !ofSize(size, data.containers))
  );
  const notFree = $derived.by(() => {
    const kept = ofSize(draft.container, data.kept);
    return kept ? notFreeWords(kept, Number(draft.count) || 1) : null;
  });
  const isNewSize = $derived(!ofSize(draft.container, data.containers));
  function chooseMethod(key: string) {
    draft.methodKey = key;
    draft.method = null;
  }
  /** What its method is usually grown on, where that is not what was chosen: offered, never taken by itself. */
  const usualMedium = $derived(method && method.medium !== draft.medium ? method.medium : null);
  /** What stands chosen, in words: what of it was changed is said beside what follows from it. */
  const chosenWords = $derived({
    Medium: ownMedium?.name ?? MEDIUM_WORDS[draft.medium],
    Method: method?.name ?? '',
    ...Object.fromEntries(
      (Object.keys(QUESTIONS) as Question[]).map((question) => [
        QUESTION_WORDS[question].ask,
        method ? answerWords(question, method[question]).text : ''
      ])
    ),
    Density: draft.density === 'own' ? `${draft.ownDensity} seeds/cm²` : draft.density,
    'Seed of your own': draft.ownSeedG === null ? 'none' : `${draft.ownSeedG} g`,
    Soak: draft.soak.trim() === '' ? 'the crop’s own' : `${draft.soak} h`
  });
  function chooseMedium(value: string) {
    const own = data.media.find(({ id }) => id === value);
    draft.mediumId = own?.id ?? '';
    draft.medium = own?.kind ?? (value as MediumKind);
  }

  /** What was chosen, as it is sent; the server works out the same from it. */
  function bodyOf() {
    const parts = draft.kind === 'one' ? draft.parts.slice(0, 1) : draft.parts;
    return {
      ids,
      kind: draft.kind,
      parts: parts.map(({ cropKey, lotId }, index) => ({
        cropKey,
        lotId: lotId || null,
        share: worked.choice?.parts[index]?.share ?? 1
      })),
      shareOf: draft.shareOf,
      staggered: draft.staggered,
      container: worked.choice?.container ?? draft.container,
      count: worked.count,
      medium: draft.medium,
      mediumId: draft.mediumId || null,
      methodKey: draft.methodKey,
      method: draft.method,
      placeId: draft.newPlace?.id ?? draft.placeId,
      newPlace: draft.newPlace,
      density: draft.density,
      seedsPerCm2: typeof worked.choice?.density === 'number' ? worked.choice.density : null,
      ownSeedG: draft.ownSeedG,
      germinationPct: worked.choice?.germinationPct ?? null,
      soakH: worked.choice?.soakH ?? null,
      readyBy: draft.when === 'by' ? draft.readyBy : null,
      shownSeedG: worked.sowings.map(({ setup }) => setup.seedG)
    };
  }

  /** Takes a day that was offered. */
  function readyBy(at: number) {
    draft.when = 'by';
    draft.readyBy = isoDay(at, data.household.zone);
  }

  async function sow() {
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
    const answer = await post('/api/sowings', bodyOf());
    if (!answer || answer.status >= 500)
      failed = 'No answer from Brote. What you chose is kept here: try again in a moment.';
    else if (answer.status === 401) journal.signedOut = true;
    else if (answer.ok) {
      sessionStorage.removeItem(KEPT);
      await goto('/round', { invalidateAll: true });
    } else {
      const { fields, message } = (await answer.json()) as Problem;
      told = fields ?? {};
      // What is about no field that the form shows is said beside its button.
      failed = !fields ? message : (fields.seedG ?? '');
      // What changed meanwhile is shown as it is now, before it is sent again.
      if (answer.status === 409) await invalidateAll();
    }
    sending = false;
  }
</script>

<svelte:head><title>New sowing · Brote</title></svelte:head>

<h1>New sowing</h1>
<div class="columns">
  <form
    class="stack"
    novalidate
    onsubmit={(event) => {
      event.preventDefault();
      void sow();
    }}
  >
    <CropParts
      bind:draft
      {crops}
      lots={data.lots}
      units={data.household.units}
      today={isoDay(data.now, data.household.zone)}
      {wrong}
    />
    {#if draft.kind !== 'one' && chosen.length > 1}
      <MixFit
        crops={chosen}
        place={draft.newPlace ?? data.places.find(({ id }) => id === draft.placeId) ?? null}
        taking={method.taking}
        units={data.household.units}
        halves={draft.kind === 'halves'}
        bind:staggered={draft.staggered}
      />
    {/if}

    <div class="row" role="group" aria-label="Containers you have, and common sizes">
      {#each data.containers.slice(0, 5) as container (JSON.stringify(container))}
        <button
          class="chip"
          type="button"
          aria-pressed={isSameSize(container, draft.container)}
          onclick={() => take(container)}
          >{container.name}
          {sizeWords(container, data.household.units)}</button
        >
      {/each}
      {#each common as size (suggestedName(size, data.household.units))}
        <button
          class="chip"
          class:quiet={!isSameSize(size, draft.container)}
          type="button"
          aria-pressed={isSameSize(size, draft.container)}
          onclick={() => take(size)}>{suggestedName(size, data.household.units)}</button
        >
      {/each}
    </div>
    <Choice
      legend="Container"
      name="shape"
      options={[
        { value: 'rectangle', text: 'Tray' },
        { value: 'round', text: 'Round pot' },
        { value: 'cells', text: 'Cells' }
      ]}
      value={draft.container.shape}
      onchange={shape}
    />
    <div class="sizes">
      <QuantityField
        label={draft.container.shape === 'round'
          ? 'Diameter'
          : draft.container.shape === 'cells'
            ? 'Cell length'
            : 'Length'}
        kind="length"
        {unit}
        bind:value={draft.container.lengthCm}
        error={wrong['container.lengthCm']}
      />
      {#if draft.container.shape !== 'round'}
        <QuantityField
          label={draft.container.shape === 'cells' ? 'Cell width' : 'Width'}
          kind="length"
          {unit}
          bind:value={draft.container.widthCm}
          error={wrong['container.widthCm']}
        />
      {/if}
      <QuantityField
        label="Depth"
        kind="length"
        {unit}
        bind:value={draft.container.depthCm}
        error={wrong['container.depthCm']}
      />
      {#if draft.container.shape === 'cells'}
        <TextInput
          labelText="Cells"
          value={String(draft.container.cells)}
          on:input={(event) => (draft.container.cells = Number(event.detail ?? NaN))}
          invalid={!!wrong['container.cells']}
          invalidText={wrong['container.cells']}
          inputmode="numeric"
        />
      {/if}
      {#if isNewSize}
        <div class="named">
          <TextInput
            labelText="What you call this container"
            helperText="A size you have not used yet: it is kept under this name"
            placeholder={suggestedName(draft.container, data.household.units)}
            bind:value={draft.containerName}
            invalid={!!wrong['container.name']}
            invalidText={wrong['container.name']}
          />
        </div>
      {/if}
      <TextInput
        labelText="How many"
        bind:value={draft.count}
        invalid={!!wrong.count}
        invalidText={wrong.count}
        inputmode="numeric"
      />
    </div>

    {#if notFree}<p class="warn small" role="status">{notFree}</p>{/if}

    <PlaceField
      places={data.places}
      bind:placeId={draft.placeId}
      bind:newPlace={draft.newPlace}
      units={data.household.units}
      {wrong}
    />

    <Choice
      legend="When"
      name="when"
      options={[
        { value: 'now', text: 'Start now' },
        { value: 'by', text: 'Ready by a day' }
      ]}
      bind:value={draft.when}
    />
    {#if draft.when === 'by'}
      <TextInput
        type="date"
        labelText="Ready by"
        bind:value={draft.readyBy}
        min={isoDay(data.now, data.household.zone)}
        invalid={!!wrong.readyBy}
        invalidText={wrong.readyBy}
      />
    {/if}

    <details class="unfold">
      <summary>Medium, method, density, own figures</summary>
      <div class="stack">
        <Select
          labelText="Medium"
          selected={draft.mediumId || draft.medium}
          on:change={(event) => chooseMedium((event.target as HTMLSelectElement).value)}
          invalid={!!wrong.medium}
          invalidText={wrong.medium}
        >
          {#each MEDIA as medium (medium)}<SelectItem value={medium} text={MEDIUM_WORDS[medium]} />{/each}
          {#each data.media as medium (medium.id)}<SelectItem value={medium.id} text={medium.name} />{/each}
        </Select>
        <Select
          labelText="Method"
          selected={draft.methodKey}
          on:change={(event) => chooseMethod((event.target as HTMLSelectElement).value)}
          helperText={draft.method ? 'Changed for this sowing alone' : ''}
          invalid={!!wrong.methodKey}
          invalidText={wrong.methodKey}
        >
          {#each data.methods as one (one.key)}<SelectItem value={one.key} text={one.name} />{/each}
        </Select>
        {#if usualMedium}
          <p class="small">
            {method.name} is usually grown on {MEDIUM_WORDS[usualMedium].toLowerCase()}.
            <button class="chip quiet" type="button" onclick={() => chooseMedium(usualMedium)}
              >Take {MEDIUM_WORDS[usualMedium].toLowerCase()}</button
            >
          </p>
        {/if}
        <details class="unfold">
          <summary>Do this sowing differently</summary>
          <MethodFields bind:method={() => method, (changed) => (draft.method = changed)} {wrong} />
        </details>
        <Choice
          legend="Density"
          name="density"
          options={[
            { value: 'sparse', text: 'Sparse' },
            { value: 'usual', text: 'Usual' },
            { value: 'dense', text: 'Dense' },
            { value: 'own', text: 'Own' }
          ]}
          bind:value={draft.density}
        />
        {#if draft.density === 'own'}
          <TextInput
            labelText="Seeds per cm²"
            bind:value={draft.ownDensity}
            invalid={!!wrong.seedsPerCm2}
            invalidText={wrong.seedsPerCm2}
            inputmode="decimal"
          />
        {/if}
        <TextInput
          labelText="Germination of your seed (%)"
          helperText={chosen.length === 1
            ? `Usual for ${chosen[0]!.name.toLowerCase()}: ${chosen[0]!.germinationPct} %`
            : ''}
          bind:value={draft.germination}
          invalid={!!wrong.germinationPct}
          invalidText={wrong.germinationPct}
          inputmode="decimal"
        />
        {#if chosen.some((crop) => isSoaked(crop) && !crop.gelSeed) || draft.soak !== ''}
          <TextInput
            labelText="Soak (hours)"
            helperText="Empty for the crop’s own, 0 to sow it dry{chosen.length === 1
              ? `; usual ${chosen[0]!.soakMinH} to ${chosen[0]!.soakMaxH} h`
              : ''}"
            bind:value={draft.soak}
            invalid={!!wrong.soakH}
            invalidText={wrong.soakH}
            inputmode="decimal"
          />
        {/if}
        {#if draft.parts.length > 0}
          <QuantityField
            label={draft.kind === 'one'
              ? 'Seed, if you overrule it and the density'
              : 'Seed in all, if you overrule it and the density'}
            kind="mass"
            unit="g"
            bind:value={() => draft.ownSeedG ?? NaN, (typed) => (draft.ownSeedG = typed > 0 ? typed : null)}
            error={wrong.seedG}
          />
        {/if}
      </div>
    </details>

    {#if failed}<p class="failed" role="alert">{failed}</p>{/if}
    <Button type="submit" disabled={sending}
      >{worked.sowings.some(({ plan }) => plan.soak.soakStart !== null)
        ? 'Plan this sowing'
        : 'Put it on the list'}</Button
    >
  </form>

  {#if worked.sowings.length > 0}
    <div class="stack">
      {#if data.appetiteGD !== null}
        <GlutNote
          sowings={worked.sowings}
          openings={data.openings}
          appetiteGD={data.appetiteGD}
          now={data.now}
          {locale}
          onlater={readyBy}
        />
      {/if}
      {#each worked.sowings as sowing, index (index)}
        <PlanResult
          {sowing}
          count={worked.count}
          place={draft.newPlace ?? data.places.find(({ id }) => id === draft.placeId) ?? data.places[0]!}
          places={data.places}
          alone={worked.sowings.length === 1}
          first={data.containers.length === 0}
          now={data.now}
          {locale}
          medium={{ kind: draft.medium, own: ownMedium }}
          chosen={index === 0 ? chosenWords : {}}
          own={draft.ownSeedG !== null}
          onoffer={readyBy}
        />
      {/each}
      <details class="unfold" bind:open={comparing}>
        <summary>The same in your other places</summary>
        {#if comparing}
          <Elsewhere
            places={elsewhere}
            now={data.now}
            {locale}
            onchoose={(place) => {
              draft.newPlace = null;
              draft.placeId = place.id;
            }}
          />
        {/if}
      </details>
    </div>
  {:else}
    <section class="card soft">
      Choose a crop, and what it comes to stands here at once: seed, soak, stages, and when you can cut.
    </section>
  {/if}
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: minmax(18rem, 1fr) minmax(20rem, 1.15fr);
    gap: 2rem;
    align-items: start;
    margin-top: 1.25rem;
  }
  .named {
    grid-column: 1 / -1;
  }
  .sizes {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(7.5rem, 1fr));
    gap: 0.75rem;
    align-items: start;
  }
  .failed {
    color: var(--alarm);
  }
  @media (max-width: 60rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
