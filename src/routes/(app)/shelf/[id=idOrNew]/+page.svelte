<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { REFRIGERATOR, USUAL_LAMP_H, USUAL_PLACE } from '$core/places/usual.ts';
  import { page } from '$app/state';
  import { shownDegrees } from '$core/units/temperature.ts';
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import type { PlaceLight } from '$core/places/place.ts';
  import { airOf } from '$core/places/air/series.ts';
  import { fieldUnit, inField } from '$core/units/field.ts';
  import { figure, mass } from '$core/units/format.ts';
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
    { value: 'lamp', text: t('shelf.lamp') },
    { value: 'midday', text: t('shelf.brightSill2'), hint: t('shelf.middaySun') },
    { value: 'side', text: t('shelf.halfBrightSill2'), hint: t('sow.morningOrEveningSun') },
    { value: 'away', text: t('shelf.dimSill2'), hint: t('shelf.noSun') },
    { value: 'dark', text: t('shelf.dark2'), hint: t('shelf.cupboardRefrigerator') }
  ];
  const sign = $derived(units === 'us' ? '°F' : '°C');
  const shown = (degC: number) => figure(shownDegrees(degC, units));
  const cm = (value: number | null | undefined) => inField(value, 'length', units);
  const unit = $derived(fieldUnit('length', units));
  const before = $derived.by(() => {
    const at = data.places.findIndex((one) => one.id === place?.id);
    return at < 0 ? (data.places.at(-1)?.id ?? '') : (data.places[at - 1]?.id ?? '');
  });
</script>

<KeepForm
  title={place ? place.name : t('shelf.newPlace2')}
  away={null}
  back={{ path: '/shelf', name: t('shelf.shelf') }}
>
  <input type="hidden" name="id" value={id} />
  {#if !place && !isRefrigerator}
    <p class="small">
      <Rich parts={rich('shelf.orStartFromReadyMade')}
        >{#snippet link(text: string)}<a href="/shelf/new?as=refrigerator" data-sveltekit-reload>{text}</a
          >{/snippet}</Rich
      >
    </p>
  {/if}
  <Field
    name="name"
    label={t('shelf.name2')}
    placeholder={t('shelf.kitchenSill')}
    value={typed('name', place?.name ?? (isRefrigerator ? t('shelf.refrigerator') : ''))}
    error={wrong('name')}
  />
  <Choice legend={t('shelf.light')} name="light" options={OPTIONS} bind:value={light} />
  {#if wrong('light.kind') || wrong('light.aspect')}<p class="warn">
      {wrong('light.kind') || wrong('light.aspect')}
    </p>{/if}
  {#if light === 'lamp'}
    <div class="pair">
      <Field
        name="hours"
        label={t('shelf.hoursDay')}
        value={typed('hours', lamp?.hours ?? USUAL_LAMP_H)}
        error={wrong('light.hours')}
        inputmode="decimal"
      />
      <Field
        name="ppfd"
        label={t('shelf.ppfdMolMS')}
        helper={t('shelf.fromMeterOrLabelEmpty')}
        value={typed('ppfd', lamp && !lamp.watts ? Math.round(lamp.ppfd) : '')}
        error={wrong('light.ppfd')}
        inputmode="decimal"
      />
      <Field
        name="watts"
        label={t('shelf.wattsDraws')}
        value={typed('watts', lamp?.watts)}
        error={wrong('light.watts')}
        inputmode="decimal"
      />
      <Field
        name="distanceCm"
        label={t('shelf.lampToLeaves', { unit })}
        value={typed('distanceCm', cm(lamp?.distanceCm))}
        error={wrong('light.distanceCm')}
      />
    </div>
    {#if lamp?.watts}<p class="small soft">
        {t('shelf.comesAboutPpfdMolM', { ppfd: Math.round(lamp.ppfd) })}
      </p>{/if}
    <Caution>{CAUTIONS.lamp}</Caution>
  {:else if light !== 'dark'}
    <Check
      name="back"
      label={t('shelf.metreBackFromGlass')}
      checked={form ? form.fields?.back === 'on' : (sill?.back ?? false)}
    />
  {/if}
  <div class="pair">
    <Field
      name="dayC"
      label={t('shelf.byDaySign', { sign })}
      value={typed('dayC', shown(place?.dayC ?? usual.dayC))}
      error={wrong('dayC')}
    />
    <Field
      name="nightC"
      label={t('shelf.atNightSign', { sign })}
      value={typed('nightC', shown(place?.nightC ?? usual.nightC))}
      error={wrong('nightC')}
    />
    <Field
      name="humidityPct"
      label={t('shelf.humidity')}
      helper={t('shelf.whereNothingMeasures')}
      value={typed('humidityPct', place?.humidityPct ?? usual.humidityPct)}
      error={wrong('humidityPct')}
      inputmode="decimal"
    />
    <Field
      name="rated"
      label={t('shelf.ratedCarry')}
      placeholder={t('shelf.kg')}
      helper={t('shelf.offLabelEmptyWhereSays')}
      value={typed('rated', place?.ratedG ? mass(place.ratedG, units) : '')}
      error={wrong('ratedG')}
    />
    <Field
      name="widthCm"
      label={t('shelf.boardWide', { unit })}
      value={typed('widthCm', cm(place?.widthCm))}
      error={wrong('widthCm')}
    />
    <Field
      name="depthCm"
      label={t('shelf.boardDeep', { unit })}
      value={typed('depthCm', cm(place?.depthCm))}
      error={wrong('depthCm')}
    />
  </div>
  <Check
    name="movingAir"
    label={t('shelf.fanOrDraughtMovesAir')}
    checked={form ? form.fields?.movingAir === 'on' : (place?.movingAir ?? false)}
  />
  <Select name="after" labelText={t('shelf.onRoundPassedAfter')} selected={typed('after', before)}>
    <SelectItem value="" text={t('shelf.nothingFirstAll')} />
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
  .readings {
    display: grid;
    gap: 2rem;
    margin-top: 2.5rem;
    padding-top: 1.5rem;
    border-top: 1.5px solid var(--ink-faint);
    max-width: 44rem;
  }
</style>
