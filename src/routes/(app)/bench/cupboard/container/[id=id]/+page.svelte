<script lang="ts">
  import { t } from '$messages/t.ts';
  import { untrack } from 'svelte';
  import { areaCm2 } from '$core/supplies/containers/container.ts';
  import { fieldUnit, inField } from '$core/units/field.ts';
  import { area, length } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import KeepForm from '$ui/bench/KeepForm.svelte';
  import Field from '$ui/fields/Field.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { container } = $derived(data);
  const units = $derived(data.household.units);
  const { wrong, typed } = formAnswers(() => form);
  let drains = $state<'yes' | 'no'>(untrack(() => (data.container.drains ? 'yes' : 'no')));
</script>

{#snippet lead()}
  <p class="soft">
    {t('bench.lengthAcrossLengthLengthDeep', {
      length: length(container.lengthCm, units),
      when: container.shape === 'round' ? 'yes' : 'no',
      length2: !(container.shape === 'round') ? length(container.widthCm, units) : '',
      length3: length(container.depthCm, units),
      area: area(areaCm2(container), units),
      when2: container.shape === 'cells' ? 'yes' : 'no',
      cells: container.shape === 'cells' ? container.cells : '',
      inUse: container.inUse
    })}
  </p>
{/snippet}

<KeepForm title={container.name} away={t('bench.putAway')} {lead}>
  <Field
    name="name"
    label={t('bench.whatYouCall')}
    value={typed('name', container.name)}
    error={wrong('name')}
  />
  <Field
    name="owned"
    label={t('bench.howManyThere')}
    value={typed('owned', container.owned)}
    error={wrong('owned')}
    inputmode="numeric"
  />
  <Field
    name="emptyG"
    label={t('bench.emptyWeightOne', { unit: fieldUnit('mass', units) })}
    helper={t('bench.weighingTraySeeWater')}
    value={typed('emptyG', inField(container.emptyG, 'mass', units))}
    error={wrong('emptyG')}
    inputmode="decimal"
  />
  <Choice
    legend={t('bench.holesDrain')}
    name="drains"
    options={[
      { value: 'yes', text: t('bench.yes') },
      { value: 'no', text: t('bench.no') }
    ]}
    bind:value={drains}
  />
  {#if drains === 'no'}
    <p class="small soft">{t('bench.withoutHolesNothingRunsOff')}</p>
  {/if}
  <Field
    name="reservoirMl"
    label={t('bench.reservoirUnder', { unit: fieldUnit('volume', units) })}
    helper={t('bench.leftEmptyNone')}
    value={typed('reservoirMl', inField(container.reservoirMl, 'volume', units))}
    error={wrong('reservoirMl')}
    inputmode="decimal"
  />
</KeepForm>
