<script lang="ts">
  import { TextInput } from 'carbon-components-svelte';
  import type { Container, ContainerStock, Shape } from '$core/supplies/containers/container.ts';
  import { COMMON_SIZES, isSameSize, ofSize } from '$core/supplies/containers/sizes.ts';
  import type { Units } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import { notFreeWords, sizeWords, suggestedName } from '$words/containers.ts';
  import type { Draft } from './draft.ts';
  import { SHAPES } from './firstDraft.ts';

  /** In what it is sown: one of the household's sizes, a common one, or one of one's own, and how many. */
  interface Props {
    draft: Draft;
    /** Those that were sown in, the last used first. */
    containers: readonly Container[];
    /** The same with how many there are and are taken. */
    stock: readonly ContainerStock[];
    units: Units;
    wrong: Record<string, string>;
  }
  let { draft = $bindable(), containers, stock, units, wrong }: Props = $props();

  const unit = $derived(units === 'us' ? 'in' : 'cm');
  const { shape } = $derived(draft.container);
  /** Sizes that are common here and that the household has none of yet. */
  const common = $derived(COMMON_SIZES[units].filter((size) => !ofSize(size, [...containers])));
  const isNewSize = $derived(!ofSize(draft.container, [...containers]));
  const notFree = $derived.by(() => {
    const same = ofSize(draft.container, [...stock]);
    return same ? notFreeWords(same, Number(draft.count) || 1) : null;
  });

  /** Takes a container or a common size; what was typed as a name was another's. */
  function take(container: Omit<Container, 'name'> & { name?: string }) {
    draft.container = { name: '', ...container };
    draft.containerName = '';
  }
  const shapeOf = (value: Shape) => take(containers.find((one) => one.shape === value) ?? SHAPES[value]);
</script>

<div class="row" role="group" aria-label="Containers you have, and common sizes">
  {#each containers.slice(0, 5) as container (JSON.stringify(container))}
    <button
      class="chip"
      type="button"
      aria-pressed={isSameSize(container, draft.container)}
      onclick={() => take(container)}
      >{container.name}
      {sizeWords(container, units)}</button
    >
  {/each}
  {#each common as size (suggestedName(size, units))}
    <button
      class="chip"
      class:quiet={!isSameSize(size, draft.container)}
      type="button"
      aria-pressed={isSameSize(size, draft.container)}
      onclick={() => take(size)}>{suggestedName(size, units)}</button
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
  value={shape}
  onchange={shapeOf}
/>
<div class="sizes">
  <QuantityField
    label={shape === 'round' ? 'Diameter' : shape === 'cells' ? 'Cell length' : 'Length'}
    kind="length"
    {unit}
    bind:value={draft.container.lengthCm}
    error={wrong['container.lengthCm']}
  />
  {#if shape !== 'round'}
    <QuantityField
      label={shape === 'cells' ? 'Cell width' : 'Width'}
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
  {#if shape === 'cells'}
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
        placeholder={suggestedName(draft.container, units)}
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

<style>
  .named {
    grid-column: 1 / -1;
  }
  .sizes {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(7.5rem, 1fr));
    gap: 0.75rem;
    align-items: start;
  }
</style>
