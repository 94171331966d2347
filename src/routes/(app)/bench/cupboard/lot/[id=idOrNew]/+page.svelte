<script lang="ts">
  import { cropInText, cropName } from '$words/cropNames.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { findCrop, withOwnCrops } from '$core/crops/library.ts';
  import { leftG } from '$core/supplies/seed/lot.ts';
  import { germinationTest } from '$core/supplies/seed/germinationTest.ts';
  import { fieldUnit, inField } from '$core/units/field.ts';
  import { figure } from '$core/units/format.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import KeepForm from '$ui/bench/KeepForm.svelte';
  import Field from '$ui/fields/Field.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { units } = $derived(data.household);
  const { lot } = $derived(data);
  const id = untrack(() => data.lot?.id ?? data.newId);
  const { wrong, typed } = formAnswers(() => form);
  const crops = $derived(withOwnCrops(data.ownCrops));
  const partsWords = (one: typeof data.lot): string =>
    (one?.parts ?? [])
      .map(
        ({ cropKey, share }) =>
          `${figure(share)} ${cropInText(findCrop(cropKey, data.ownCrops)?.name ?? cropKey)}`
      )
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
  title={lot ? t('bench.lotSeed') : t('bench.newLotSeed')}
  away={lot ? t('bench.putAwayUsedUp') : null}
  {lead}
>
  <input type="hidden" name="id" value={id} />
  <Select
    name="cropKey"
    labelText={t('bench.crop')}
    selected={typed('cropKey', lot?.cropKey ?? data.cropKey)}
    invalid={wrong('cropKey') !== ''}
    invalidText={wrong('cropKey')}
  >
    <SelectItem value="" text={t('bench.chooseCrop2')} />
    {#each crops as crop (crop.key)}<SelectItem value={crop.key} text={cropName(crop.name)} />{/each}
  </Select>
  <Field
    name="name"
    label={t('bench.whatYouCall')}
    placeholder={t('bench.tinOnTopShelf')}
    value={typed('name', lot?.name)}
    error={wrong('name')}
  />
  <Field
    name="parts"
    label={t('bench.boughtMixedWhatByWeight')}
    placeholder={t('bench.radishKale')}
    helper={t('bench.emptyOneCropWhereNobody')}
    value={typed('parts', partsWords(lot))}
    error={wrong('parts')}
  />
  <Field
    name="weighedG"
    label={t('bench.seedNow', { unit: fieldUnit('mass', units) })}
    helper={t('bench.weighedOrOffPacketSowings')}
    value={typed('weighedG', lot ? inField(leftG(lot), 'mass', units) : '')}
    error={wrong('weighedG')}
    inputmode="decimal"
  />
  <fieldset class="pair">
    <legend>{t('bench.paperTowelTest')}</legend>
    <Field
      name="sprouted"
      label={t('bench.sprouted')}
      value={sprouted}
      oninput={(typed) => (sprouted = typed)}
      error={wrong('test.sprouted') || wrong('test')}
      inputmode="numeric"
    />
    <Field
      name="tested"
      label={t('bench.seedsLaidOut')}
      value={tested}
      oninput={(typed) => (tested = typed)}
      error={wrong('test.tested')}
      inputmode="numeric"
    />
    <p class="small soft wide" aria-live="polite">
      {#if result && tested !== ''}
        <Rich
          parts={rich('bench.strongPctStrongLikelyLowpct', {
            pct: Math.round(result.pct),
            lowPct: Math.round(result.lowPct),
            highPct: Math.round(result.highPct),
            when: Number(tested) < 50 ? 'yes' : 'no'
          })}
        />
        {#if result.pct < 70}<strong>{t('bench.underFresherSeedBetterAnswer')}</strong>{/if}
      {:else}
        {t('bench.laySeedsOnDampTowel')}
      {/if}
    </p>
  </fieldset>
  <Field
    name="packetPct"
    label={t('bench.germinationByPacket')}
    value={typed('packetPct', lot?.packetPct)}
    error={wrong('packetPct')}
    inputmode="decimal"
  />
  <div class="pair">
    <Field
      name="boughtOn"
      type="date"
      label={t('bench.bought')}
      value={typed('boughtOn', lot?.boughtOn)}
      error={wrong('boughtOn')}
    />
    <Field
      name="bestBefore"
      type="date"
      label={t('bench.bestBefore')}
      value={typed('bestBefore', lot?.bestBefore)}
      error={wrong('bestBefore')}
    />
  </div>
  <div class="pair">
    <Field
      name="price"
      label={t('bench.pricePacket')}
      helper={t('bench.yourOwnMoneyWhatTrays')}
      value={typed('price', lot?.price)}
      error={wrong('price')}
      inputmode="decimal"
    />
    <Field
      name="packetG"
      label={t('bench.packetSize', { unit: fieldUnit('mass', units) })}
      helper={t('bench.asBoughtEmptyWhatNow')}
      value={typed('packetG', inField(lot?.packetG, 'mass', units))}
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
  .wide {
    grid-column: 1 / -1;
  }
</style>
