<script lang="ts">
  import { untrack } from 'svelte';
  import { areaCm2 } from '$core/supplies/containers/container.ts';
  import { figure, length } from '$core/units/format.ts';
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
    {length(container.lengthCm, units)}{container.shape === 'round'
      ? ' across'
      : ` × ${length(container.widthCm, units)}`}, {length(container.depthCm, units)} deep · {figure(
      Math.round(areaCm2(container))
    )} cm²{container.shape === 'cells' ? ` in ${container.cells} cells` : ''} · {container.inUse} in use
  </p>
{/snippet}

<KeepForm title={container.name} away="Put it away" {lead}>
  <Field name="name" label="What you call it" value={typed('name', container.name)} error={wrong('name')} />
  <Field
    name="owned"
    label="How many there are"
    value={typed('owned', container.owned)}
    error={wrong('owned')}
    inputmode="numeric"
  />
  <Field
    name="emptyG"
    label="Empty weight of one (g)"
    helper="For weighing a tray to see its water"
    value={typed('emptyG', container.emptyG)}
    error={wrong('emptyG')}
    inputmode="decimal"
  />
  <Choice
    legend="Holes to drain"
    name="drains"
    options={[
      { value: 'yes', text: 'Yes' },
      { value: 'no', text: 'No' }
    ]}
    bind:value={drains}
  />
  {#if drains === 'no'}
    <p class="small soft">Without holes nothing runs off: pour away what stands after ten minutes.</p>
  {/if}
  <Field
    name="reservoirMl"
    label="Reservoir under it (mL)"
    helper="Left empty: none"
    value={typed('reservoirMl', container.reservoirMl)}
    error={wrong('reservoirMl')}
    inputmode="decimal"
  />
</KeepForm>
