<script lang="ts">
  import { REFRIGERATOR, USUAL_LAMP_H, USUAL_PLACE } from '$core/places/usual.ts';
  import { page } from '$app/state';
  import { shownDegrees } from '$core/units/temperature.ts';
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import type { PlaceLight } from '$core/places/place.ts';
  import { airOf } from '$core/places/air/series.ts';
  import { figure } from '$core/units/format.ts';
  import KeepForm from '$ui/bench/KeepForm.svelte';
  import AirChart from '$ui/charts/AirChart.svelte';
  import Check from '$ui/fields/Check.svelte';
  import Choice from '$ui/fields/Choice.svelte';
  import Field from '$ui/fields/Field.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Devices from '$ui/air/Devices.svelte';
  import HandReading from '$ui/air/HandReading.svelte';
  import ImportReadings from '$ui/air/ImportReadings.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { place } = $derived(data);
  const units = $derived(data.household.units);
  const id = untrack(() => data.place?.id ?? data.newId);
  const { wrong, typed } = formAnswers(() => form);

  /** What a new place is taken for: a ready-made one, or a heated room. */
  const isRefrigerator = untrack(
    () => data.place === null && page.url.searchParams.get('as') === 'refrigerator'
  );
  const usual = isRefrigerator ? REFRIGERATOR : USUAL_PLACE;

  const kindOf = (light: PlaceLight): string => (light.kind === 'sill' ? light.aspect : light.kind);
  let light = $state(
    untrack(() => typed('light', data.place ? kindOf(data.place.light) : isRefrigerator ? 'dark' : 'midday'))
  );
  const lamp = $derived(place?.light.kind === 'lamp' ? place.light : null);
  const sill = $derived(place?.light.kind === 'sill' ? place.light : null);
  const OPTIONS = [
    { value: 'lamp', text: 'Lamp' },
    { value: 'midday', text: 'Bright sill', hint: 'midday sun' },
    { value: 'side', text: 'Half-bright sill', hint: 'morning or evening sun' },
    { value: 'away', text: 'Dim sill', hint: 'no sun' },
    { value: 'dark', text: 'Dark', hint: 'a cupboard, a refrigerator' }
  ];
  const sign = $derived(units === 'us' ? '°F' : '°C');
  const shown = (degC: number) => figure(shownDegrees(degC, units));
  const cm = (value: number | null | undefined) =>
    value === null || value === undefined
      ? ''
      : units === 'us'
        ? `${figure(value / 2.54)} in`
        : figure(value);
  const before = $derived.by(() => {
    const at = data.places.findIndex((one) => one.id === place?.id);
    return at < 0 ? (data.places.at(-1)?.id ?? '') : (data.places[at - 1]?.id ?? '');
  });
</script>

