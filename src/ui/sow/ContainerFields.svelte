<script lang="ts">
  import { t } from '$messages/t.ts';
  import { oneStop } from '$ui/fields/oneStop.ts';
  import { TextInput } from 'carbon-components-svelte';
  import type { Container, ContainerStock, Shape } from '$core/supplies/containers/container.ts';
  import { COMMON_SIZES, isSameSize, ofSize } from '$core/supplies/containers/sizes.ts';
  import type { Units } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import { notFreeWords, sizeWords, suggestedName } from '$words/containers.ts';
  import type { Draft } from './draft.ts';
  import { beginningSize } from './firstDraft.ts';

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

  /** Opens by itself for a new size or a wrong one, and is only closed by hand. */
  let sized = $state(false);
  $effect(() => {
    if (isNewSize || Object.keys(wrong).some((field) => field.startsWith('container.'))) sized = true;
  });

  /** Takes a container or a common size; what was typed as a name was another's. */
  function take(container: Omit<Container, 'name'> & { name?: string }) {
    draft.container = { name: '', ...container };
    draft.containerName = '';
  }
  const shapeOf = (value: Shape) =>
    take(containers.find((one) => one.shape === value) ?? beginningSize(value, units));
</script>

<div class="row" role="toolbar" tabindex="-1" use:oneStop aria-label={t('sow.containersYouHaveCommonSizes')}>
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
<details class="unfold" bind:open={sized}>
  <summary>{t('sow.otherSize')}</summary>
  <div class="stack">
    <Choice
      legend={t('sow.shape')}
      name="shape"
      options={[
        { value: 'rectangle', text: t('sow.tray') },
        { value: 'round', text: t('sow.roundPot') },
        { value: 'cells', text: t('sow.cells') }
      ]}
      value={shape}
      onchange={shapeOf}
    />
    <div class="sizes">
      <QuantityField
        label={shape === 'round'
          ? t('sow.diameter')
          : shape === 'cells'
            ? t('sow.cellLength')
            : t('sow.length')}
        kind="length"
        {unit}
        bind:value={draft.container.lengthCm}
        error={wrong['container.lengthCm']}
      />
      {#if shape !== 'round'}
        <QuantityField
          label={shape === 'cells' ? t('sow.cellWidth') : t('sow.width')}
          kind="length"
          {unit}
          bind:value={draft.container.widthCm}
          error={wrong['container.widthCm']}
        />
      {/if}
      <QuantityField
        label={t('sow.depth')}
        kind="length"
        {unit}
        bind:value={draft.container.depthCm}
        error={wrong['container.depthCm']}
      />
      {#if shape === 'cells'}
        <TextInput
          labelText={t('sow.cells')}
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
            labelText={t('sow.whatYouCallContainer')}
            helperText={t('sow.sizeYouHaveNotUsed')}
            placeholder={suggestedName(draft.container, units)}
            bind:value={draft.containerName}
            invalid={!!wrong['container.name']}
            invalidText={wrong['container.name']}
          />
        </div>
      {/if}
    </div>
  </div>
</details>
<div class="count">
  <TextInput
    labelText={t('sow.howMany')}
    bind:value={draft.count}
    invalid={!!wrong.count}
    invalidText={wrong.count}
    inputmode="numeric"
  />
</div>

{#if notFree}<p class="warn small" role="status">{notFree}</p>{/if}

<style>
  .count {
    max-width: 9rem;
  }
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
