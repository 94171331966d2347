<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { enhance } from '$app/forms';
  import { areaCm2 } from '$core/containers/container.ts';
  import { figure, length } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import Field from '$ui/fields/Field.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { container } = $derived(data);
  const units = $derived(data.household.units);
  const wrong = (field: string): string => form?.errors?.[field] ?? '';
  const kept = (field: string, otherwise: string | number | null | undefined): string =>
    form?.kept?.[field] ?? (otherwise === null || otherwise === undefined ? '' : String(otherwise));
  let drains = $state<'yes' | 'no'>(untrack(() => (data.container.drains ? 'yes' : 'no')));
</script>

<svelte:head><title>{container.name} · Brote</title></svelte:head>

<p class="small"><a href="/bench/cupboard">← Cupboard</a></p>
<h1>{container.name}</h1>
<p class="soft">
  {length(container.lengthCm, units)}{container.shape === 'round'
    ? ' across'
    : ` × ${length(container.widthCm, units)}`}, {length(container.depthCm, units)} deep · {figure(
    Math.round(areaCm2(container))
  )} cm²{container.shape === 'cells' ? ` in ${container.cells} cells` : ''} · {container.inUse} in use
</p>
<form method="POST" action="?/save" class="stack" use:enhance novalidate>
  <Field name="name" label="What you call it" value={kept('name', container.name)} error={wrong('name')} />
  <Field
    name="owned"
    label="How many there are"
    value={kept('owned', container.owned)}
    error={wrong('owned')}
    inputmode="numeric"
  />
  <Field
    name="emptyG"
    label="Empty weight of one (g)"
    helper="For weighing a tray to see its water"
    value={kept('emptyG', container.emptyG)}
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
    value={kept('reservoirMl', container.reservoirMl)}
    error={wrong('reservoirMl')}
    inputmode="decimal"
  />
  <div class="row">
    <Button type="submit">Save</Button>
    <Button kind="ghost" href="/bench/cupboard">Not now</Button>
    <button class="undo" formaction="?/retire">Put it away</button>
  </div>
</form>

<style>
  form {
    max-width: 34rem;
    margin-top: 1rem;
  }
</style>
