<script lang="ts">
  import { t } from '$messages/t.ts';
  import { USUAL_PLACE } from '$core/places/usual.ts';
  import { readDegrees, shownDegrees } from '$core/units/temperature.ts';
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { v4 as newId } from 'uuid';
  import type { Place, PlaceLight } from '$core/places/place.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import Choice from '$ui/fields/Choice.svelte';
  import { readNumber } from '$core/units/parseQuantity.ts';
  import { figure, type Units } from '$core/units/format.ts';

  interface Props {
    places: readonly Place[];
    placeId: string;
    newPlace: Place | null;
    units: Units;
    wrong: Record<string, string>;
  }
  let { places, placeId = $bindable(), newPlace = $bindable(), units, wrong }: Props = $props();

  const LIGHTS: Record<string, PlaceLight> = {
    lamp: { kind: 'lamp', ppfd: 200, hours: 14 },
    bright: { kind: 'sill', aspect: 'midday', back: false },
    side: { kind: 'sill', aspect: 'side', back: false },
    dim: { kind: 'sill', aspect: 'away', back: false }
  };
  const OPTIONS = [
    { value: 'lamp', text: t('sow.lamp') },
    { value: 'bright', text: t('sow.brightSill'), hint: t('sow.middaySun') },
    { value: 'side', text: t('sow.halfBrightSill'), hint: t('sow.morningOrEveningSun') },
    { value: 'dim', text: t('sow.dimSill'), hint: t('sow.noSun') }
  ];
  let light = $state('bright');

  const toUnits = (degC: number) => shownDegrees(degC, units);
  const fromUnits = (value: number) => readDegrees(value, units);
  const sign = $derived(units === 'us' ? '°F' : '°C');

  function choose(id: string) {
    placeId = id;
    newPlace =
      id === 'new'
        ? {
            id: newId(),
            name: '',
            light: LIGHTS[light]!,
            ...USUAL_PLACE
          }
        : null;
  }
  function warm(field: 'dayC' | 'nightC', text: unknown) {
    const value = readNumber(String(text ?? ''));
    if (newPlace && value !== null) newPlace = { ...newPlace, [field]: fromUnits(value) };
  }
</script>

{#if places.length > 0}
  <Select
    labelText={t('sow.place')}
    hideLabel
    selected={placeId}
    on:change={(event) => choose((event.target as HTMLSelectElement).value)}
    invalid={!!wrong.placeId}
    invalidText={wrong.placeId}
  >
    {#each places as place (place.id)}<SelectItem value={place.id} text={place.name} />{/each}
    <SelectItem value="new" text={t('sow.newPlace')} />
  </Select>
{/if}
{#if newPlace}
  <div class="new stack">
    <TextInput
      labelText={t('sow.namePlace')}
      placeholder={t('sow.kitchenSill')}
      value={newPlace.name}
      on:input={(event) => newPlace && (newPlace = { ...newPlace, name: String(event.detail ?? '') })}
      invalid={!!wrong['newPlace.name']}
      invalidText={wrong['newPlace.name']}
    />
    <Choice
      legend={t('sow.lightThere')}
      name="light"
      options={OPTIONS}
      bind:value={light}
      onchange={(value) => newPlace && (newPlace = { ...newPlace, light: LIGHTS[value]! })}
    />
    {#if light === 'lamp'}
      <Caution>{CAUTIONS.lamp}</Caution>
    {/if}
    <div class="pair">
      <TextInput
        labelText={t('sow.byDaySign', { sign })}
        value={figure(toUnits(newPlace.dayC))}
        on:input={(event) => warm('dayC', event.detail)}
        invalid={!!wrong['newPlace.dayC']}
        invalidText={wrong['newPlace.dayC']}
        inputmode="decimal"
      />
      <TextInput
        labelText={t('sow.atNightSign', { sign })}
        value={figure(toUnits(newPlace.nightC))}
        on:input={(event) => warm('nightC', event.detail)}
        invalid={!!wrong['newPlace.nightC']}
        invalidText={wrong['newPlace.nightC']}
        inputmode="decimal"
      />
    </div>
  </div>
{/if}

<style>
  .new {
    padding: 1rem;
    border: 1.5px dashed var(--ink-soft);
    border-radius: 10px;
  }
</style>
