<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { findCrop, withOwnCrops } from '$core/crops/library.ts';
  import { leftG } from '$core/supplies/seed/lot.ts';
  import { germinationTest } from '$core/supplies/seed/germinationTest.ts';
  import { figure } from '$core/units/format.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import KeepForm from '$ui/bench/KeepForm.svelte';
  import Field from '$ui/fields/Field.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { lot } = $derived(data);
  const id = untrack(() => data.lot?.id ?? data.newId);
  const { wrong, typed } = formAnswers(() => form);
  const crops = $derived(withOwnCrops(data.ownCrops));
  const partsWords = (one: typeof data.lot): string =>
    (one?.parts ?? [])
      .map(({ cropKey, share }) => `${figure(share)} ${findCrop(cropKey, data.ownCrops)?.name ?? cropKey}`)
      .join(', ');

  let sprouted = $state(untrack(() => typed('sprouted', data.lot?.test?.sprouted)));
  let tested = $state(untrack(() => typed('tested', data.lot?.test?.tested)));
  const result = $derived.by(() => {
    try {
      return germinationTest(Number(sprouted), Number(tested));
    } catch {
      return null;
    }
  });
</script>

{#snippet lead()}<Caution>{CAUTIONS.seed}</Caution>{/snippet}

<KeepForm
  title={lot ? 'Lot of seed' : 'A new lot of seed'}
  away={lot ? 'Put it away: it is used up' : null}
  {lead}
>
  <input type="hidden" name="id" value={id} />
  <Select
    name="cropKey"
    labelText="Crop"
    selected={typed('cropKey', lot?.cropKey ?? data.cropKey)}
    invalid={wrong('cropKey') !== ''}
    invalidText={wrong('cropKey')}
  >
    <SelectItem value="" text="Choose a crop" />
    {#each crops as crop (crop.key)}<SelectItem value={crop.key} text={crop.name} />{/each}
  </Select>
  <Field
    name="name"
    label="What you call it"
    placeholder="Tin on the top shelf"
    value={typed('name', lot?.name)}
    error={wrong('name')}
  />
  <Field
    name="parts"
    label="Bought mixed? What is in it, by weight"
    placeholder="2 radish, 1 kale"
    helper="Empty for one crop. Where nobody knows, choose the crop that it is most of"
    value={typed('parts', partsWords(lot))}
    error={wrong('parts')}
  />
  <Field
    name="weighedG"
    label="Seed in it now (g)"
    helper="Weighed, or off the packet; sowings draw it down"
    value={typed('weighedG', lot ? figure(leftG(lot)) : '')}
    error={wrong('weighedG')}
    inputmode="decimal"
  />
  <fieldset class="two">
    <legend>Paper-towel test</legend>
    <Field
      name="sprouted"
      label="Sprouted"
      value={sprouted}
      oninput={(typed) => (sprouted = typed)}
      error={wrong('test.sprouted') || wrong('test')}
      inputmode="numeric"
    />
    <Field
      name="tested"
      label="Of seeds laid out"
      value={tested}
      oninput={(typed) => (tested = typed)}
      error={wrong('test.tested')}
      inputmode="numeric"
    />
    <p class="small soft wide" aria-live="polite">
      {#if result && tested !== ''}
        <strong>{Math.round(result.pct)} %</strong>, likely {Math.round(result.lowPct)} to {Math.round(
          result.highPct
        )} %.{Number(tested) < 50 ? ' More seeds would tell it closer.' : ''}
        {#if result.pct < 70}<strong>Under 70 %: fresher seed is the better answer than more of it.</strong
          >{/if}
      {:else}
        Lay 20 to 50 seeds on a damp towel, rolled, warm; count after the days the crop needs to root. It
        counts for more than the packet.
      {/if}
    </p>
  </fieldset>
  <Field
    name="packetPct"
    label="Germination by the packet (%)"
    value={typed('packetPct', lot?.packetPct)}
    error={wrong('packetPct')}
    inputmode="decimal"
  />
  <div class="two">
    <Field
      name="boughtOn"
      type="date"
      label="Bought"
      value={typed('boughtOn', lot?.boughtOn)}
      error={wrong('boughtOn')}
    />
    <Field
      name="bestBefore"
      type="date"
      label="Best before"
      value={typed('bestBefore', lot?.bestBefore)}
      error={wrong('bestBefore')}
    />
  </div>
  <div class="two">
    <Field
      name="price"
      label="Price of the packet"
      helper="In your own money: what a tray’s seed cost follows from it"
      value={typed('price', lot?.price)}
      error={wrong('price')}
      inputmode="decimal"
    />
    <Field
      name="packetG"
      label="Which held (g)"
      helper="As bought; empty for what is in it now"
      value={typed('packetG', lot?.packetG)}
      error={wrong('packetG')}
      inputmode="decimal"
    />
  </div>
</KeepForm>

<style>
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
  }
  legend {
    padding: 0;
    font-weight: 620;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.75rem;
    align-items: start;
  }
  .wide {
    grid-column: 1 / -1;
  }
</style>