<KeepForm title={place ? place.name : 'A new place'} away={null} back={{ path: '/shelf', name: 'Shelf' }}>
  <input type="hidden" name="id" value={id} />
  {#if !place && !isRefrigerator}
    <p class="small">
      Or start from a ready-made place: <a href="/shelf/new?as=refrigerator" data-sveltekit-reload
        >Refrigerator</a
      >
    </p>
  {/if}
  <Field
    name="name"
    label="Name"
    placeholder="Kitchen sill"
    value={typed('name', place?.name ?? (isRefrigerator ? 'Refrigerator' : ''))}
    error={wrong('name')}
  />
  <Choice legend="Light" name="light" options={OPTIONS} bind:value={light} />
  {#if wrong('light.kind') || wrong('light.aspect')}<p class="warn">
      {wrong('light.kind') || wrong('light.aspect')}
    </p>{/if}
  {#if light === 'lamp'}
    <div class="two">
      <Field
        name="hours"
        label="Hours a day"
        value={typed('hours', lamp?.hours ?? USUAL_LAMP_H)}
        error={wrong('light.hours')}
        inputmode="decimal"
      />
      <Field
        name="ppfd"
        label="PPFD (µmol/m²s)"
        helper="From a meter or the label; empty where you know its watts"
        value={typed('ppfd', lamp && !lamp.watts ? Math.round(lamp.ppfd) : '')}
        error={wrong('light.ppfd')}
        inputmode="decimal"
      />
      <Field
        name="watts"
        label="Watts it draws"
        value={typed('watts', lamp?.watts)}
        error={wrong('light.watts')}
        inputmode="decimal"
      />
      <Field
        name="distanceCm"
        label="From lamp to leaves (cm)"
        value={typed('distanceCm', cm(lamp?.distanceCm))}
        error={wrong('light.distanceCm')}
      />
    </div>
    {#if lamp?.watts}<p class="small soft">
        That comes to about {Math.round(lamp.ppfd)} µmol/m²s on this board.
      </p>{/if}
    <Caution>{CAUTIONS.lamp}</Caution>
  {:else if light !== 'dark'}
    <Check
      name="back"
      label="A metre back from the glass"
      checked={form ? form.fields?.back === 'on' : (sill?.back ?? false)}
    />
  {/if}
  <div class="two">
    <Field
      name="dayC"
      label="By day ({sign})"
      value={typed('dayC', shown(place?.dayC ?? usual.dayC))}
      error={wrong('dayC')}
    />
    <Field
      name="nightC"
      label="At night ({sign})"
      value={typed('nightC', shown(place?.nightC ?? usual.nightC))}
      error={wrong('nightC')}
    />
    <Field
      name="humidityPct"
      label="Humidity (%)"
      helper="50 where nothing measures it"
      value={typed('humidityPct', place?.humidityPct ?? usual.humidityPct)}
      error={wrong('humidityPct')}
      inputmode="decimal"
    />
    <Field
      name="rated"
      label="Rated to carry"
      placeholder="8 kg"
      helper="Off its label; empty where it says none"
      value={typed(
        'rated',
        place?.ratedG
          ? units === 'us'
            ? `${figure(place.ratedG / 453.59237)} lb`
            : `${figure(place.ratedG / 1000)} kg`
          : ''
      )}
      error={wrong('ratedG')}
    />
    <Field
      name="widthCm"
      label="Board, wide (cm)"
      value={typed('widthCm', cm(place?.widthCm))}
      error={wrong('widthCm')}
    />
    <Field
      name="depthCm"
      label="Board, deep (cm)"
      value={typed('depthCm', cm(place?.depthCm))}
      error={wrong('depthCm')}
    />
  </div>
  <Check
    name="movingAir"
    label="A fan or draught moves the air"
    checked={form ? form.fields?.movingAir === 'on' : (place?.movingAir ?? false)}
  />
  <Select name="after" labelText="On the round, passed after" selected={typed('after', before)}>
    <SelectItem value="" text="Nothing: first of all" />
    {#each data.places.filter((one) => one.id !== id) as one (one.id)}<SelectItem
        value={one.id}
        text={one.name}
      />{/each}
  </Select>
</KeepForm>

{#if place}
  <div class="readings">
    {#if airOf(place)}<AirChart {place} now={data.now} locale={data.household} />{/if}
    <HandReading placeId={place.id} locale={data.household} />
    <ImportReadings placeId={place.id} zone={data.household.zone} now={data.now} />
    <Devices
      devices={data.devices}
      last={data.last}
      now={data.now}
      locale={data.household}
      newId={data.newId}
      token={form && 'token' in form ? (form.token ?? null) : null}
      wrong={wrong('device')}
    />
  </div>
{/if}

<style>
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 1rem;
    align-items: start;
  }
  .readings {
    display: grid;
    gap: 2rem;
    margin-top: 2.5rem;
    padding-top: 1.5rem;
    border-top: 1.5px solid var(--ink-faint);
    max-width: 44rem;
  }
</style>
