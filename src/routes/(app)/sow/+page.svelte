<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { onMount, untrack } from 'svelte';
  import { v4 as newId } from 'uuid';
  import { goto } from '$app/navigation';
  import { CROPS, findCrop } from '$core/crops/library.ts';
  import { MEDIA } from '$core/medium/medium.ts';
  import { READY_METHODS } from '$core/methods/method.ts';
  import { figure } from '$core/units/format.ts';
  import type { Shape } from '$core/containers/container.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import PlaceField from '$ui/sow/PlaceField.svelte';
  import PlanResult from '$ui/sow/PlanResult.svelte';
  import { workOut, type Draft } from '$ui/sow/draft.ts';
  import { rhythmOf } from '$core/sowing/householdFacts.ts';
  import { post, useJournal } from '$ui/state/journal.svelte.ts';
  import { MEDIUM_WORDS } from '$ui/words/tasks.ts';
  import { isoDay } from '$ui/words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  const reading = $derived(data.household);
  const unit = $derived(data.household.units === 'us' ? 'in' : 'cm');
  const TRAY = { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 } as const;
  const SHAPES: Record<Shape, Draft['container']> = {
    rectangle: { ...TRAY },
    round: { name: 'Round pot', shape: 'round', lengthCm: 16, widthCm: 16, depthCm: 8, cells: 1 },
    cells: { name: 'Cell tray', shape: 'cells', lengthCm: 5, widthCm: 5, depthCm: 5, cells: 6 }
  };
  const KEPT = $derived(`brote.draft.${data.household.id}`);

  let draft = $state<Draft>(
    untrack(() => ({
      cropKey: findCrop(data.cropKey)?.key ?? '',
      container: { ...(data.containers[0] ?? TRAY) },
      count: '1',
      medium: 'coir',
      methodKey: data.household.methodKey,
      placeId: data.places[0]?.id ?? 'new',
      newPlace:
        data.places.length > 0
          ? null
          : {
              id: '',
              name: 'Kitchen sill',
              light: { kind: 'sill', aspect: 'midday', back: false },
              dayC: 21,
              nightC: 18,
              humidityPct: 50,
              movingAir: false
            },
      density: 'usual',
      ownDensity: '',
      germination: '',
      when: 'now',
      readyBy: ''
    }))
  );
  let ownSeedG = $state(NaN);
  /** Made once a form, so that sending it twice makes one sowing. */
  let ids = { id: newId(), containerId: newId() };
  let told = $state<Record<string, string>>({});
  let tried = $state(false);
  let sending = $state(false);
  let failed = $state('');

  const rhythm = $derived(rhythmOf(data.household));
  const worked = $derived(workOut(draft, data.places, rhythm, data.household.latitudeDeg, data.now));
  const crop = $derived(findCrop(draft.cropKey));
  const wrong = $derived<Record<string, string>>({
    ...(tried ? worked.wrong : alwaysSaid(worked.wrong)),
    ...told
  });

  /** What was left out is said when the form is sent; what was typed wrongly, at once. */
  function alwaysSaid(all: Record<string, string>): Record<string, string> {
    const { cropKey: _crop, readyBy, ...rest } = all;
    return draft.readyBy && readyBy ? { ...rest, readyBy } : rest;
  }

  onMount(() => {
    if (draft.newPlace && draft.newPlace.id === '') draft.newPlace.id = newId();
    const kept = sessionStorage.getItem(KEPT);
    if (kept && !data.cropKey) draft = { ...draft, ...(JSON.parse(kept) as Draft) };
  });
  $effect(() => sessionStorage.setItem(KEPT, JSON.stringify(draft)));

  function shape(value: Shape) {
    draft.container = {
      ...(data.containers.find((container) => container.shape === value) ?? SHAPES[value])
    };
  }

  async function sow() {
    tried = true;
    told = {};
    failed = '';
    if (!worked.plan || Object.keys(worked.wrong).length > 0 || worked.plan.earliestAt !== null || sending) {
      await Promise.resolve();
      document
        .querySelector<HTMLElement>(
          'form [aria-invalid="true"], form .bx--text-input--invalid, form .bx--select-input--invalid, [role="alert"] .chip'
        )
        ?.focus();
      return;
    }
    sending = true;
    const answer = await post('/api/sowings', {
      ...ids,
      cropKey: draft.cropKey,
      container: {
        ...draft.container,
        widthCm: draft.container.shape === 'round' ? draft.container.lengthCm : draft.container.widthCm
      },
      count: worked.count,
      medium: draft.medium,
      methodKey: draft.methodKey,
      placeId: draft.newPlace?.id ?? draft.placeId,
      newPlace: draft.newPlace,
      seedsPerCm2: worked.seedsPerCm2,
      germinationPct: worked.germinationPct,
      seedG: ownSeedG > 0 ? ownSeedG : worked.plan.seed.seedG,
      readyBy: draft.when === 'by' ? draft.readyBy : null
    });
    sending = false;
    if (!answer || answer.status >= 500)
      failed = 'No answer from Brote. What you chose is kept here: try again in a moment.';
    else if (answer.status === 401) journal.signedOut = true;
    else if (!answer.ok) told = ((await answer.json()) as { errors: Record<string, string> }).errors;
    else {
      sessionStorage.removeItem(KEPT);
      await goto('/round', { invalidateAll: true });
    }
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
    <Select
      labelText="Crop"
      bind:selected={draft.cropKey}
      invalid={!!wrong.cropKey}
      invalidText={wrong.cropKey}
    >
      <SelectItem value="" text="Choose a crop" />
      {#each [...CROPS].sort((a, b) => a.name.localeCompare(b.name)) as one (one.key)}<SelectItem
          value={one.key}
          text={one.name}
        />{/each}
    </Select>

    {#if data.containers.length > 0}
      <div class="row" role="group" aria-label="Containers you have">
        {#each data.containers.slice(0, 5) as container (JSON.stringify(container))}
          <button class="chip quiet" type="button" onclick={() => (draft.container = { ...container })}
            >{container.name}
            {figure(container.lengthCm)}{container.shape === 'round'
              ? ''
              : ` × ${figure(container.widthCm)}`}</button
          >
        {/each}
      </div>
    {/if}
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
      <TextInput
        labelText="How many"
        bind:value={draft.count}
        invalid={!!wrong.count}
        invalidText={wrong.count}
        inputmode="numeric"
      />
    </div>

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

    <details class="more">
      <summary>Medium, method, density, own figures</summary>
      <div class="stack">
        <Select labelText="Medium" bind:selected={draft.medium}>
          {#each MEDIA as medium (medium)}<SelectItem value={medium} text={MEDIUM_WORDS[medium]} />{/each}
        </Select>
        <Select labelText="Method" bind:selected={draft.methodKey}>
          {#each READY_METHODS as method (method.key)}<SelectItem
              value={method.key}
              text={method.name}
            />{/each}
        </Select>
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
          helperText={crop ? `Usual for ${crop.name.toLowerCase()}: ${crop.germinationPct} %` : ''}
          bind:value={draft.germination}
          invalid={!!wrong.germinationPct}
          invalidText={wrong.germinationPct}
          inputmode="decimal"
        />
        <QuantityField
          label="Seed, if you overrule it"
          kind="mass"
          unit="g"
          bind:value={ownSeedG}
          error={wrong.seedG}
        />
      </div>
    </details>

    {#if failed}<p class="failed" role="alert">{failed}</p>{/if}
    <Button type="submit" disabled={sending}
      >{worked.plan && worked.plan.soak.soakStart !== null
        ? 'Plan this sowing'
        : 'Put it on the list'}</Button
    >
  </form>

  {#if worked.plan && crop}
    <PlanResult
      plan={worked.plan}
      {crop}
      now={data.now}
      {reading}
      ownSeedG={ownSeedG > 0 ? ownSeedG : null}
      onoffer={(at) => (draft.readyBy = isoDay(at, data.household.zone))}
    />
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
  .sizes {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(7.5rem, 1fr));
    gap: 0.75rem;
    align-items: start;
  }
  .more summary {
    cursor: pointer;
    min-height: 2.75rem;
    display: flex;
    align-items: center;
    color: var(--beet);
    text-decoration: underline;
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
